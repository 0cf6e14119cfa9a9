import { Op } from 'sequelize';
import type { AttendedClass } from '@wrenfern/core/log/suggest-record';
import { optionTaken, whatStands, type LiveEvent } from '@wrenfern/core/live/events';
import { planAsOccurrences, timesUpTo } from '@wrenfern/core/plan/occurrences';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { bothHalves, isMixed, trackOf } from '@wrenfern/core/plan/tracks';
import { MACHINES } from '@wrenfern/core/movement/vocabulary';
import { dayIn } from '@wrenfern/core/week/studio-time';
import { Booking, ClassEvent, ClassRow, PlanRevision } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** More say nothing more about how somebody works now. */
const MOST_CLASSES = 12;

/** The last taught classes that somebody came to, newest first, with what a teacher put them to there. */
export async function attendedBy(
  studioId: string,
  personId: string,
  timeZone: string,
): Promise<AttendedClass[]> {
  const bookings = (await rowsOf(Booking, studioId).all({ where: { personId } })).filter(
    ({ came }) => came !== 'cancelled late',
  );
  const classes = await rowsOf(ClassRow, studioId).all({
    where: {
      id: { [Op.in]: bookings.map(({ classId }) => classId) },
      taughtRevision: { [Op.ne]: null },
    },
    attributes: ['id', 'startsAt', 'taughtRevision'],
    order: [['startsAt', 'DESC']],
    limit: MOST_CLASSES,
  });
  if (classes.length === 0) return [];
  const ids = classes.map(({ id }) => id);
  const [plans, events] = await Promise.all([
    rowsOf(PlanRevision, studioId).all({
      where: {
        [Op.or]: classes.map(({ id, taughtRevision }) => ({
          classId: id,
          revision: taughtRevision,
        })),
      },
    }),
    rowsOf(ClassEvent, studioId).all({ where: { classId: ids }, order: ['seq'] }),
  ]);
  const planOf = new Map(plans.map(({ classId, plan }) => [classId, plan]));
  const bookingOf = new Map(bookings.map((booking) => [booking.classId, booking]));
  return classes.flatMap(({ id, startsAt }) => {
    const written = planOf.get(id);
    if (!written) return [];
    const plan = planAsOccurrences(isMixed(written) ? bothHalves(written) : written);
    const pressed = events.flatMap(({ classId, event }) => (classId === id ? [event] : []));
    const moved = movedIn(pressed, personId, secondHalfOf(written));
    return [
      {
        day: dayIn(timeZone, startsAt),
        done: doneIn(plan, firstOf(written), bookingOf.get(id)?.choices ?? {}, moved),
      },
    ];
  });
}

/** Options that somebody was put to in the class, by item; the last press counts. */
function movedIn(
  events: readonly LiveEvent[],
  personId: string,
  written: ReadonlyMap<string, string>,
): Map<string, number> {
  const moved = new Map<string, number>();
  for (const event of whatStands(events)) {
    const taken = optionTaken(event);
    if (taken?.personId === personId)
      moved.set(written.get(taken.itemId) ?? taken.itemId, taken.option);
  }
  return moved;
}

/** In a class of two groups: the written item of each that a group does in its second half. */
function secondHalfOf(plan: Plan): ReadonlyMap<string, string> {
  if (!isMixed(plan)) return new Map();
  const tracks = MACHINES.map((start) => trackOf(plan, start));
  return new Map(tracks.flatMap(({ written }) => [...written]));
}

/** The item of each time that something is done: choices by hand name items. */
function firstOf(plan: Plan): Map<string, string> {
  return new Map([...timesUpTo(plan)].map(([id, [first = id]]) => [id, first]));
}

/** A rest is nothing done; of a series everybody does all, so no option of it says anything. */
function doneIn(
  plan: Plan,
  first: ReadonlyMap<string, string>,
  byHand: Booking['choices'],
  moved: ReadonlyMap<string, number>,
): AttendedClass['done'] {
  return exerciseItemsOf(plan).flatMap(({ id, exercise, variants }) => {
    const choice = byHand[first.get(id) ?? id];
    const pressed = moved.get(id);
    if (variants) return [{ exercise, option: null }];
    if (pressed !== undefined) return [{ exercise, option: pressed }];
    if (choice?.kind === 'rest') return [];
    if (choice?.kind === 'swap') return [{ exercise: choice.exercise, option: choice.option }];
    return [{ exercise, option: choice?.option ?? null }];
  });
}
