import { optionOf, tempoOf, type Exercise } from '../../movement/exercise.ts';
import { STEADY_PACE, TEACHING } from './pace.ts';
import { workParts } from './work.ts';

const LENGTHS = new WeakMap<Exercise, number>();

/**
 * Seconds that an exercise takes in its usual dose at a steady pace, briefly taught, with no change
 * of position: what a sentence or a list may say before it stands in a class.
 */
export function plainLengthS(exercise: Exercise): number {
  const known = LENGTHS.get(exercise);
  if (known !== undefined) return known;
  const option = optionOf(exercise, exercise.standard);
  const parts = workParts({
    dose: option.dose ?? exercise.dose,
    tempo: tempoOf(exercise, option),
    position: option.position ?? exercise.position,
    teaching: 'brief',
    pace: STEADY_PACE,
  });
  const words: number =
    tempoOf(exercise, option) === 'hold' ? TEACHING.stretchS : TEACHING.briefWithOptionsS;
  const length = parts.reduce((sum, part) => sum + part.durationS, words);
  LENGTHS.set(exercise, length);
  return length;
}
