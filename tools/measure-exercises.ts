import { loadOf } from '../core/src/body/load/option-load.ts';
import { skillOf } from '../core/src/body/load/option-skill.ts';
import type { Exercise } from '../core/src/movement/exercise.ts';
import { measuredDemands } from '../core/src/people/demands.ts';
import { writeAsked } from '../core/src/people/write-asked.ts';

/** What the body model sees of an exercise's options: load, skill and demands of each, and what each asks. */
function measureExercise(exercise: Exercise) {
  const { options } = exercise;
  return {
    slug: exercise.slug,
    measured: options.map((option) => [
      loadOf(option),
      skillOf(exercise, option),
      ...measuredDemands(option),
    ]),
    asked: options.map(writeAsked),
  };
}
export type Measured = ReturnType<typeof measureExercise>;

// A process of its own: `compile-library.ts` sends it a share of the exercises and waits for what they ask.
process.on('message', (exercises: Exercise[]) => {
  process.send?.(exercises.map(measureExercise));
});
