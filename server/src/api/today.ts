import { Router } from 'express';
import { Op } from 'sequelize';
import { z } from 'zod';
import { analyse } from '@wrenfern/core/analyse';
import { memberOf } from '../auth/session.ts';
import { ClassEvent, ClassRow, type Studio } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { catalogueOf } from './studio-catalogue.ts';
import { RULE_IDS } from '@wrenfern/core/plan/school';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import {
  attendeesOf,
  contextOf,
  dayOf,
  familiarTo,
  taughtBetween,
  type TaughtLesson,
} from './class-context.ts';
import { readQuery } from './read.ts';
import { studioOf } from './studio.ts';

const SHOWN = 8;

/** Which findings speak of which side of being ready. */
const READINESS = {
  time: ['fits-the-hour'],
  options: ['everyone-has-an-option', 'versions-at-once'],
  props: ['props-suffice'],
  order: RULE_IDS,
} as const;

/** The next classes, each with what is still to settle. */
export function todayRouter(): Router {
  const router = Router();
  router.get('/today', async (request, response) => {
    const { studioId } = memberOf(request);
    const { from } = readQuery(
      z.object({ from: z.iso.datetime({ offset: true, error: 'give day and time' }) }),
      request,
    );
    const studio = await studioOf(studioId);
    const rows = await rowsOf(ClassRow, studioId).all({
      where: { startsAt: { [Op.gte]: new Date(from) } },
      order: [['startsAt', 'ASC']],
      limit: SHOWN,
    });
    const catalogue = await catalogueOf(studioId);
    const [first, last] = [rows[0], rows.at(-1)];
    const before =
      first && last ? await taughtBetween(studioId, first.startsAt, last.startsAt) : [];
    const classes = await Promise.all(rows.map((row) => readiness(row, studio, catalogue, before)));
    response.json({ classes });
  });
  return router;
}

async function readiness(
  row: ClassRow,
  studio: Studio,
  catalogue: Catalogue,
  before: TaughtLesson[],
) {
  const attendees = await attendeesOf(studio.id, row.id);
  const personIds = attendees.map(({ person }) => person.id);
  const familiar = familiarTo(before, personIds, row.startsAt);
  const taught = await rowsOf(ClassEvent, studio.id).count({ classId: row.id });
  const day = dayOf(row.startsAt, studio.timeZone);
  const context = contextOf(studio, day, attendees, familiar);
  const { timeline, findings, coverage } = analyse(row.plan, catalogue, context);
  const about = (rules: readonly string[]) =>
    findings
      .filter(({ rule, binding }) => binding && rules.includes(rule))
      .map(({ sentence }) => sentence);
  return {
    id: row.id,
    title: row.title,
    startsAt: row.startsAt.toISOString(),
    targetS: timeline.targetS,
    totalS: timeline.totalS,
    likely: { lowS: timeline.likely.lowS, highS: timeline.likely.highS },
    items: timeline.items.length,
    coming: attendees.map(({ person }) => person.name),
    directions: coverage.seconds,
    swell: timeline.items.map((item) => ({ seconds: item.durationS, effort: item.effort })),
    taught: taught > 0,
    toSettle: {
      time: about(READINESS.time),
      options: about(READINESS.options),
      props: about(READINESS.props),
      order: about(READINESS.order),
    },
  };
}
