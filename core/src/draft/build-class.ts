import { doseAmount, usedNear, withDoseAmount } from '../movement/dose.ts';
import { closingRank, teachesAwareness } from '../movement/exercise.ts';
import { orderPlan } from '../search/order-plan.ts';
import { reviewOrder } from '../review/review.ts';
import type { Group } from '../review/group.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import { placeOf, type Bracket, type ExerciseItem, type Item, type Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { doseOf } from '../plan/usual.ts';
import { arranged } from './arrange.ts';
import { fitTime } from './fit-time.ts';
import { partId, type Blueprint } from './block.ts';
import type { PlacedChoice } from './blueprint.ts';
import { emptyPlan, isScaled, type DraftContext } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** A chosen exercise, with the seconds that its dose is longer (or shorter) than usual; in a second round too, or not. */
export interface Chosen {
  choice: PlacedChoice;
  extraS: number;
  isTwice?: boolean;
}

/** The seconds by which a draft may miss its hour. */
export const TOLERANCE_S = 60;

/** What was chosen as a class: block by block, in its best order, each side together, at its length. */
export function buildClass(
  chosen: readonly Chosen[],
  blueprint: Blueprint,
  wishes: DraftWishes,
  context: DraftContext,
  group: Group,
): Plan {
  const blocks = { ...emptyPlan(wishes), segments: segmentsOf(chosen, blueprint, wishes) };
  const searched = orderPlan({
    isUnordered: true,
    plan: blocks,
    catalogue: context.catalogue,
    timing: context.timing,
    group,
    ...(context.rules ? { rules: context.rules } : {}),
    seed: wishes.seed,
    effort: { firstEvaluations: 3_000, furtherEvaluations: 25_000, mostStates: 250_000 },
  }).plan;
  // What stands in an order of its own keeps it.
  const ordered = {
    ...searched,
    segments: searched.segments.map((segment) => {
      const isGiven = blueprint.blocks.find(({ id }) => partId(id) === segment.id)?.rank;
      return isGiven ? (blocks.segments.find(({ id }) => id === segment.id) ?? segment) : segment;
    }),
  };
  const whole = withPauses(bracketed(ordered, chosen, blueprint, context), blueprint);
  const given = new Set(blueprint.blocks.flatMap(({ id, rank }) => (rank ? [partId(id)] : [])));
  return fitTime(mended(whole, given, context, group), context, TOLERANCE_S);
}

/** The blocks in turn, each with what was chosen for it. */
function segmentsOf(
  chosen: readonly Chosen[],
  { blocks }: Blueprint,
  wishes: DraftWishes,
): Plan['segments'] {
  return blocks
    .map(({ id, name, rank }) => {
      const held = chosen.filter(({ choice }) => choice.block === id);
      const inOrder = rank ? arranged(held, rank) : held.toSorted(byReadiness);
      return { id: partId(id), name, items: inOrder.map((each) => itemOf(each, wishes)) };
    })
    .filter(({ items }) => items.length > 0);
}

/** One-sided work of a block as a series, or in rounds what is gone through more than once. */
function bracketed(
  plan: Plan,
  chosen: readonly Chosen[],
  { blocks }: Blueprint,
  { catalogue }: DraftContext,
): Plan {
  const twice = new Set(
    chosen.flatMap(({ choice, isTwice }) => (isTwice ? [choice.exercise.slug] : [])),
  );
  const brackets: Bracket[] = [];
  const segments = plan.segments.map((segment) => {
    const block = blocks.find(({ id }) => partId(id) === segment.id);
    const id = `${segment.id}-turns`;
    const goesRound = ({ exercise }: ExerciseItem) =>
      block?.rounds !== undefined || twice.has(exercise);
    const turnsOver = ({ exercise }: ExerciseItem) =>
      block?.isSeries === true && catalogue.require(exercise).dose.sides === 'each';
    const held = segment.items.filter((item) => item.kind === 'exercise');
    const isRound = held.some(goesRound);
    const within = new Set(held.filter(isRound ? goesRound : turnsOver).map((item): Item => item));
    if (within.size < 2 || (isRound && !standTogether(segment.items, within))) return segment;
    brackets.push(
      isRound
        ? { kind: 'rounds', id, times: block?.rounds ?? 2 }
        : { kind: 'series', id, first: 'right' },
    );
    const items = segment.items.map((item) => (within.has(item) ? { ...item, bracket: id } : item));
    return { ...segment, items };
  });
  return brackets.length > 0 ? { ...plan, segments, brackets } : plan;
}

