import { randomBytes, randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { classLengthS } from '@wrenfern/core/live/class-length';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import type { Plan } from '@wrenfern/core/plan/plan';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { timeTracks } from '@wrenfern/core/plan/timing/time-tracks';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import type { Cupboard } from '@wrenfern/core/room/props';
import { hashPassword } from '../auth/passwords.ts';
import { ApiError } from '../api/errors.ts';
import {
  Booking,
  ClassEvent,
  ClassNote,
  ClassRow,
  databaseOfModels,
  ExerciseVersion,
  PersonRow,
  PlanRevision,
  Studio,
  User,
} from '../db/models.ts';
import { sealBooking, sealRecord } from '../keeping/records.ts';
import { demoPeople } from './people.ts';
import { EVENING_SCHOOL } from './school.ts';
import { DEMO_CATALOGUE, DEMO_EXERCISES } from './exercises.ts';
import { DEMO_MACHINES } from './machines.ts';
import { timetable, type DemoTeacher, type Lesson, type Series } from './timetable.ts';

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

/** A demo studio that was used this lately is never taken away for another visitor. */
const STILL_USED_MS = 10 * 60_000;

/**
 * Opens a demo studio for one visitor, with today as its middle, and tells its owner. When there are as
 * many as there may be, the one that was left longest ago makes room.
 */
export async function openDemo(timeZone: string, most: number, now: Date): Promise<User> {
  await makeRoom(most, now);
  const passwordHash = await nobodysPassword();
  return databaseOfModels().transaction((transaction) =>
    fill(transaction, passwordHash, timeZone, now),
  );
}

async function makeRoom(most: number, now: Date): Promise<void> {
  if ((await Studio.count({ where: { isDemo: true } })) < most) return;
  const left = await Studio.findOne({
    where: {
      isDemo: true,
      [Op.or]: [{ usedAt: null }, { usedAt: { [Op.lt]: new Date(now.getTime() - STILL_USED_MS) } }],
    },
    order: ['usedAt'],
  });
  if (!left) throw new ApiError('demo-full');
  await left.destroy();
}

let hash: Promise<string> | undefined;

/** Nobody signs in to a demo: its owner's password is made up and thrown away. */
function nobodysPassword(): Promise<string> {
  hash ??= hashPassword(randomBytes(24).toString('hex'));
  return hash;
}

async function fill(
  transaction: Transaction,
  passwordHash: string,
  timeZone: string,
  now: Date,
): Promise<User> {
  const studioId = randomUUID();
  await Studio.create(
    {
      id: studioId,
      slug: `demo-${studioId}`,
      name: 'Tilework Studio',
      isDemo: true,
      timeZone,
      cupboard: CUPBOARD,
      schools: [EVENING_SCHOOL],
      pace: STEADY_PACE,
      machines: DEMO_MACHINES,
      usedAt: now,
    },
    { transaction },
  );
  const user = await User.create(
    {
      id: randomUUID(),
      studioId,
      // Nobody's, and another for each demo: addresses are unique.
      email: `rowan-${studioId.slice(0, 8)}@tilework.example`,
      name: 'Rowan Feld',
      passwordHash,
      role: 'owner',
    },
    { transaction },
  );
  const colleague = await User.create(
    {
      id: randomUUID(),
      studioId,
      email: `tamsin-${studioId.slice(0, 8)}@tilework.example`,
      name: 'Tamsin Orrell',
      passwordHash,
      role: 'instructor',
    },
    { transaction },
  );
  const people = demoPeople(now).map(({ name, ...record }) => {
    const id = randomUUID();
    return { id, studioId, name, sealed: sealRecord(studioId, id, record) };
  });
  await PersonRow.bulkCreate(people, { transaction });
  const names: Names = {
    studioId,
    people: people.map(({ id }) => id),
    series: { mixed: randomUUID(), first: randomUUID(), both: randomUUID() },
    teachers: { rowan: user, tamsin: colleague },
  };
  const rows = timetable(timeZone, now).map((lesson) => rowsOfLesson(names, lesson));
  await ExerciseVersion.bulkCreate(
    DEMO_EXERCISES.map((exercise) => ({
      id: randomUUID(),
      studioId,
      slug: exercise.slug,
      version: 1,
      exercise,
    })),
    { transaction },
  );
  await ClassRow.bulkCreate(
    rows.map((row) => row.lesson),
    { transaction },
  );
  await PlanRevision.bulkCreate(
    rows.map((row) => row.revision),
    { transaction },
  );
  await Booking.bulkCreate(
    rows.flatMap((row) => row.bookings),
    { transaction },
  );
  await ClassEvent.bulkCreate(
    rows.flatMap((row) => row.events),
    { transaction },
  );
  await ClassNote.bulkCreate(
    rows.flatMap((row) => row.notes),
    { transaction },
  );
  return user;
}

/** Rows of this demo that its classes name. */
interface Names {
  studioId: string;
  people: readonly string[];
  series: Record<Series, string>;
  teachers: Record<DemoTeacher, User>;
}

/** Everything that a class of the demo puts into the tables. */
function rowsOfLesson({ studioId, people, series, teachers }: Names, lesson: Lesson) {
  const { plan, seed, dayFactor, startsAt } = lesson;
  const teacher = teachers[lesson.teacher];
  const classId = randomUUID();
  const isTaught = dayFactor !== undefined;
  const events = isTaught ? taughtEvents(plan, startsAt.getTime(), dayFactor, seed) : [];
  const note = NOTES[seed % NOTES.length] ?? '';
  return {
    lesson: {
      id: classId,
      studioId,
      title: plan.title,
      startsAt,
      plan,
      taughtRevision: isTaught ? 1 : null,
      seriesId: lesson.series ? series[lesson.series] : null,
      instructorId: teacher.id,
      tookS: classLengthS(events),
    },
    revision: { id: randomUUID(), studioId, classId, revision: 1, plan, savedBy: teacher.name },
    bookings: lesson.who.flatMap((index) => {
      const personId = people[index];
      if (!personId) return [];
      const names = { studioId, classId, personId };
      const sealed = sealBooking(names, { today: [], todayNote: '' });
      return [{ ...names, id: randomUUID(), sealed, choices: {} }];
    }),
    events: events.map((event) => ({ eventId: event.id, studioId, classId, event })),
    notes: isTaught ? [{ classId, studioId, effort: 2 + (seed % 3), note }] : [],
  };
}

const NOTES = [
  'Calm room. Sides were even.',
  'Ran on at the bridge; fewer words next time.',
  'The balls were half flat again.',
  '',
];

/** A class as it may have been taught: each step a little longer or shorter than planned. */
function taughtEvents(plan: Plan, startMs: number, dayFactor: number, seed: number): LiveEvent[] {
  const random = seededRandom(seed);
  let lateMs = 60_000;
  let plannedS = 0;
  const presses = stepsOf(plan).map(({ itemId, startS }) => {
    lateMs += (startS - plannedS) * 1000 * (dayFactor * (0.85 + 0.3 * random()) - 1);
    plannedS = startS;
    return { itemId, atMs: Math.round(startMs + startS * 1000 + lateMs) };
  });
  return presses.map(({ itemId, atMs }, index): LiveEvent => {
    const shared = { id: `demo-${seed}-${index}`, atMs, order: index + 1 };
    if (index === 0) return { type: 'start', ...shared };
    return itemId === undefined ? { type: 'end', ...shared } : { type: 'goTo', itemId, ...shared };
  });
}

interface Step {
  /** Left out at the end of the class. */
  itemId?: string;
  startS: number;
}

/** When each step begins by the plan; of two groups, the steps of both by one clock. */
function stepsOf(plan: Plan): Step[] {
  const ways = isMixed(plan)
    ? Object.values(timeTracks(plan, DEMO_CATALOGUE)).map((track) => planAsOccurrences(track.plan))
    : [planAsOccurrences(plan)];
  const timelines = ways.map((way) => timePlan(way, DEMO_CATALOGUE));
  const starts = new Map(
    timelines.flatMap(({ items }) => items.map(({ itemId, startS }) => [itemId, startS] as const)),
  );
  const endS = Math.max(...timelines.map(({ totalS }) => totalS));
  return [
    ...[...starts].map(([itemId, startS]) => ({ itemId, startS })).sort(byStart),
    { startS: endS },
  ];
}

const byStart = (a: Step, b: Step) => a.startS - b.startS;

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
