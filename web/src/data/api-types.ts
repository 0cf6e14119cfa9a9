import type { LiveEvent } from '@wrenfern/core/live/events';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { CautionEntry, Person } from '@wrenfern/core/people/person';
import type { HandChoice } from '@wrenfern/core/people/choose-option';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import type { Machines } from '@wrenfern/core/room/machines';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import type { Cupboard } from '@wrenfern/core/room/props';
import type { Direction } from '@wrenfern/core/movement/directions';

export const ROLES = ['owner', 'instructor', 'cover', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** What the server answers, as far as the screens use it. */
export interface Session {
  user: {
    id: string;
    name: string;
    role: Role;
    /** The studio asks for a second factor, and this user has none yet. */
    lacksSecondFactor: boolean;
  };
  studio: {
    name: string;
    slug: string;
    isDemo: boolean;
    timeZone: string;
    needsSecondFactor: boolean;
  };
}

export interface Door {
  demo: boolean;
  isSetUp: boolean;
  allowStudios: boolean;
}

/** What a one-time link is for. */
export interface LinkPurpose {
  kind: 'invite' | 'reset';
  studio: string;
  name: string;
  email: string;
  role: Role;
}

export interface Account {
  name: string;
  email: string;
  role: Role;
  until: string | null;
  hasSecondFactor: boolean;
  recoveryCodesLeft: number;
  sessions: { id: string; device: string; startedAt: string; seenAt: string; isThis: boolean }[];
}

export interface Wasted {
  kind: 'class' | 'person' | 'exercise';
  id: string;
  name: string;
  deletedAt: string;
  goneAt: string;
}

/** Something that a studio has nearly as much of as it may. */
export interface Room {
  words: string;
  held: number;
  most: number;
}

export interface TrailEntry {
  id: number;
  who: string;
  action: 'read' | 'changed' | 'deleted' | 'restored' | 'exported' | 'erased';
  subject: 'person' | 'people' | 'class';
  name: string | null;
  at: string;
}

/** What a class comes to, and what is left to settle. */
export interface Readiness {
  totalS: number;
  likely: { lowS: number; highS: number };
  items: number;
  directions: Record<Direction, number>;
  swell: { seconds: number; effort: number }[];
  toSettle: { time: string[]; options: string[]; props: string[]; order: string[] };
}

/** Something by its id, with the name to show. */
export interface Named {
  id: string;
  name: string;
}

export interface ReadyClass {
  id: string;
  title: string;
  startsAt: string;
  targetS: number;
  coming: string[];
  taught: boolean;
  machine: Machine;
  /** Why it does not take place; null while it does. */
  calledOff: string | null;
  isRepeated: boolean;
  /** The class of the same series before it, to begin from. */
  lastOfSeries: string | null;
  /** Whoever stands before it; null when nobody was named. */
  instructor: Named | null;
  school: Named | null;
  /** Rows of its plan; none while nothing is planned. */
  items: number;
  /** Names of its exercises, each once. */
  exercises: string[];
  detailsRevision: number;
  /**
   * `late` when it could not be worked out in time, `unreadable` when another version wrote it, `outline` where
   * a month does not ask for more.
   */
  state: 'ready' | 'late' | 'unreadable' | 'outline';
  ready: Readiness | null;
}

/** A saved plan in the history of a class. */
export interface PlanRevisionRow {
  revision: number;
  savedBy: string;
  savedAt: string;
  wasTaught: boolean;
}

/** An event as the server has it: `seq` counts up as they arrive. */
export interface Pressed {
  seq: number;
  event: LiveEvent;
}

export interface ClassEvents {
  pressed: Pressed[];
  /** The server's clock. */
  nowMs: number;
  /** The plan as it is taught, from the first start on. */
  taught?: { revision: number; plan: Plan } | null;
}

/** Events as they were read, and how far the server's clock was ahead of this device's then. */
export interface EventsRead extends ClassEvents {
  offsetMs: number;
}

export interface ClassNote {
  effort: number | null;
  note: string;
  revision: number;
}

export interface ClassSummaryRow {
  id: string;
  title: string;
  startsAt: string;
  targetS: number;
  machine: Machine;
  items: number;
  coming: number;
  taught: boolean;
  effort: number | null;
}

export interface BookedPerson {
  person: Person;
  today: CautionEntry[];
  todayNote: string;
  byHand: Record<string, HandChoice>;
  revision: number;
}

export interface WholeClass {
  id: string;
  title: string;
  startsAt: string;
  day: string;
  revision: number;
  detailsRevision: number;
  attendeesRevision: number;
  plan: Plan;
  attendees: BookedPerson[];
  familiar: string[];
  taught: boolean;
  /** Whose class it is; null when that was never said. */
  instructorId: string | null;
  /** Whom the class was handed over to. */
  coverUserId: string | null;
  cupboard: Cupboard;
  pace: Pace;
  machines: Machines;
  /** Why it does not take place; null while it does. */
  calledOff: string | null;
  /** One of a series that repeats. */
  isRepeated: boolean;
  /** The studio's own schools. */
  schools: SchoolRules[];
  /** Exercises of the last classes that these people came to, newest first. */
  lately: string[];
}

export interface StudioSettings {
  name: string;
  slug: string;
  isDemo: boolean;
  timeZone: string;
  cupboard: Cupboard;
  pace: Pace;
  machines: Machines;
  schools: SchoolRules[];
  /** Months after which people who came to nothing are taken out; null for never. */
  retentionMonths: number | null;
  /** Whether everybody here signs in with a second factor. */
  needsSecondFactor: boolean;
  revision: number;
}

/** A record and how often it was saved. */
export type RevisedPerson = Person & { revision: number };

export interface TeamMember {
  id: string;
  name: string;
  email: string;
  role: Role;
  until: string | null;
  hasSecondFactor: boolean;
}

export interface Invitation extends Omit<TeamMember, 'hasSecondFactor'> {
  expires: string;
}

/** Whether a booking desk may send messages here, and what it told lately. */
export interface DeskState {
  isOn: boolean;
  path: string;
  told: {
    at: string;
    event: 'booked' | 'cancelled' | 'late-cancelled' | 'walked-in';
    /** Null once they are gone. */
    person: string | null;
    class: { title: string; startsAt: string } | null;
  }[];
}

/** A private address of one's own at which a calendar reads classes. */
export interface FeedRow {
  id: string;
  onlyOwn: boolean;
  madeAt: string;
  /** When a calendar last came. */
  readAt: string | null;
}

/** People who usually come together. */
export interface StandingGroup {
  id: string;
  name: string;
  personIds: string[];
  revision: number;
}

/** A plan without a date, and how it went in the classes that were begun from it. */
export interface KeptPlanRow {
  id: string;
  name: string;
  tags: string[];
  machine: Machine;
  targetS: number;
  items: number;
  revision: number;
  taught: number;
  lastTaughtAt: string | null;
  tookS: { least: number; most: number } | null;
}

/** One version of a studio's own exercise. */
export interface OwnExercise {
  exercise: Exercise;
  version: number;
  savedAt: string;
}

/** The classes an exercise stands in, newest first; `count` is of all of them. */
export interface ExerciseHistory {
  count: number;
  classes: { id: string; title: string; startsAt: string; taught: boolean }[];
}
