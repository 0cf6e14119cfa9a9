import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import { speaksIn } from './class-kind.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import type { OpenFinding, Problem, Repair, Rule, RuleContext } from './rule.ts';
import { ruleContext, type ContextInput } from './rule-context.ts';

/** How many repairs a finding offers, and how many candidates are tried for them. */
const REPAIRS_OFFERED = 3;
const CANDIDATES_TRIED = 24;

export interface ReviewInput extends ContextInput {
  /** Lays out an edited plan under the same pace and group. */
  retime: (plan: Plan) => Timeline;
}

/** What is out of order, why it matters, and repairs that were tried and truly clear it. */
export function reviewOrder(input: ReviewInput, context = ruleContext(input)): OpenFinding[] {
  if (context.worked.length === 0) return [];
  const found = context.rules.flatMap(({ rule, standing }) =>
    !speaksIn(rule, context.kind)
      ? []
      : rule.find(context).map((problem): OpenFinding => {
          let proven: readonly Repair[] | undefined;
          return {
            rule: rule.id,
            kind: rule.kind,
            binding: standing === 'must',
            statement: rule.statement,
            why: rule.why,
            key: problem.key,
            itemIds: problem.itemIds,
            sentence: problem.sentence,
            repairs: () => (proven ??= proveRepairs(rule, problem, input)),
          };
        }),
  );
  return gravestFirst(oneForEachCause(found));
}

/** What must hold before what should, and of each the order in which rules are told. */
export function gravestFirst(found: readonly OpenFinding[]): OpenFinding[] {
  return [...found].sort((a, b) => Number(b.binding) - Number(a.binding));
}

/** Rules that say of one item that it is not ready for: the first that speaks, speaks for all. */
const NOT_READY: readonly string[] = [
  'breath-first',
  'need-before-use',
  'still-before-bend',
  'unloaded-before-loaded',
];

function oneForEachCause(found: readonly OpenFinding[]): OpenFinding[] {
  const told = new Set<string>();
  return found.filter(({ rule, itemIds: [itemId = ''] }) => {
    if (!NOT_READY.includes(rule)) return true;
    if (told.has(itemId)) return false;
    told.add(itemId);
    return true;
  });
}

/** Those candidates that clear the problem; what changes least comes first, then what leaves fewest findings. */
function proveRepairs(rule: Rule, problem: Problem, input: ReviewInput): Repair[] {
  const proven: Repair[] = [];
  for (const repair of problem.candidates().slice(0, CANDIDATES_TRIED)) {
    const after = contextAfter(repair, input);
    if (!after || rule.find(after).some((left) => left.key === problem.key)) continue;
    const left = after.rules.reduce((sum, each) => sum + each.rule.find(after).length, 0);
    proven.push({ ...repair, left });
    if (proven.length === REPAIRS_OFFERED) break;
  }
  return proven.sort(
    (a, b) => changeOf(a.edit) - changeOf(b.edit) || (a.left ?? 0) - (b.left ?? 0),
  );
}

/** 0 what moves or is done otherwise, 1 what is added and takes time, 2 what is lost. */
function changeOf(edit: Edit): number {
  if (edit.type === 'together') return Math.max(...edit.edits.map(changeOf));
  if (edit.type === 'removeItem') return 2;
  return edit.type === 'addItem' ? 1 : 0;
}

function contextAfter(repair: Repair, input: ReviewInput): RuleContext | undefined {
  const result = applyEdit(input.plan, repair.edit);
  if (!result.ok) return undefined;
  return ruleContext({ ...input, plan: result.plan, timeline: input.retime(result.plan) });
}
