import { optionOf, type Exercise, type Option } from '../../movement/exercise.ts';
import { breathingOf, kindOfPace } from './breathing.ts';
import { STEADY_PACE } from './pace.ts';
import { firstMoreS, wordsBefore, type Telling } from './words-before.ts';
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
  const telling: Telling = {
    teaching: 'brief',
    isAgain: false,
    isHold: exercise.tempo === 'hold',
    hasOptions: exercise.options.length > 1,
    isNewPosition: false,
  };
  const parts = plainParts(exercise, option, firstMoreS(telling));
  const length = parts.reduce((sum, part) => sum + part.durationS, wordsBefore(telling).seconds);
  const whole = Math.round(length);
  LENGTHS.set(exercise, whole);
  return whole;
}

function plainParts(exercise: Exercise, option: Option, moreS: number): LoosePart[] {
  return workParts({
    dose: option.dose ?? exercise.dose,
    tempo: kindOfPace({}, exercise, option),
    position: option.position ?? exercise.position,
    breathing: breathingOf({}, exercise, option, undefined),
    around: option,
    firstMoreS: moreS,
    pace: STEADY_PACE,
  });
}

/** The work of an option in its usual dose: seconds at it, and how many repetitions, breaths or holds. */
export function plainWork(exercise: Exercise, option: Option): { workS: number; count: number } {
  const work = plainParts(exercise, option, 0).filter(({ kind }) => kind === 'work');
  return {
    workS: work.reduce((sum, { durationS }) => sum + durationS, 0),
    count: work.reduce((sum, { count }) => sum + (count ?? 1), 0),
  };
}
