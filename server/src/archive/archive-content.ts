import { z } from 'zod';
import { LiveEvent } from '@wrenfern/core/live/events';
import { Exercise } from '@wrenfern/core/movement/exercise';
import { SLUG } from '@wrenfern/core/movement/vocabulary';
import { Machine } from '@wrenfern/core/movement/vocabulary';
import { Came } from '@wrenfern/core/people/came';
import { HandChoices } from '@wrenfern/core/people/choice';
import { CautionEntry, Person } from '@wrenfern/core/people/person';
import { readSchool, StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { Pace } from '@wrenfern/core/plan/timing/pace';
import { OwnBounds } from '@wrenfern/core/people/own-bounds';
import { Machines } from '@wrenfern/core/room/machines';
import { Cupboard } from '@wrenfern/core/room/props';
import { isTimeZone } from '@wrenfern/core/week/studio-time';

export const ARCHIVE_FORMAT = 'wrenfern-studio/1';

/** A name within one archive: p for people, k for kept plans, s for series. Rows get new ids wherever it is read. */
const ref = z
  .string()
  .max(12)
  .regex(/^[pks]\d+$/);
const moment = z.iso.datetime({ offset: true }).max(40);
const email = z.string().max(190);
const name = z.string().trim().min(1).max(120);

/** What stands in `studio.json`: the settings. */
export const SettingsFile = z.strictObject({
  timeZone: z.string().max(64).refine(isTimeZone, 'no such time zone'),
  cupboard: Cupboard,
  pace: Pace,
  machines: Machines.nullable(),
  // Archives from before there were any.
  ownBounds: OwnBounds.nullable().default(null),
  schools: z.array(z.preprocess(readSchool, SchoolRules)).max(20),
  retentionMonths: z.number().int().min(3).max(240).nullable(),
});

/** `people.json`. */
export const PeopleFile = z
  .array(
    Person.omit({ id: true }).extend({
      ref,
      since: moment,
      deskRef: z.string().max(64).nullable(),
    }),
  )
  .max(5_000);

/** `exercises.json`: every version of the studio's own. */
export const ExercisesFile = z
  .array(
    z.strictObject({
      slug: SLUG,
      version: z.number().int().min(1).max(100_000),
      savedAt: moment,
      exercise: Exercise,
    }),
  )
  .max(5_000);

/** `groups.json`. */
export const GroupsFile = z.array(z.strictObject({ name, people: z.array(ref).max(300) })).max(500);

/** `kept-plans.json`. */
export const KeptPlansFile = z
  .array(z.strictObject({ ref, name, tags: z.array(z.string().max(40)).max(12), plan: StoredPlan }))
  .max(500);

/** `classes/0001.json`: a class with who came and how it went. */
export const ClassFile = z.strictObject({
  title: name,
  startsAt: moment,
  plan: StoredPlan,
  /** The plan that it was taught by; null before it was taught. */
  taughtPlan: StoredPlan.nullable(),
  series: ref.nullable(),
  keptPlan: ref.nullable(),
  /** By email: found again where somebody in the team has it. */
  instructor: email.nullable(),
  cover: email.nullable(),
  calledOff: z.string().max(200).nullable(),
  people: z
    .array(
      z.strictObject({
        person: ref,
        today: z.array(CautionEntry).max(10),
        todayNote: z.string().max(500),
        came: Came.optional(),
        startsOn: Machine.optional(),
        choices: HandChoices,
      }),
    )
    .max(300),
  events: z.array(LiveEvent).max(5_000),
  note: z
    .strictObject({ effort: z.number().int().min(1).max(5).nullable(), note: z.string().max(4000) })
    .nullable(),
});
export type ClassFile = z.infer<typeof ClassFile>;

/** Everything of a studio that an archive brings to another. */
export interface StudioContent {
  settings: z.infer<typeof SettingsFile>;
  people: z.infer<typeof PeopleFile>;
  exercises: z.infer<typeof ExercisesFile>;
  groups: z.infer<typeof GroupsFile>;
  keptPlans: z.infer<typeof KeptPlansFile>;
  classes: ClassFile[];
}

/** `manifest.json`: which files there are, and what each must be, byte for byte. */
export const Manifest = z.object({
  format: z.literal(ARCHIVE_FORMAT, 'is no archive of a studio that this version reads'),
  studio: z.string().max(120),
  madeAt: moment,
  files: z
    .array(
      z.strictObject({
        path: z.string().max(60),
        bytes: z.number().int().min(0),
        sha256: z.string().length(64),
      }),
    )
    .max(25_000),
});
export type Manifest = z.infer<typeof Manifest>;
