import type { Gear } from '../movement/gear.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import type { Edit } from '../plan/edits.ts';
import type { ExerciseItem, Plan } from '../plan/plan.ts';
import type { RuleId, SchoolRules } from '../plan/school.ts';
import type { TimedItem, Timeline } from '../plan/timing/timeline.ts';
import type { Group } from './group.ts';

export type RuleKind = 'order' | 'coverage' | 'shape' | 'care' | 'flow' | 'preference' | 'load';

/** An exercise of the running order with all that the rules ask of it. */
export interface Worked {
  item: ExerciseItem;
  timed: TimedItem;
  exercise: Exercise;
  /** The option that the group is shown. */
  option: Option;
  dose: Dose;
  /** How the machine is set for it, by the option or by the plan. */
  gear: Gear | undefined;
  /** Place in the running order, pauses counted. */
  at: number;
}

/** What a rule looks at. */
export interface RuleContext {
  plan: Plan;
  catalogue: Catalogue;
  timeline: Timeline;
  school: SchoolRules;
  group: Group;
  /** The exercises in running order; pauses are in the timeline only. */
  worked: readonly Worked[];
}

/** A change that would settle a problem, in words for its button. */
export interface Repair {
  label: string;
  edit: Edit;
  /** How many findings of order are left after it, where that was counted. */
  left?: number;
}

/** What a rule found, before its repairs are proven. */
export interface Problem {
  /** Tells this problem from others of the same rule, before and after an edit. */
  key: string;
  itemIds: string[];
  sentence: string;
  /** Repairs to try, best first; only those that truly clear the problem are offered. */
  candidates: () => Repair[];
}

export interface Rule {
  id: RuleId;
  statement: string;
  kind: RuleKind;
  /** Why it matters, in one sentence. */
  why: string;
  find: (context: RuleContext) => Problem[];
}

export interface Finding {
  rule: string;
  kind: RuleKind;
  /** True where the school says "must", and for what does not fit the people, the room or the hour. */
  binding: boolean;
  statement: string;
  why: string;
  key: string;
  itemIds: string[];
  sentence: string;
  /** Proven when they are first asked for: each was tried and truly clears this finding. */
  repairs: () => readonly Repair[];
}
