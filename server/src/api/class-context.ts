import { DateTime } from 'luxon';
import { Op } from 'sequelize';
import type { ClassContext } from '@wrenfern/core/analyse';
import type { Attendee } from '@wrenfern/core/people/choose-option';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { Booking, ClassEvent, ClassRow, PersonRow, type Studio } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { personOf } from './people.ts';

/** An exercise is new to a group when fewer than half have done it in this time. Common practice. */
const FAMILIAR_WEEKS = 8;

/** The day of a class in the studio's own zone, year-month-day. */
export function dayOf(startsAt: Date, timeZone: string): string {
  return DateTime.fromJSDate(startsAt, { zone: timeZone }).toFormat('yyyy-MM-dd');
}

/** Those booked into a class, with their records. */
export async function attendeesOf(studioId: string, classId: string) {
  const bookings = await rowsOf(Booking, studioId).all({ where: { classId } });
  const ids = bookings.map((booking) => booking.personId);
  const people = await rowsOf(PersonRow, studioId).all({ where: { id: ids }, order: ['name'] });
  const byPerson = new Map(bookings.map((booking) => [booking.personId, booking]));
  return people.flatMap((row) => {
    const booking = byPerson.get(row.id);
    return booking
      ? [
          {
            person: personOf(row),
            today: booking.today,
            todayNote: booking.todayNote,
            byHand: booking.choices,
          },
        ]
      : [];
  });
}

/** A class that was taught: when, what, and who came. */
export interface TaughtLesson {
  startsAt: Date;
  exercises: string[];
  personIds: Set<string>;
}

/** Classes taught in the weeks before `from` and until `to`, read once for all that is asked of them. */
export async function taughtBetween(
  studioId: string,
  from: Date,
  to: Date,
): Promise<TaughtLesson[]> {
  const earliest = DateTime.fromJSDate(from).minus({ weeks: FAMILIAR_WEEKS }).toJSDate();
  const classes = await rowsOf(ClassRow, studioId).all({
    where: { startsAt: { [Op.gte]: earliest, [Op.lt]: to } },
    attributes: ['id', 'startsAt', 'plan'],
  });
  const classIds = classes.map((row) => row.id);
  const [bookings, taught] = await Promise.all([
    rowsOf(Booking, studioId).all({
      where: { classId: classIds },
      attributes: ['classId', 'personId'],
    }),
    rowsOf(ClassEvent, studioId).all({
      where: { classId: classIds },
      attributes: ['classId'],
      group: ['classId'],
    }),
  ]);
  const came = new Map<string, Set<string>>();
  for (const { classId, personId } of bookings) {
    const people = came.get(classId) ?? new Set<string>();
    came.set(classId, people.add(personId));
  }
  const taughtIds = new Set(taught.map((event) => event.classId));
  return classes
    .filter(({ id }) => taughtIds.has(id))
    .map((row) => ({
      startsAt: row.startsAt,
      exercises: exerciseItemsOf(row.plan).map((item) => item.exercise),
      personIds: came.get(row.id) ?? new Set<string>(),
    }));
}

/** Exercises that at least half of these people did in the weeks before a class. */
export function familiarTo(
  lessons: readonly TaughtLesson[],
  personIds: readonly string[],
  before: Date,
): string[] {
  if (personIds.length === 0) return [];
  const earliest = DateTime.fromJSDate(before).minus({ weeks: FAMILIAR_WEEKS }).toJSDate();
  const knownBy = new Map<string, Set<string>>();
  for (const lesson of lessons) {
    if (lesson.startsAt < earliest || lesson.startsAt >= before) continue;
    const came = personIds.filter((id) => lesson.personIds.has(id));
    for (const exercise of lesson.exercises) {
      const people = knownBy.get(exercise) ?? new Set<string>();
      for (const id of came) people.add(id);
      knownBy.set(exercise, people);
    }
  }
  return [...knownBy.entries()]
    .filter(([, people]) => people.size * 2 >= personIds.length)
    .map(([slug]) => slug)
    .sort();
}

/** How many of the last classes count as lately. */
const LATELY_CLASSES = 3;

/** Exercises of the last classes that any of these people came to, newest first. */
export function latelyDone(
  lessons: readonly TaughtLesson[],
  personIds: readonly string[],
): string[] {
  const own = lessons
    .filter((lesson) => personIds.some((id) => lesson.personIds.has(id)))
    .sort((a, b) => b.startsAt.getTime() - a.startsAt.getTime())
    .slice(0, LATELY_CLASSES);
  return [...new Set(own.flatMap(({ exercises }) => exercises))];
}

/** What `analyse` needs to know of a class beyond its plan. */
export function contextOf(
  studio: Studio,
  day: string,
  attendees: readonly Attendee[],
  familiar: readonly string[],
): ClassContext {
  return {
    pace: studio.pace,
    cupboard: studio.cupboard,
    attendees,
    day,
    familiar: new Set(familiar),
  };
}
