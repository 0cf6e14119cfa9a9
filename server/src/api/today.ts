import { Op } from 'sequelize';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { closedRouter } from '../auth/closed-router.ts';
import type { Member } from '../auth/session.ts';
import { ClassRow, UnreadableColumn, type Studio } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Workers } from '../work/pool.ts';
import {
  attendeesOf,
  dayOf,
  familiarTo,
  shownTo,
  taughtBetween,
  type Booked,
  type TaughtLesson,
} from './class-context.ts';
import { onlyTheirs } from './classes.ts';
import { readQuery } from './read.ts';
import { ownExercisesFor } from './studio-catalogue.ts';
import { studioOf } from './studio.ts';

const SHOWN = 8;

interface Around {
  member: Member;
  studio: Studio;
  attendees: ReadonlyMap<string, Booked[]>;
  before: readonly TaughtLesson[];
}

/** The next classes, each with what is still to settle. */
export function todayRouter(workers: Workers) {
  const { router, on } = closedRouter();

  on('GET /today', async (request, response, member) => {
    const { studioId } = member;
    const { from } = readQuery('GET /today', request);
    const [studio, rows] = await Promise.all([
      studioOf(studioId),
      rowsOf(ClassRow, studioId).all({
        where: { startsAt: { [Op.gte]: new Date(from) }, ...onlyTheirs(member) },
        order: [['startsAt', 'ASC']],
        limit: SHOWN,
      }),
    ]);
    const [first, last] = [rows[0], rows.at(-1)];
    const ids = rows.map(({ id }) => id);
    const attendees = await attendeesOf(studioId, ids);
    const everybody = [...attendees.values()].flat().map(({ person }) => person.id);
    const before =
      first && last
        ? await taughtBetween(studioId, first.startsAt, last.startsAt, [...new Set(everybody)])
        : [];
    const around = { member, studio, attendees, before };
    response.json({ classes: await Promise.all(rows.map((row) => card(row, around))) });
  });

  async function card(row: ClassRow, around: Around) {
    const booked = shownTo(around.member, around.attendees.get(row.id) ?? []);
    const shared = {
      id: row.id,
      title: row.title,
      startsAt: row.startsAt.toISOString(),
      coming: booked.map(({ person }) => person.name),
      taught: row.taughtRevision !== null,
    };
    try {
      const { plan } = row;
      const ready = await workers.readiness({
        plan,
        own: await ownOf(around.member.studioId, plan),
        pace: around.studio.pace,
        cupboard: around.studio.cupboard,
        // Only what an answer can follow from: another note leaves it as it is.
        attendees: booked.map(({ person, today, byHand }) => ({
          person: { ...person, note: '' },
          today,
          byHand,
        })),
        day: dayOf(row.startsAt, around.studio.timeZone),
        familiar: familiarTo(
          around.before,
          booked.map(({ person }) => person.id),
          row.startsAt,
        ),
      });
      const state = ready ? ('ready' as const) : ('late' as const);
      return { ...shared, targetS: plan.targetS, state, ready: ready ?? null };
    } catch (error) {
      // One class that can't be read must not take the others with it.
      if (!(error instanceof UnreadableColumn)) throw error;
      return { ...shared, targetS: 0, state: 'unreadable' as const, ready: null };
    }
  }

  async function ownOf(studioId: string, plan: ClassRow['plan']): Promise<Exercise[]> {
    return ownExercisesFor(
      studioId,
      exerciseItemsOf(plan).map(({ exercise }) => exercise),
    );
  }

  return router;
}
