import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { CautionEntry, Person } from '@wrenfern/core/people/person';
import type { HandChoice } from '@wrenfern/core/people/choose-option';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import type { Cupboard } from '@wrenfern/core/room/props';
import type { Direction } from '@wrenfern/core/movement/directions';

/** What the server answers, as far as the screens use it. */
export interface Session {
  user: { id: string; name: string; role: 'owner' | 'instructor' };
  studio: { name: string; slug: string; isDemo: boolean; timeZone: string };
}

export interface Door {
  demo: { slug: string; name: string } | null;
  canSetUp: boolean;
}

export interface ReadyClass {
  id: string;
  title: string;
  startsAt: string;
  targetS: number;
  totalS: number;
  likely: { lowS: number; highS: number };
  items: number;
  coming: string[];
  directions: Record<Direction, number>;
  swell: { seconds: number; effort: number }[];
  taught: boolean;
  toSettle: { time: string[]; options: string[]; props: string[]; order: string[] };
}

export interface ClassSummaryRow {
  id: string;
  title: string;
  startsAt: string;
  targetS: number;
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
}

export interface WholeClass {
  id: string;
  title: string;
  startsAt: string;
  day: string;
  revision: number;
  plan: Plan;
  attendees: BookedPerson[];
  familiar: string[];
  taught: boolean;
  cupboard: Cupboard;
  pace: Pace;
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
  schools: SchoolRules[];
}

export interface TeamMember {
  id: string;
  name: string;
  email: string;
  role: 'owner' | 'instructor';
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
