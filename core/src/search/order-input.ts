import type { Catalogue } from '../movement/catalogue.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan, type TimingContext } from '../plan/timing/time-plan.ts';
import { findingId } from '../review/finding-list.ts';
import type { Group } from '../review/group.ts';
import { reviewOrder } from '../review/review.ts';
import type { Rule, RuleContext } from '../review/rule.ts';
import { ruleContext } from '../review/rule-context.ts';
import { RULES } from '../review/rules.ts';

/** A class to be put in order, and for whom. */
export interface OrderInput {
  plan: Plan;
  catalogue: Catalogue;
  timing: TimingContext;
  group: Group;
  /** All that there are when left out. */
  rules?: readonly Rule[];
}

/** A plan of the same class as the rules look at it. */
export function contextOf(input: OrderInput, plan: Plan): RuleContext {
  const { catalogue, timing, group } = input;
  const timeline = timePlan(plan, catalogue, timing);
  const { familiar } = timing;
  return ruleContext({ plan, catalogue, timeline, group, familiar, rules: input.rules ?? RULES });
}

/** How much more a rule weighs that must hold. */
const BINDING = 10;

/** What the review tells of an order, and how grave all of it is. */
export interface Told {
  ids: ReadonlySet<string>;
  gravity: number;
}

export function toldOf(input: OrderInput, plan: Plan): Told {
  const context = contextOf(input, plan);
  const { catalogue, timeline, group } = context;
  const retime = (edited: Plan) => timePlan(edited, catalogue, input.timing);
  const found = reviewOrder({ plan, catalogue, timeline, group, retime }, context);
  return {
    ids: new Set(found.map(findingId)),
    gravity: found.reduce((sum, { binding }) => sum + (binding ? BINDING : 1), 0),
  };
}

/** Whether an order has less to settle than another, or nothing that the other has not. */
export function isNoWorse(after: Told, before: Told): boolean {
  if (after.gravity !== before.gravity) return after.gravity < before.gravity;
  return [...after.ids].every((id) => before.ids.has(id));
}
