import { z } from 'zod';
import { LiveEvent } from '@wrenfern/core/live/events';
import { Exercise } from '@wrenfern/core/movement/exercise';
import { Machine } from '@wrenfern/core/movement/vocabulary';
import { Came } from '@wrenfern/core/people/came';
import { HandChoices } from '@wrenfern/core/people/choice';
import { CautionEntry } from '@wrenfern/core/people/person';
import { PersonBody } from '@wrenfern/contract/people';
import { Plan, SCHOOL_IDS } from '@wrenfern/core/plan/plan';
import { RULES } from '@wrenfern/core/review/rules';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { OwnPace, Pace } from '@wrenfern/core/plan/timing/pace';
import { OwnBounds } from '@wrenfern/core/people/own-bounds';
import { Machines } from '@wrenfern/core/room/machines';
import { Cupboard } from '@wrenfern/core/room/props';
import type { RouteName } from '@wrenfern/contract/answers';
import { NewPassword } from '../auth/passwords.ts';
import { ROLES } from '@wrenfern/contract/account';
import { DeskMessage } from '../desk/desk-message.ts';
import { NewClassBody } from '@wrenfern/contract/classes';
import {
  day,
  email,
  moment,
  password,
  personName,
  revisionRead,
  sixDigits,
  studioName,
  timeZone,
} from '@wrenfern/contract/fields';

const ownPassword = z.strictObject({ password });
const token = z.string().min(1).max(64);
const until = day.nullable().default(null);
const seq = z.coerce.number().int().min(0).max(Number.MAX_SAFE_INTEGER).default(0);

const name = z.string().trim().min(1, 'give it a name').max(120);
const GroupFields = { name, personIds: z.array(z.uuid()).max(300) };
const KeptFields = { name, tags: z.array(z.string().trim().min(1).max(40)).max(12).default([]) };

const ownSchools = z
  .array(SchoolRules)
  .max(20)
  .superRefine((schools, context) => {
    schools.forEach(({ id }, index) => {
      const isTaken =
        SCHOOL_IDS.some((known) => known === id) ||
        schools.findIndex((each) => each.id === id) < index;
      if (!isTaken) return;
      const message = `there is a school "${id}" already`;
      context.addIssue({ code: 'custom', path: [index, 'id'], message });
    });
    schools.forEach(({ rules }, index) => {
      for (const id of Object.keys(rules)) {
        if (RULES.some((rule) => rule.id === id)) continue;
        const message = `there is no rule "${id}"`;
        context.addIssue({ code: 'custom', path: [index, 'rules', id], message });
      }
    });
  });

