import type { Gear } from '../movement/gear.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import type { Edit } from '../plan/edits.ts';
import type { ExerciseItem, Plan } from '../plan/plan.ts';
import type { CostId, SchoolRules, Standing } from '../plan/school.ts';
import type { TimedItem, Timeline } from '../plan/timing/timeline.ts';
import type { ClassKind } from './class-kind.ts';
import type { DraftRows } from './draft-rows.ts';
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
  /** Those that the school looks at. */
  rules: readonly { rule: Rule; standing: Exclude<Standing, 'off'> }[];
  group: Group;
  kind: ClassKind;
  /** Exercises that the group knows; left out where nothing is known of it. */
  familiar?: ReadonlySet<string> | undefined;
  /** The exercises in running order; pauses are in the timeline only. */
  worked: readonly Worked[];
}

/** As much of an item as decides what should come before it. */
export type Placeable = Pick<Worked, 'exercise' | 'option' | 'dose'> & {
  timed: Pick<TimedItem, 'moves' | 'position' | 'props'>;
};

/** What breaking a rule once costs, in seconds of class that one would spend to avoid it. */
export const STANDING_PRICE_S: Record<Standing, number> = { must: 90, should: 20, off: 0 };

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

/**
 * What the search for an order is told of a rule. It folds over the rules that are not off and knows
 * none of them by name. Prices are seconds of class time that one would spend to avoid the offence, before
 * the school's weight for `cost`; `priceS` is what the school's standing of the rule makes of one finding.
 */
export interface OrderWish {
  /** Which of the school's weights it is multiplied by, and where it is told. */
  cost: CostId;
  /** The review never speaks of it; of others, only what it would tell of today's order is worth a move. */
  isNeverTold?: true;
  /** Why `first` comes before `second`, wherever they stand: a constraint where the rule must hold. */
  comesFirst?: (first: Placeable, second: Placeable) => string | undefined;
  /** What it costs that `to` follows `from` at once; a pause between them takes it away. */
  neighbours?: (from: Worked, to: Worked, context: RuleContext, priceS: number) => number;
  /** Marks that an item leaves behind, and those it wants to find: `priceS` for each that is not there. */
  marks?: {
    leaves: (worked: Worked, context: RuleContext) => readonly string[];
    wants: (worked: Worked, context: RuleContext) => readonly string[];
  };
  /** What standing at a share of the class costs: straight lines between points, by rising share. */
  place?: (worked: Worked, context: RuleContext) => readonly CurvePoint[];
  /** Things that lie beside the mat while they are used: each costs `againS` when it is fetched again. */
  things?: { of: (worked: Worked) => readonly string[]; againS: number };
  /** Ids of items that stay with the one before them. */
  joined?: (worked: readonly Worked[]) => ReadonlySet<string>;
}

export interface CurvePoint {
  /** 0 the beginning of the class, 1 its end. */
  share: number;
  seconds: number;
}

/** One rule: what it is, what it finds, and what the search and the draft need of it. */
export interface Rule {
  /** Stored in schools and plans: never changed. */
  id: string;
  /** What it is called where people read it. */
  name: string;
  statement: string;
  kind: RuleKind;
  /** Why it matters, in one sentence. */
  why: string;
  /** How it stands where a school does not say otherwise. Common practice. */
  usually: Standing;
  /** The shortest kind of class that it speaks in; a short set where it is left out. */
  speaksFrom?: ClassKind;
  find: (context: RuleContext) => Problem[];
  /** Left out where no order of the same items changes what it finds. */
  order?: readonly OrderWish[];
  /** What it asks of the choice of exercises; not called where the rule is off. */
  draft?: (rows: DraftRows, standing: Standing) => void;
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
}

/** A finding with the way to its repairs, inside the core; what is handed out is data. */
export interface OpenFinding extends Finding {
  /** Proven when they are first asked for: each was tried and truly clears this finding. */
  repairs: () => readonly Repair[];
}
