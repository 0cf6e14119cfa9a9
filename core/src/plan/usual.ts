import type { Dose } from '../movement/dose.ts';
import { optionOf, tempoOf, usualRange, type Exercise, type Option } from '../movement/exercise.ts';
import { offeredOptions, type ExerciseItem } from './plan.ts';
import type { SchoolRules } from './school.ts';

/** The option that the group is shown: the standard one, or the nearest on offer below it. */
export function shownOption(item: ExerciseItem, exercise: Exercise, school: SchoolRules): number {
  const [first] = item.variants ?? [];
  if (first && first.option <= exercise.options.length) return first.option;
  const offered = offeredOptions(item, exercise);
  const upToStandard = offered.filter((number) => number <= exercise.standard);
  const hinged =
    school.defaults.bridge === 'hinge' ? lastHinged(upToStandard, exercise) : undefined;
  return hinged ?? upToStandard.at(-1) ?? offered[0] ?? exercise.standard;
}

/** The highest option that moves as one block, where the next one up goes bone by bone. */
function lastHinged(numbers: readonly number[], exercise: Exercise): number | undefined {
  const isBoneByBone = (number: number) =>
    optionOf(exercise, number).demands.includes('articulation');
  if (!numbers.some(isBoneByBone)) return undefined;
  return numbers.findLast((number) => !isBoneByBone(number));
}

/** The dose that will be done, of the first variant where there are several: the item's own, else what the school makes of the option's or the exercise's. */
export function doseOf(item: ExerciseItem, exercise: Exercise, school: SchoolRules): Dose {
  return onOneSide(wholeDose(item, exercise, school), item);
}

function wholeDose(item: ExerciseItem, exercise: Exercise, school: SchoolRules): Dose {
  const [first] = item.variants ?? [];
  if (first?.dose) return first.dose;
  if (item.dose && !first) return item.dose;
  const option = optionOf(exercise, shownOption(item, exercise, school));
  return schoolDose(exercise, option, school);
}

/** Of a dose for each side the one that the item is about; what has no sides, or alternates, is done whole. */
export function onOneSide(dose: Dose, { onlySide }: Pick<ExerciseItem, 'onlySide'>): Dose {
  return onlySide && dose.sides === 'each' ? { ...dose, sides: onlySide } : dose;
}

/** What a school makes of an option’s dose that nobody set. */
export function schoolDose(exercise: Exercise, option: Option, school: SchoolRules): Dose {
  const dose = option.dose ?? exercise.dose;
  const tempo = tempoOf(exercise, option);
  const wanted = school.defaults.dose;
  const isWork = exercise.family !== 'release' && exercise.family !== 'awareness';
  if (wanted.kind === 'own' || !isWork) return dose;
  // By the clock what is held is held for the interval.
  if (wanted.kind === 'timed') {
    if (dose.kind !== 'repetitions' && dose.kind !== 'hold') return dose;
    // In one interval both sides alternate; `each` keeps an interval for each side.
    const sides = dose.sides === 'alternating' ? 'none' : dose.sides;
    const { onS, offS } = wanted;
    return { kind: 'timed', onS, offS, rounds: 1, sets: dose.sets, sides, directions: 1 };
  }
  if (dose.kind !== 'repetitions' || tempo === 'pulse' || tempo === 'quick') return dose;
  const { least, most } = usualRange(exercise, option);
  const inSchool = Math.min(wanted.most, Math.max(wanted.least, dose.count));
  return { ...dose, count: Math.min(most, Math.max(least, inSchool)) };
}
