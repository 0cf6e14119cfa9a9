import { usedNear } from '../movement/dose.ts';
import { closingRank, leadsTo, teachesAwareness } from '../movement/exercise.ts';
import { orderPlan } from '../search/order-plan.ts';
import { reviewOrder } from '../review/review.ts';
import type { Group } from '../review/group.ts';
import { applyEdit, type Edit } from '../plan/edits.ts';
import type { ExerciseItem, Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { doseOf } from '../plan/usual.ts';
import { fitTime } from './fit-time.ts';
import { emptyPlan, resized, type Choice, type DraftContext } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** A chosen exercise, with the seconds that its dose is longer (or shorter) than usual. */
export interface Chosen {
  choice: Choice;
  extraS: number;
}

/** The seconds by which a draft may miss its hour. */
export const TOLERANCE_S = 60;

/** What was chosen as a class: in parts, in its best order, with pauses, at its length. */
export function buildClass(
  chosen: readonly Chosen[],
  wishes: DraftWishes,
  context: DraftContext,
  group: Group,
): Plan {
  const parts = { ...emptyPlan(wishes), segments: partsOf(chosen, wishes) };
  const ordered = orderPlan({
    plan: parts,
    catalogue: context.catalogue,
    timing: context.timing,
    group,
    ...(context.rules ? { rules: context.rules } : {}),
    seed: wishes.seed,
    effort: { firstEvaluations: 3_000, furtherEvaluations: 25_000, mostStates: 250_000 },
  }).plan;
  return fitTime(mended(ordered, context, group), context, TOLERANCE_S);
}

/** Arrive, build, release: awareness first, letting go last; other releases stay with what they answer. */
function partsOf(chosen: readonly Chosen[], wishes: DraftWishes): Plan['segments'] {
  const school = rulesOf(wishes.school);
  const isOpening = ({ choice }: Chosen) =>
    choice.exercise.family === 'awareness' && choice.effort <= 1;
  const opens = chosen.filter(isOpening);
  const opening = taughtThere(
    chosen.filter((each) => opens.includes(each) || preparesOne(each, opens)),
  );
  const soft = chosen
    .filter(({ choice }) => choice.exercise.family === 'release')
    .sort((a, b) => closingRank(b.choice.exercise) - closingRank(a.choice.exercise));
  const closes: Chosen[] = [];
  let closeS = 0;
  const wantedS = (school.targets.releaseLeast + CLOSE_MARGIN) * wishes.targetS;
  for (const each of soft) {
    const isEnough = closeS >= wantedS && school.defaults.stretch === 'after each block';
    if (isEnough && closingRank(each.choice.exercise) === 0) continue;
    closes.push(each);
    closeS += each.choice.usualS;
  }
  const middle = chosen.filter((each) => !opening.includes(each) && !closes.includes(each));
  const segment = (id: string, name: string, of: readonly Chosen[]) => ({
    id,
    name,
    items: [...of].sort(byReadiness).map((each) => itemOf(each, wishes)),
  });
  return [
    segment('arrive', 'Arrive', opening),
    segment('build', 'Build', middle),
    segment('release', 'Release', closes),
  ].filter(({ items }) => items.length > 0);
}

/** A little more than the least, since the class grows with its set-ups. */
const CLOSE_MARGIN = 0.02;

/** What prepares something of the opening, and is as gentle, belongs there too. */
function preparesOne({ choice }: Chosen, opens: readonly Chosen[]): boolean {
  return (
    choice.effort <= 1.5 &&
    opens.some((each) => leadsTo(choice.exercise).includes(each.choice.exercise.slug))
  );
}

/** What needs something that is taught later in the class waits for it. */
function taughtThere(opening: readonly Chosen[]): Chosen[] {
  const kept = opening.filter(({ choice }) =>
    choice.exercise.needs.every(
      ({ foundation, depth }) =>
        depth === 0 ||
        opening.some((each) =>
          each.choice.exercise.teaches.some((taught) => taught.foundation === foundation),
        ),
    ),
  );
  return kept.length === opening.length ? kept : taughtThere(kept);
}

/** Where the order search begins: light before heavy, what prepares before what is prepared. */
function byReadiness({ choice: a }: Chosen, { choice: b }: Chosen): number {
  const late = closingRank(a.exercise) - closingRank(b.exercise);
  if (late !== 0) return late;
  const aware = Number(teachesAwareness(b.exercise)) - Number(teachesAwareness(a.exercise));
  return aware || a.spineLoad - b.spineLoad || a.exercise.needs.length - b.exercise.needs.length;
}

function itemOf({ choice, extraS }: Chosen, wishes: DraftWishes): ExerciseItem {
  const { exercise, options, usualS, leastS, mostS } = choice;
  const item: ExerciseItem = {
    kind: 'exercise',
    id: exercise.slug,
    exercise: exercise.slug,
    ...(options ? { options } : {}),
    restS: 0,
    note: '',
  };
  const span = extraS > 0 ? mostS - usualS : usualS - leastS;
  if (Math.abs(extraS) < 3 || span <= 0) return item;
  const usual = doseOf(item, exercise, rulesOf(wishes.school));
  const end = resized(usual, exercise, extraS > 0 ? 'most' : 'least');
  const share = Math.abs(extraS) / span;
  const between = (from: number, to: number) =>
    usual.kind === 'timed'
      ? from
      : usedNear(usual.kind, from + share * (to - from), exercise.usual);
  if (usual.kind === 'hold' && end.kind === 'hold') {
    return { ...item, dose: { ...usual, holdS: between(usual.holdS, end.holdS) } };
  }
  if (usual.kind === 'free' && end.kind === 'free') {
    return { ...item, dose: { ...usual, durationS: between(usual.durationS, end.durationS) } };
  }
  if ('count' in usual && 'count' in end && usual.kind === end.kind) {
    return { ...item, dose: { ...usual, count: between(usual.count, end.count) } };
  }
  return item;
}

/** How many repairs are taken at the most. */
const REPAIRS = 8;

/**
 * Takes repairs that the review offers as long as they leave less to settle: moves, other options and
 * pauses, never another exercise or one less.
 */
function mended(plan: Plan, context: DraftContext, group: Group): Plan {
  let current = plan;
  const retime = (of: Plan) => timePlan(of, context.catalogue, context.timing);
  for (let turn = 0; turn < REPAIRS; turn += 1) {
    const timeline = retime(current);
    const findings = reviewOrder({ ...context, plan: current, timeline, retime, group });
    const repair = findings
      .flatMap((finding) => finding.repairs())
      .filter(({ edit }) => keepsExercises(edit))
      .find(({ left }) => left !== undefined && left < findings.length);
    const result = repair && applyEdit(current, repair.edit);
    if (!result?.ok) return current;
    current = result.plan;
  }
  return current;
}

function keepsExercises(edit: Edit): boolean {
  if (edit.type === 'together') return edit.edits.every(keepsExercises);
  if (edit.type === 'addItem') return edit.item.kind === 'pause';
  return edit.type !== 'removeItem';
}
