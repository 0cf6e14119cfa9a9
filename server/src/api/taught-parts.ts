import { Op } from 'sequelize';
import { planAsTaught } from '@wrenfern/core/live/plan-as-taught';
import { loggedParts } from '@wrenfern/core/log/logged-parts';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { dayIn } from '@wrenfern/core/week/studio-time';
import type { TaughtParts } from '@wrenfern/contract/studio';
import { ClassEvent, ClassRow, PlanRevision, type Studio } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { catalogueOf } from './studio-catalogue.ts';

/** A habit shows in so many classes; older ones were another year’s habit. */
const MOST_CLASSES = 12;

/** Classes of one teacher: hers, or handed over to her. */
export function taughtBy(teacherId: string) {
  return { [Op.or]: [{ coverUserId: teacherId }, { coverUserId: null, instructorId: teacherId }] };
}

/**
 * The last classes that were taught to their end, newest first: what took how long, beside the common figures. Of one
 * teacher where `teacherId` is given.
 */
export async function taughtParts(
  studio: Studio,
  teacherId?: string,
): Promise<Pick<TaughtParts, 'classes'>> {
  const classes = await rowsOf(ClassRow, studio.id).all({
    where: {
      taughtRevision: { [Op.ne]: null },
      tookS: { [Op.ne]: null },
      ...(teacherId ? taughtBy(teacherId) : {}),
    },
    attributes: ['id', 'title', 'startsAt', 'taughtRevision'],
    order: [['startsAt', 'DESC']],
    limit: MOST_CLASSES,
  });
  if (classes.length === 0) return { classes: [] };
  const [plans, events, catalogue] = await Promise.all([
    rowsOf(PlanRevision, studio.id).all({
      where: {
        [Op.or]: classes.map(({ id, taughtRevision }) => ({
          classId: id,
          revision: taughtRevision,
        })),
      },
    }),
    rowsOf(ClassEvent, studio.id).all({
      where: { classId: classes.map(({ id }) => id) },
      order: ['seq'],
    }),
    catalogueOf(studio.id),
  ]);
  const planOf = new Map(plans.map(({ classId, plan }) => [classId, plan]));
  const gearSeconds = (studio.machines ?? PLAIN_MACHINES).seconds;
  return {
    classes: classes.flatMap(({ id, title, startsAt }) => {
      const plan = planOf.get(id);
      const isKnown = plan?.segments.every(({ items }) =>
        items.every((item) => item.kind === 'pause' || catalogue.get(item.exercise)),
      );
      // Where one teacher has two groups, what a step took says nothing of her pace.
      if (!plan || !isKnown || isMixed(plan)) return [];
      const pressed = events.flatMap(({ classId, event }) => (classId === id ? [event] : []));
      const timeline = timePlan(planAsTaught(plan, pressed), catalogue, { gearSeconds });
      return [
        {
          title,
          day: dayIn(studio.timeZone, startsAt),
          ...(plan.style ? { style: plan.style } : {}),
          parts: loggedParts(timeline, pressed),
        },
      ];
    }),
  };
}