/** What each route takes in its body. A route that is not here takes none. */
export const BODIES = {
  'POST /session': z.strictObject({
    email,
    password: z.string().min(1).max(200),
    /** Of the second factor, where there is one. */
    code: sixDigits.optional(),
    /** One of the recovery codes, for whoever lost the authenticator. */
    recovery: z.string().max(40).optional(),
  }),
  'POST /demo-session': z.strictObject({ timeZone }),
  'POST /set-up': z.strictObject({
    /** Printed at the first start, or given by an owner; not needed where anybody may set up a studio. */
    code: z.string().max(64).default(''),
    studio: studioName,
    name: personName,
    email,
    password: NewPassword,
    timeZone,
  }),
  'POST /links/look': z.strictObject({ token }),
  'POST /links/use': z.strictObject({ token, password: NewPassword }),

  'PUT /account/pace': z.strictObject({ pace: OwnPace.nullable() }),
  'PUT /account/password': z.strictObject({ password, next: NewPassword }),
  'POST /account/second-factor': ownPassword,
  'PUT /account/second-factor': z.strictObject({
    password,
    secret: z
      .string()
      .max(32)
      .regex(/^[A-Z2-7]{32}$/),
    code: sixDigits,
  }),
  'DELETE /account/second-factor': ownPassword,
  'POST /account/recovery-codes': ownPassword,

  'POST /classes': NewClassBody,
  'PATCH /classes/:id': z
    .strictObject({
      startsAt: moment,
      /** Why it does not take place; null brings it back. */
      calledOff: z.string().trim().min(1, 'say why').max(200).nullable(),
      /** Whose class it is. */
      instructorId: z.uuid().nullable(),
    })
    .partial()
    .extend({
      revision: revisionRead,
      /** Also those of the same series that come after it and were not taught. */
      following: z.boolean().default(false),
    }),
  'POST /week/copy': z.strictObject({ from: day, to: day }),
  'PUT /classes/:id/plan': z.strictObject({ revision: revisionRead, plan: Plan }),
  'PUT /classes/:id/cover': z.strictObject({ userId: z.uuid().nullable() }),
  'PUT /classes/:id/attendees': z.strictObject({
    revision: revisionRead,
    personIds: z.array(z.uuid()).max(300),
  }),
  'PATCH /classes/:id/attendees/:personId': z
    .strictObject({
      today: z.array(CautionEntry).max(10),
      todayNote: z.string().max(500),
      came: Came.nullable(),
      startsOn: Machine.nullable(),
      choices: HandChoices,
    })
    .partial()
    .extend({ revision: revisionRead }),
  'POST /classes/:id/events': z.strictObject({
    events: z.array(LiveEvent).min(1).max(200),
    after: seq,
  }),
  'PUT /classes/:id/note': z.strictObject({
    revision: revisionRead,
    /** How hard it was for the group: 1 easy to 5 very hard. */
    effort: z.number().int().min(1).max(5).nullable(),
    note: z.string().max(4000),
  }),

  'POST /desk/:studioId/messages': DeskMessage,
  'POST /feeds': z.strictObject({ onlyOwn: z.boolean() }),

  'POST /groups': z.strictObject(GroupFields),
  'PUT /groups/:id': z.strictObject({ ...GroupFields, revision: revisionRead }),
  'POST /kept-plans': z.strictObject({ ...KeptFields, plan: Plan }),
  'PUT /kept-plans/:id': z.strictObject({ ...KeptFields, revision: revisionRead }),

  'PUT /exercises/:slug': z.strictObject({
    /** The version that was opened; 0 for a new exercise. */
    version: revisionRead,
    exercise: Exercise,
  }),

  'POST /people': PersonBody,
  /** New people, and changes of known ones from the revision that was seen; all are taken or none. */
  'POST /people/import': z.strictObject({
    people: z
      .array(
        z.strictObject({
          id: z.uuid().nullable(),
          revision: revisionRead.default(0),
          person: PersonBody,
        }),
      )
      .min(1)
      .max(300),
  }),
  'PUT /people/:id': PersonBody.extend({ revision: revisionRead }),

  'PATCH /studio': z
    .strictObject({
      name: studioName,
      cupboard: Cupboard,
      pace: Pace,
      machines: Machines,
      /** Months after which people who came to nothing are taken out; null for never. */
      retentionMonths: z.number().int().min(3).max(240).nullable(),
      /** Whether everybody signs in with a second factor; whoever has none sets one up first. */
      needsSecondFactor: z.boolean(),
      schools: ownSchools,
      ownBounds: OwnBounds,
    })
    .partial()
    .extend({ revision: revisionRead }),

  /** Asked for again: whoever finds a device unlocked is not to carry everything away. */
  'POST /studio/archive': z.strictObject({ password: z.string().max(200).default('') }),

  'POST /team/invitations': z
    .strictObject({ name: personName, email, role: z.enum(ROLES), until })
    .refine(({ role, until: last }) => role !== 'owner' || last === null, {
      path: ['until'],
      message: 'an owner stays',
    }),
  'PATCH /team/:id': z.strictObject({ role: z.enum(ROLES), until }),
} as const satisfies Partial<Record<RouteName, z.ZodType>>;

/** What each route takes behind its address. */
export const QUERIES = {
  'GET /today': z.strictObject({ from: moment }),
  /** From one day to another, both in it; nothing past what fits on a page. */
  'GET /week': z.strictObject({ from: day, until: day }),
  'GET /classes': z.strictObject({
    before: moment.optional(),
    limit: z.coerce.number().int().min(1).max(100).default(50),
  }),
  'GET /classes/:id/events': z.strictObject({ after: seq }),
  /** Of what was shown to be replaced. */
  'PUT /studio/archive': z.strictObject({ mark: z.string().min(1).max(120) }),
  'GET /trail': z.strictObject({
    before: z.coerce.number().int().min(1).max(Number.MAX_SAFE_INTEGER).optional(),
  }),
} as const satisfies Partial<Record<RouteName, z.ZodType>>;
