import { optionOf, tempoOf, type Exercise, type Option } from '../../movement/exercise.ts';
import { STEADY_PACE, TEACHING } from './pace.ts';
import { workParts, type LoosePart } from './work.ts';

const LENGTHS = new WeakMap<Exercise, number>();

/**
 * Seconds that an exercise takes in its usual dose at a steady pace, briefly taught, with no change
 * of position: what a sentence or a list may say before it stands in a class.
 */
export function plainLengthS(exercise: Exercise): number {
  const known = LENGTHS.get(exercise);
  if (known !== undefined) return known;
  const option = optionOf(exercise, exercise.standard);
  const parts = plainParts(exercise, option);
  const words: number =
    tempoOf(exercise, option) === 'hold' ? TEACHING.stretchS : TEACHING.briefWithOptionsS;
  const length = parts.reduce((sum, part) => sum + part.durationS, words);
  LENGTHS.set(exercise, length);
  return length;
}

function plainParts(exercise: Exercise, option: Option): LoosePart[] {
  return workParts({
    dose: option.dose ?? exercise.dose,
    tempo: tempoOf(exercise, option),
    position: option.position ?? exercise.position,
    teaching: 'brief',
    pace: STEADY_PACE,
  });
}

/** The work of an option in its usual dose: seconds at it, and how many repetitions, breaths or holds. */
export function plainWork(exercise: Exercise, option: Option): { workS: number; count: number } {
  const work = plainParts(exercise, option).filter(({ kind }) => kind === 'work');
  return {
    workS: work.reduce((sum, { durationS }) => sum + durationS, 0),
    count: work.reduce((sum, { count }) => sum + (count ?? 1), 0),
  };
}
