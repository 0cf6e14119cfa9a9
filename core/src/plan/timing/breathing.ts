import type { Exercise, Option } from '../../movement/exercise.ts';
import { tempoOf } from '../../movement/exercise.ts';
import type { Tempo } from '../../movement/vocabulary.ts';
import type { ClassStyle } from '../class-style.ts';
import type { ExerciseItem } from '../plan.ts';
import { REPETITION } from './pace.ts';
import type { Breathing } from './repetition.ts';

/** Breaths that an option of a kind of its own takes: out and in. */
const OUT_AND_IN = 2;

type Said = Partial<Pick<ExerciseItem, 'tempo' | 'breathed' | 'phases'>>;

/** The kind of repetition that an item is done in: its own, or the option's. */
export function kindOfPace(said: Said, exercise: Exercise, option: Option): Tempo {
  return said.tempo ?? tempoOf(exercise, option);
}

/** What the plan and the exercise say of breath: the item first, then the style of the class. */
export function breathingOf(
  said: Said,
  exercise: Exercise,
  option: Option,
  style: ClassStyle | undefined,
): Breathing {
  const isOwnKind = kindOfPace(said, exercise, option) !== exercise.tempo;
  return {
    phases: said.phases ?? (isOwnKind ? OUT_AND_IN : exercise.breath.phases.length),
    breathed: said.breathed,
    style,
    isCounted: isDoneOften(exercise, option),
  };
}

/** By what is usual of it, so that one repetition more never makes a class shorter. */
function isDoneOften(exercise: Exercise, option: Option): boolean {
  const usual = option.dose ?? exercise.dose;
  return usual.kind === 'repetitions' && usual.count >= REPETITION.countedFrom;
}
