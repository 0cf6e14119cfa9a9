import { teachesAwareness, type Exercise } from '../movement/exercise.ts';
import { orderPlan } from '../order/search/order-plan.ts';
import { reviewOrder } from '../order/review.ts';
import type { Group } from '../order/group.ts';
import { applyEdit } from '../plan/edits.ts';
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
    seed: wishes.seed,
    effort: { firstEvaluations: 2_000, furtherEvaluations: 2_000, mostStates: 120_000 },
  }).plan;
  return fitTime(withWater(ordered, context, group), context, TOLERANCE_S);
}

/** Arrive, build, release: awareness first, letting go last; other releases stay with what they answer. */
function partsOf(chosen: readonly Chosen[], wishes: DraftWishes): Plan['segments'] {
  const school = rulesOf(wishes.school);
  const isOpening = ({ choice }: Chosen) =>
    choice.exercise.family === 'awareness' &&
    choice.effort <= 1 &&
    school.rules['breath-first'] !== 'off';
  const opening = chosen.filter(isOpening);
  const soft = chosen
    .filter(({ choice }) => choice.exercise.family === 'release')
    .sort((a, b) => closing(b.choice.exercise) - closing(a.choice.exercise));
  const closes: Chosen[] = [];
  let closeS = 0;
  const wantedS = (school.targets.releaseLeast + CLOSE_MARGIN) * wishes.targetS;
  for (const each of soft) {
    const isEnough = closeS >= wantedS && school.defaults.stretch === 'after each block';
    if (isEnough && closing(each.choice.exercise) === 0) continue;
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

function closing({ slug }: Exercise): number {
  return slug === 'return-to-sitting' ? 2 : slug === 'final-rest' ? 1 : 0;
}

/** Where the order search begins: light before heavy, what prepares before what is prepared. */
function byReadiness({ choice: a }: Chosen, { choice: b }: Chosen): number {
  const late = closing(a.exercise) - closing(b.exercise);
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
  const between = (from: number, to: number) => Math.round(from + share * (to - from));
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

/** Pauses where the review asks for them. */
function withWater(plan: Plan, context: DraftContext, group: Group): Plan {
  let current = plan;
  const { catalogue, timing } = context;
  const retime = (of: Plan) => timePlan(of, catalogue, timing);
  for (let turn = 0; turn < 4; turn += 1) {
    const timeline = retime(current);
    const finding = reviewOrder({ plan: current, catalogue, timeline, retime, group }).find(
      ({ rule }) => rule === 'water',
    );
    const pause = finding?.repairs().find(({ edit }) => edit.type === 'addItem');
    const result = pause && applyEdit(current, pause.edit);
    if (!result?.ok) return current;
    current = result.plan;
  }
  return current;
}