/** Where something else came between, one round would be several of one thing each. */
function standTogether(items: readonly Item[], within: ReadonlySet<Item>): boolean {
  const first = items.findIndex((item) => within.has(item));
  return items.slice(first, first + within.size).every((item) => within.has(item));
}

/** A minute to breathe and drink where the blueprint has one. */
function withPauses(plan: Plan, { blocks }: Blueprint): Plan {
  const segments = plan.segments.map((segment) => {
    const pauseS = blocks.find(({ id }) => partId(id) === segment.id)?.pauseS;
    if (pauseS === undefined) return segment;
    const pause = {
      kind: 'pause' as const,
      id: `${segment.id}-pause`,
      label: 'Breathe, water',
      durationS: pauseS,
      note: '',
    };
    return { ...segment, items: [...segment.items, pause] };
  });
  return { ...plan, segments };
}

/** Where the order search begins: light before heavy, what prepares before what is prepared. */
function byReadiness({ choice: a }: Chosen, { choice: b }: Chosen): number {
  const late = closingRank(a.exercise) - closingRank(b.exercise);
  if (late !== 0) return late;
  const aware = Number(teachesAwareness(b.exercise)) - Number(teachesAwareness(a.exercise));
  return aware || a.spineLoad - b.spineLoad || a.exercise.needs.length - b.exercise.needs.length;
}

function itemOf({ choice, extraS }: Chosen, wishes: DraftWishes): ExerciseItem {
  const { exercise, options, variants, usualS, leastS, mostS, range } = choice;
  const item: ExerciseItem = {
    kind: 'exercise',
    id: exercise.slug,
    exercise: exercise.slug,
    ...(options ? { options } : {}),
    ...(variants ? { variants } : {}),
    restS: 0,
    note: '',
  };
  const span = extraS > 0 ? mostS - usualS : usualS - leastS;
  const dose = doseOf(item, exercise, rulesOf(wishes.school));
  if (Math.abs(extraS) < 3 || span <= 0 || variants || !isScaled(dose, exercise)) return item;
  const [from, to] = [doseAmount(dose), extraS > 0 ? range.most : range.least];
  const amount = usedNear(dose.kind, from + (Math.abs(extraS) / span) * (to - from), range);
  return { ...item, dose: withDoseAmount(dose, amount) };
}

/** How many repairs are taken at the most. */
const REPAIRS = 8;

/**
 * Takes repairs that the review offers as long as they leave less to settle: moves, other options and
 * pauses, never another exercise or one less.
 */
function mended(plan: Plan, given: ReadonlySet<string>, context: DraftContext, group: Group): Plan {
  let current = plan;
  const retime = (of: Plan) => timePlan(of, context.catalogue, context.timing);
  for (let turn = 0; turn < REPAIRS; turn += 1) {
    const timeline = retime(current);
    const findings = reviewOrder({ ...context, plan: current, timeline, retime, group });
    const repair = findings
      .flatMap((finding) => finding.repairs())
      .filter(({ edit }) => keepsBlocks(edit, current, given))
      .find(({ left }) => left !== undefined && left < findings.length);
    const result = repair && applyEdit(current, repair.edit);
    if (!result?.ok) return current;
    current = result.plan;
  }
  return current;
}

/** Nothing is added or left out, nothing leaves its block, and what stands in an order of its own keeps it. */
function keepsBlocks(edit: Edit, plan: Plan, given: ReadonlySet<string>): boolean {
  switch (edit.type) {
    case 'together':
      return edit.edits.every((each) => keepsBlocks(each, plan, given));
    case 'addItem':
      return edit.item.kind === 'pause';
    case 'moveItem':
      return placeOf(plan, edit.itemId)?.segmentId === edit.segmentId && !given.has(edit.segmentId);
    case 'setDose':
    case 'setOptions':
    case 'setRest':
      return true;
    default:
      return false;
  }
}
