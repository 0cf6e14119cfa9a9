import type { Catalogue } from '../movement/catalogue.ts';
import type { Edit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';

export type RuleKind = 'order' | 'coverage' | 'shape' | 'care' | 'flow' | 'preference' | 'load';

/** What a rule looks at. `retime` lays out an edited plan under the same pace and group. */
export interface RuleContext {
  plan: Plan;
  catalogue: Catalogue;
  timeline: Timeline;
  retime: (plan: Plan) => Timeline;
}

/** A change that would settle a problem, in words for its button. */
export interface Repair {
  label: string;
  edit: Edit;
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
  id: string;
  statement: string;
  kind: RuleKind;
  /** Why it matters, in one sentence. */
  why: string;
  find: (context: RuleContext) => Problem[];
}

export interface Finding {
  rule: string;
  kind: RuleKind;
  statement: string;
  why: string;
  key: string;
  itemIds: string[];
  sentence: string;
  repairs: Repair[];
}
