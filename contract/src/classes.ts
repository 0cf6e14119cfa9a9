import { z } from 'zod';
import { LiveEvent } from '@wrenfern/core/live/events';
import { Machine } from '@wrenfern/core/movement/vocabulary';
import { Came } from '@wrenfern/core/people/came';
import { HandChoices } from '@wrenfern/core/people/choice';
import { CautionEntry, Person } from '@wrenfern/core/people/person';
import { Plan, PlanDetails, School } from '@wrenfern/core/plan/plan';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { Pace } from '@wrenfern/core/plan/timing/pace';
import { OwnBounds } from '@wrenfern/core/people/own-bounds';
import { Machines } from '@wrenfern/core/room/machines';
import { Cupboard } from '@wrenfern/core/room/props';
import { day, moment as givenMoment } from './fields.ts';

const moment = z.iso.datetime();
/** Saved so many times: a save names the one it began from. */
const revision = z.number();

/** The whole classes that ship. */
const STARTER_IDS = ['mat', 'reformer', 'chair'] as const;
export type StarterId = (typeof STARTER_IDS)[number];

/** What a class is made from. */
export const NewClassBody = z.strictObject({
  title: PlanDetails.shape.title,
  startsAt: givenMoment,
  machine: Machine.default('mat'),
  /** One group on the machines while the other is on the mat; then they change over. */
  twoGroups: z.boolean().default(false),
  school: School.default('foundations-first'),
  targetS: PlanDetails.shape.targetS.default(3000),
  /** Takes the plan of another class of the studio, its machine and school with it. */
  copyOf: z.uuid('choose the class').optional(),
  /** Takes a kept plan of the studio, its machine and school with it. */
  keptPlanId: z.uuid('choose the plan').optional(),
  /** Takes one of the whole classes that ship, its machine, school and length with it. */
  starter: z.enum(STARTER_IDS).optional(),
  /** What is to be done otherwise than in the class that is copied. */
  vary: z.string().trim().max(400).default(''),
  /** Those who come to this class come here too. */
  peopleOf: z.uuid().optional(),
  /** A standing group of which all come. */
  groupId: z.uuid().optional(),
  /** Whose class it is; without it, of whoever makes it. */
  instructorId: z.uuid().optional(),
  /** Every week at the same time until this day; the later ones are still to be planned. */
  weeklyUntil: day.optional(),
});
export type NewClassBody = z.infer<typeof NewClassBody>;

/** The first of what was made, and all of it where it repeats. */
export const ClassesMade = z.object({ id: z.string(), ids: z.array(z.string()) });
export const WeekCopied = z.object({ ids: z.array(z.string()) });
export const Cover = z.object({ coverUserId: z.string().nullable() });

export const BookedPerson = z.object({
  person: Person,
  today: z.array(CautionEntry),
  todayNote: z.string(),
  /** What was seen at the door; left out while nobody looked. */
  came: Came.optional(),
  /** Where they begin in a class of two groups, where somebody put them there. */
  startsOn: Machine.optional(),
  byHand: HandChoices,
  /** The studio's own numbers, as far as they are about this person's cautions. */
  ownBounds: OwnBounds.optional(),
  revision,
});
export type BookedPerson = z.infer<typeof BookedPerson>;

export const WholeClass = z.object({
  id: z.string(),
  title: z.string(),
  startsAt: moment,
  day: z.iso.date(),
  revision,
  detailsRevision: revision,
  attendeesRevision: revision,
  plan: Plan,
  attendees: z.array(BookedPerson),
  familiar: z.array(z.string()),
  taught: z.boolean(),
  /** Whose class it is; null when that was never said. */
  instructorId: z.string().nullable(),
  /** Whom the class was handed over to. */
  coverUserId: z.string().nullable(),
  cupboard: Cupboard,
  pace: Pace,
  machines: Machines,
  /** Why it does not take place; null while it does. */
  calledOff: z.string().nullable(),
  /** One of a series that repeats. */
  isRepeated: z.boolean(),
  /** The studio's own schools. */
  schools: z.array(SchoolRules),
  /** Exercises of the last classes that these people came to, newest first. */
  lately: z.array(z.string()),
});
export type WholeClass = z.infer<typeof WholeClass>;

export const PlanSaved = z.object({ revision });
/** One of the saved plans, whole. */
export const SavedPlan = z.object({ revision, plan: Plan });

/** A saved plan in the history of a class. */
export const PlanRevision = z.object({
  revision,
  savedBy: z.string(),
  savedAt: moment,
  wasTaught: z.boolean(),
});
export type PlanRevision = z.infer<typeof PlanRevision>;
export const PlanRevisions = z.object({ revisions: z.array(PlanRevision) });

/** An event as the server has it: `seq` counts up as they arrive. */
export const Pressed = z.object({ seq: z.number(), event: LiveEvent });
export type Pressed = z.infer<typeof Pressed>;

export const EventsTaken = z.object({
  pressed: z.array(Pressed),
  /** The server's clock. */
  nowMs: z.number(),
});
export const ClassEvents = EventsTaken.extend({
  /** The plan as it is taught, from the first start on. */
  taught: SavedPlan.nullable(),
});
export type ClassEvents = z.infer<typeof ClassEvents>;

export const ClassNote = z.object({
  effort: z.number().nullable(),
  note: z.string(),
  revision,
});
export type ClassNote = z.infer<typeof ClassNote>;

/** A plan without a date. */
export const KeptPlan = z.object({
  id: z.string(),
  name: z.string(),
  tags: z.array(z.string()),
  machine: Machine,
  targetS: z.number(),
  items: z.number(),
  revision,
});
/** And how it went in the classes that were begun from it. */
export const KeptPlanRow = KeptPlan.extend({
  taught: z.number(),
  lastTaughtAt: moment.nullable(),
  tookS: z.object({ least: z.number(), most: z.number() }).nullable(),
});
export type KeptPlanRow = z.infer<typeof KeptPlanRow>;
export const KeptPlans = z.object({ plans: z.array(KeptPlanRow) });
export const WholeKeptPlan = KeptPlan.extend({ plan: Plan });
