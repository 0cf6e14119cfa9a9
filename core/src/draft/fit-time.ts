import { doseAmount, usedWithin, withDoseAmount, type Dose } from '../movement/dose.ts';
import { optionOf, usualRange, type Exercise } from '../movement/exercise.ts';
import type { ExerciseItem, Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { doseOf, shownOption } from '../plan/usual.ts';
import { isScaled, type DraftContext } from './pool.ts';

const MOST_STEPS = 120;

/**
 * Brings a class to its length by making doses longer or shorter by a number that people use, within what is usual, the one
 * that is furthest from its end first. Comes within `toleranceS` where the doses allow it.
 */
export function fitTime(plan: Plan, context: DraftContext, toleranceS: number): Plan {
  let current = plan;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const { overS } = timePlan(current, context.catalogue, context.timing);
    if (Math.abs(overS) <= toleranceS) return current;
    const next = step_(current, context, overS > 0 ? -1 : 1);
    if (!next) return current;
    current = next;
  }
  return current;
}

/** What lasts longer is made no longer still. */
const LONG_S = 150;

/** One step of one dose; undefined when all are at their end. */
function step_(plan: Plan, context: DraftContext, direction: 1 | -1): Plan | undefined {
  const school = rulesOf(plan.school);
  const { items: timed } = timePlan(plan, context.catalogue, context.timing);
  const isLong = (itemId: string) =>
    timed.some((each) => each.itemId === itemId && each.durationS > LONG_S);
  let best: { item: ExerciseItem; dose: Dose; room: number } | undefined;
  for (const item of plan.segments.flatMap(({ items }) => items)) {
    if (item.kind !== 'exercise') continue;
    const exercise = context.catalogue.require(item.exercise);
    // Arrival and close are as long as they are: a class is not padded with rest, nor robbed of it.
    if (exercise.family === 'awareness' || exercise.family === 'release') continue;
    if (item.variants || (direction > 0 && isLong(item.id))) continue;
    const shown = optionOf(exercise, shownOption(item, exercise, school));
    const range = usualRange(exercise, shown);
    const stepped = stepDose(doseOf(item, exercise, school), exercise, range, direction);
    if (stepped && (!best || stepped.room > best.room)) best = { item, ...stepped };
  }
  if (!best) return undefined;
  const { item, dose } = best;
  return {
    ...plan,
    segments: plan.segments.map((segment) => ({
      ...segment,
      items: segment.items.map((each) => (each.id === item.id ? { ...item, dose } : each)),
    })),
  };
}

/** The next dose and how much of the usual range is left that way, 0 to 1. */
function stepDose(
  dose: Dose,
  exercise: Exercise,
  range: Exercise['usual'],
  direction: 1 | -1,
): { dose: Dose; room: number } | undefined {
  if (!isScaled(dose, exercise)) return undefined;
  const { least, most } = range;
  const amount = doseAmount(dose);
  const used = usedWithin(dose.kind, range);
  const next =
    direction > 0 ? used.find((each) => each > amount) : used.findLast((each) => each < amount);
  if (next === undefined) return undefined;
  const room = (direction > 0 ? most - amount : amount - least) / Math.max(1, most - least);
  return { dose: withDoseAmount(dose, next), room };
}
