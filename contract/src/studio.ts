import { z } from 'zod';
import { LoggedParts } from '@wrenfern/core/log/logged-parts';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { ClassStyle } from '@wrenfern/core/plan/class-style';
import { Pace } from '@wrenfern/core/plan/timing/pace';
import { OwnBounds } from '@wrenfern/core/people/own-bounds';
import { Machines } from '@wrenfern/core/room/machines';
import { Cupboard } from '@wrenfern/core/room/props';
import { Role } from './account.ts';

const moment = z.iso.datetime();

export const StudioSettings = z.object({
  name: z.string(),
  slug: z.string(),
  isDemo: z.boolean(),
  timeZone: z.string(),
  cupboard: Cupboard,
  pace: Pace,
  machines: Machines,
  schools: z.array(SchoolRules),
  /** Numbers of cautions, where the studio has its own. */
  ownBounds: OwnBounds,
  /** Months after which people who came to nothing are taken out; null for never. */
  retentionMonths: z.number().nullable(),
  /** Whether everybody here signs in with a second factor. */
  needsSecondFactor: z.boolean(),
  revision: z.number(),
});
export type StudioSettings = z.infer<typeof StudioSettings>;

/** With it somebody may set up a studio of their own. */
export const StudioInvitation = z.object({ code: z.string() });

export const TeamMember = z.object({
  id: z.string(),
  name: z.string(),
  email: z.string(),
  role: Role,
  until: z.string().nullable(),
  hasSecondFactor: z.boolean(),
});
export type TeamMember = z.infer<typeof TeamMember>;

const Invitation = z.object({
  id: z.string(),
  name: z.string(),
  email: z.string(),
  role: Role,
  until: z.string().nullable(),
  expires: moment,
});
export type Invitation = z.infer<typeof Invitation>;
export const Team = z.object({ team: z.array(TeamMember), invitations: z.array(Invitation) });
export type Team = z.infer<typeof Team>;

/** A one-time link, as the path to it. */
export const LinkPath = z.object({ path: z.string() });
export const Invited = LinkPath.extend({ id: z.string() });

/** Whether a booking desk may send messages here, and what it told lately. */
export const DeskState = z.object({
  isOn: z.boolean(),
  path: z.string(),
  told: z.array(
    z.object({
      at: moment,
      event: z.enum(['booked', 'cancelled', 'late-cancelled', 'walked-in']),
      /** Null once they are gone. */
      person: z.string().nullable(),
      class: z.object({ title: z.string(), startsAt: moment }).nullable(),
    }),
  ),
});
export type DeskState = z.infer<typeof DeskState>;
/** Told once and never again. */
export const DeskSecret = z.object({ secret: z.string(), path: z.string() });
export const DeskOutcome = z.object({ outcome: z.string() });
/** What can be booked. */
export const DeskClasses = z.object({
  studio: z.string(),
  classes: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      startsAt: moment,
      minutes: z.number(),
      coming: z.number(),
      refs: z.array(z.string()),
    }),
  ),
});

/** A private address of one's own at which a calendar reads classes. */
export const Feed = z.object({
  id: z.string(),
  onlyOwn: z.boolean(),
  madeAt: moment,
  /** When a calendar last came. */
  readAt: moment.nullable(),
});
export type Feed = z.infer<typeof Feed>;
export const Feeds = z.object({ feeds: z.array(Feed) });
/** How often each rule was set aside on purpose in the classes of the last weeks. */
export const SetAsideOften = z.object({
  weeks: z.number(),
  classes: z.number(),
  rules: z.array(z.object({ rule: z.string(), classes: z.number(), reasons: z.array(z.string()) })),
});
export type SetAsideOften = z.infer<typeof SetAsideOften>;

/** The address is told once and never again. */
export const NewFeed = Feed.extend({ path: z.string() });

/** What stands where an archive would be put; `mark` is of exactly that. */
export const Replaced = z.object({
  people: z.number(),
  classes: z.number(),
  exercises: z.number(),
  mark: z.string(),
});
/** What an archive holds. */
export const LookedInto = z.object({
  studio: z.string(),
  madeAt: z.string(),
  holds: z.object({
    people: z.number(),
    classes: z.number(),
    exercises: z.number(),
    groups: z.number(),
    keptPlans: z.number(),
  }),
  /** Emails of those who teach in it and are in no team here. */
  unknownTeachers: z.array(z.string()),
  replaces: Replaced,
});
export type LookedInto = z.infer<typeof LookedInto>;

/** The last taught classes with what took how long in them, newest first: what a pace is learned from. */
export const TaughtParts = z.object({
  classes: z.array(
    z.object({
      title: z.string(),
      day: z.string(),
      /** How it was led, where that was said. */
      style: ClassStyle.optional(),
      parts: z.array(LoggedParts),
    }),
  ),
  /** What it would make of the next class: its length now and then; null where none is planned or nothing is learned. */
  next: z
    .object({ title: z.string(), startsAt: z.iso.datetime(), nowS: z.number(), thenS: z.number() })
    .nullable(),
});
export type TaughtParts = z.infer<typeof TaughtParts>;
