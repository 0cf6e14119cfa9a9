import { gearFor } from '../movement/gear.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { applyEdit, type Edit } from '../plan/edits.ts';
import { exerciseItemsOf, type Plan } from '../plan/plan.ts';
import { standingOf } from '../plan/school.ts';
import { rulesOf } from '../plan/schools.ts';
import { doseOf } from '../plan/usual.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import { optionOf } from '../movement/exercise.ts';
import { groupOf, type Group } from './group.ts';
import type { Finding, Problem, Repair, Rule, RuleContext, Worked } from './rule.ts';
import { bothThenOne } from './rules/both-then-one.ts';
import { bodyParts } from './rules/body-parts.ts';
import { breathFirst } from './rules/breath-first.ts';
import { classicOrder } from './rules/classic-order.ts';
import { closeSoft } from './rules/close-soft.ts';
import { counter } from './rules/counter.ts';
import { faceTheRoom } from './rules/face-the-room.ts';
import { fewMoves } from './rules/few-moves.ts';
import { headSupportOut } from './rules/head-support-out.ts';
import { layers } from './rules/layers.ts';
import { lowThenHigh } from './rules/low-then-high.ts';
import { machineBlocks } from './rules/machine-blocks.ts';
import { needBeforeUse } from './rules/need-before-use.ts';
import { noPileUp } from './rules/no-pile-up.ts';
import { partsThenWhole } from './rules/parts-then-whole.ts';
import { peakLate } from './rules/peak-late.ts';
import { pelvisSequence } from './rules/pelvis-sequence.ts';
import { propBlocks } from './rules/prop-blocks.ts';
import { rehearseThenProp } from './rules/rehearse-then-prop.ts';
import { shortBeforeLong } from './rules/short-before-long.ts';
import { sidesTogether } from './rules/sides-together.ts';
import { sixDirections } from './rules/six-directions.ts';
import { stillBeforeBend } from './rules/still-before-bend.ts';
import { unloadedBeforeLoaded } from './rules/unloaded-before-loaded.ts';
import { water } from './rules/water.ts';
import { wristRest } from './rules/wrist-rest.ts';

/** In the order in which findings are told: what begins the class first, what ends it last. */
export const RULES: readonly Rule[] = [
  breathFirst,
  needBeforeUse,
  stillBeforeBend,
  unloadedBeforeLoaded,
  pelvisSequence,
  lowThenHigh,
  shortBeforeLong,
  bothThenOne,
  partsThenWhole,
  rehearseThenProp,
  classicOrder,
  sidesTogether,
  counter,
  layers,
  peakLate,
  sixDirections,
  bodyParts,
  closeSoft,
  headSupportOut,
  wristRest,
  noPileUp,
  water,
  fewMoves,
  propBlocks,
  machineBlocks,
  faceTheRoom,
];

/** How many repairs a finding offers, and how many candidates are tried for them. */
const REPAIRS_OFFERED = 3;
const CANDIDATES_TRIED = 24;

export interface ReviewInput {
  plan: Plan;
  catalogue: Catalogue;
  timeline: Timeline;
  /** Lays out an edited plan under the same pace and group. */
  retime: (plan: Plan) => Timeline;
  group?: Group;
}

/** What is out of order, why it matters, and repairs that were tried and truly clear it. */
export function reviewOrder(input: ReviewInput, context = ruleContext(input)): Finding[] {
  if (context.worked.length === 0) return [];
  return inForce(context).flatMap((rule) =>
    rule.find(context).map((problem): Finding => {
      let proven: readonly Repair[] | undefined;
      return {
        rule: rule.id,
        kind: rule.kind,
        binding: standingOf(context.school, rule.id) === 'must',
        statement: rule.statement,
        why: rule.why,
        key: problem.key,
        itemIds: problem.itemIds,
        sentence: problem.sentence,
        repairs: () => (proven ??= proveRepairs(rule, problem, input)),
      };
    }),
  );
}

/** The plan with everything that rules ask of its items worked out once. */
export function ruleContext(input: ReviewInput): RuleContext {
  const { plan, catalogue, timeline } = input;
  const school = rulesOf(plan.school);
  const items = new Map(exerciseItemsOf(plan).map((item) => [item.id, item]));
  const worked = timeline.items.flatMap((timed, at): Worked[] => {
    const item = items.get(timed.itemId);
    if (!item) return [];
    const exercise = catalogue.require(item.exercise);
    const option = optionOf(exercise, timed.option ?? exercise.standard);
    return [
      {
        item,
        timed,
        exercise,
        option,
        dose: doseOf(item, exercise, school),
        gear: gearFor(option, item.gear),
        at,
      },
    ];
  });
  return { plan, catalogue, timeline, school, group: input.group ?? groupOf([], ''), worked };
}

function inForce(context: RuleContext): Rule[] {
  return RULES.filter((rule) => standingOf(context.school, rule.id) !== 'off');
}

/** Those candidates that clear the problem; what changes least comes first, then what leaves fewest findings. */
function proveRepairs(rule: Rule, problem: Problem, input: ReviewInput): Repair[] {
  const proven: Repair[] = [];
  for (const repair of problem.candidates().slice(0, CANDIDATES_TRIED)) {
    const after = contextAfter(repair, input);
    if (!after || rule.find(after).some((left) => left.key === problem.key)) continue;
    const left = inForce(after).reduce((sum, each) => sum + each.find(after).length, 0);
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
