import { applyEdit } from '../plan/edits.ts';
import type { Finding, Problem, Repair, Rule, RuleContext } from './rule.ts';
import { breathFirst } from './rules/breath-first.ts';
import { closeSoft } from './rules/close-soft.ts';
import { sidesTogether } from './rules/sides-together.ts';
import { sixDirections } from './rules/six-directions.ts';
import { unloadedBeforeLoaded } from './rules/unloaded-before-loaded.ts';

/** In the order in which findings are told: what begins the class first, what ends it last. */
export const RULES: readonly Rule[] = [
  breathFirst,
  unloadedBeforeLoaded,
  sidesTogether,
  sixDirections,
  closeSoft,
];

/** How many repairs a finding offers. */
const REPAIRS_OFFERED = 2;

/** What is out of order, why it matters, and repairs that were tried and truly clear it. */
export function reviewOrder(context: RuleContext): Finding[] {
  if (context.timeline.items.every((item) => item.kind === 'pause')) return [];
  return RULES.flatMap((rule) =>
    rule.find(context).map((problem) => ({
      rule: rule.id,
      kind: rule.kind,
      statement: rule.statement,
      why: rule.why,
      key: problem.key,
      itemIds: problem.itemIds,
      sentence: problem.sentence,
      repairs: provenRepairs(rule, problem, context),
    })),
  );
}

function provenRepairs(rule: Rule, problem: Problem, context: RuleContext): Repair[] {
  const proven: Repair[] = [];
  for (const repair of problem.candidates()) {
    if (clears(rule, problem, repair, context)) proven.push(repair);
    if (proven.length === REPAIRS_OFFERED) break;
  }
  return proven;
}

function clears(rule: Rule, problem: Problem, repair: Repair, context: RuleContext): boolean {
  const result = applyEdit(context.plan, repair.edit);
  if (!result.ok) return false;
  const after = { ...context, plan: result.plan, timeline: context.retime(result.plan) };
  return rule.find(after).every((left) => left.key !== problem.key);
}
