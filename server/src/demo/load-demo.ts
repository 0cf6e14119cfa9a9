import { randomBytes, randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import type { Sequelize, Transaction } from 'sequelize';
import { builtInCatalogue } from '@wrenfern/library';
import type { LiveEvent } from '@wrenfern/core/live/events';
import type { Plan } from '@wrenfern/core/plan/plan';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import type { Cupboard } from '@wrenfern/core/room/props';
import { hashPassword } from '../auth/passwords.ts';
import { Booking, ClassEvent, ClassNote, ClassRow, PersonRow, Studio, User } from '../db/models.ts';
import { DEMO_PEOPLE } from './people.ts';
import { EVENING_SCHOOL } from './school.ts';
import { BACK_EASE, FOUNDATIONS, SMALL_BALL, TIMED_SETS } from './plans.ts';

const SLUG = 'tilework';
const WEEKS_BEFORE = 12;

/** Too few balls, on purpose. */
const CUPBOARD: Cupboard = {
  'small-ball': 12,
  cushion: 24,
  block: 14,
  band: 14,
  blanket: 10,
  towel: 20,
  pad: 14,
  chair: 4,
};

/**
 * Loads the demo studio when the database holds no studio at all, or anew when asked to.
 * The same day gives the same classes, people and logs.
 */
export async function loadDemo(database: Sequelize, reset: boolean, now: Date): Promise<void> {
  if (reset) await Studio.destroy({ where: { slug: SLUG, isDemo: true } });
  else if ((await Studio.count()) > 0) return;
  const passwordHash = await hashPassword(randomBytes(24).toString('hex'));
  await database.transaction((transaction) => fill(transaction, passwordHash, now));
}

async function fill(transaction: Transaction, passwordHash: string, now: Date): Promise<void> {
  const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const studio = await Studio.create(
    {
      id: randomUUID(),
      slug: SLUG,
      name: 'Tilework Studio',
      isDemo: true,
      timeZone,
      cupboard: CUPBOARD,
      schools: [EVENING_SCHOOL],
      pace: STEADY_PACE,
    },
    { transaction },
  );
  const studioId = studio.id;
  await User.create(
    {
      id: randomUUID(),
      studioId,
      email: 'rowan@tilework.example',
      name: 'Rowan Feld',
      passwordHash,
      role: 'owner',
    },
    { transaction },
  );
  const people = DEMO_PEOPLE.map(({ name, ...record }) => ({
    id: randomUUID(),
    studioId,
    name,
    record,
  }));
  await PersonRow.bulkCreate(people, { transaction });
  const ids = people.map(({ id }) => id);
  const today = DateTime.fromJSDate(now, { zone: timeZone }).startOf('day');
  for (const lesson of timetable(today, nextClass(today, now))) {
    await addClass(transaction, studioId, ids, lesson);
  }
}

interface Lesson {
  plan: Plan;
  startsAt: DateTime;
  /** Index into the people who come. */
  who: number[];
  /** How the teacher's day ran against the plan; left out for classes to come. */
  dayFactor?: number;
  seed: number;
}

const EVERYONE = DEMO_PEOPLE.map((_, index) => index);
const BACKS = [1, 2, 4, 6, 9, 10, 12, 13];

/** A quarter past six, or later when the evening has begun: today's class is still to come. */
function nextClass(today: DateTime, now: Date): DateTime {
  const usual = today.set({ hour: 18, minute: 15 });
  const soonest = DateTime.fromJSDate(now, { zone: today.zone }).plus({ minutes: 75 });
  const onTheQuarter = soonest.set({
    minute: 15 * Math.floor(soonest.minute / 15),
    second: 0,
    millisecond: 0,
  });
  return DateTime.max(usual, onTheQuarter);
}

/** Twelve weeks behind, the next class, and the days ahead. */
function timetable(today: DateTime, next: DateTime): Lesson[] {
  const ahead: Lesson[] = [
    {
      plan: SMALL_BALL,
      startsAt: next,
      who: EVERYONE.slice(0, 13),
      seed: 1,
    },
    {
      plan: BACK_EASE,
      startsAt: today.plus({ days: 1 }).set({ hour: 12, minute: 15 }),
      who: BACKS,
      seed: 2,
    },
    {
      plan: TIMED_SETS,
      startsAt: today.plus({ days: 2 }).set({ hour: 7, minute: 30 }),
      who: [0, 3, 7, 8, 11],
      seed: 3,
    },
    {
      plan: FOUNDATIONS,
      startsAt: today.plus({ days: 5 }).set({ hour: 18, minute: 15 }),
      who: [0, 4, 5, 6, 9, 10, 12],
      seed: 4,
    },
  ];
  const behind: Lesson[] = [];
  for (let week = 1; week <= WEEKS_BEFORE; week += 1) {
    const day = today.minus({ weeks: week });
    behind.push(
      {
        plan: FOUNDATIONS,
        startsAt: day.set({ hour: 18, minute: 15 }),
        who: rotate(EVERYONE, week).slice(0, 11),
        dayFactor: 1.05,
        seed: 100 + week,
      },
      {
        plan: BACK_EASE,
        startsAt: day.plus({ days: 1 }).set({ hour: 12, minute: 15 }),
        who: BACKS,
        dayFactor: 0.97,
        seed: 200 + week,
      },
    );
    if (week % 2 === 0) {
      behind.push({
        plan: TIMED_SETS,
        startsAt: day.plus({ days: 2 }).set({ hour: 7, minute: 30 }),
        who: [0, 3, 7, 8, 11],
        dayFactor: 1,
        seed: 300 + week,
      });
    }
  }
  return [...behind, ...ahead];
}

function rotate(list: number[], by: number): number[] {
  const at = by % list.length;
  return [...list.slice(at), ...list.slice(0, at)];
}

async function addClass(
  transaction: Transaction,
  studioId: string,
  people: string[],
  lesson: Lesson,
): Promise<void> {
  const startsAt = lesson.startsAt.toJSDate();
  const row = await ClassRow.create(
    { id: randomUUID(), studioId, title: lesson.plan.title, startsAt, plan: lesson.plan },
    { transaction },
  );
  const classId = row.id;
  await Booking.bulkCreate(
    lesson.who.flatMap((index) => {
      const personId = people[index];
      const booking = { studioId, classId, today: [], todayNote: '', choices: {} };
      return personId ? [{ ...booking, id: randomUUID(), personId }] : [];
    }),
    { transaction },
  );
  if (lesson.dayFactor === undefined) return;
  const events = taughtEvents(lesson.plan, startsAt.getTime(), lesson.dayFactor, lesson.seed);
  await ClassEvent.bulkCreate(
    events.map((event) => ({ eventId: event.id, studioId, classId, event })),
    { transaction },
  );
  await ClassNote.create(
    {
      classId,
      studioId,
      effort: 2 + (lesson.seed % 3),
      note: NOTES[lesson.seed % NOTES.length] ?? '',
    },
    { transaction },
  );
}

const NOTES = [
  'Calm room. Sides were even.',
  'Ran on at the bridge; fewer words next time.',
  'The balls were half flat again.',
  '',
];

/** A class as it may have been taught: each item a little longer or shorter than planned. */
function taughtEvents(plan: Plan, startMs: number, dayFactor: number, seed: number): LiveEvent[] {
  const random = seededRandom(seed);
  const timeline = timePlan(plan, builtInCatalogue);
  const event = (type: 'start' | 'next' | 'end', atMs: number, index: number): LiveEvent => ({
    id: `demo-${seed}-${index}`,
    type,
    atMs: Math.round(atMs),
  });
  let atMs = startMs + 60_000;
  const events = [event('start', atMs, 0)];
  timeline.items.forEach((item, index) => {
    atMs += item.durationS * 1000 * dayFactor * (0.85 + 0.3 * random());
    const isLast = index === timeline.items.length - 1;
    events.push(event(isLast ? 'end' : 'next', atMs, index + 1));
  });
  return events;
}

/** Mulberry32: the same seed gives the same class. */
function seededRandom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
