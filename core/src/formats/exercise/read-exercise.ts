import { Exercise, type ExerciseInput } from '../../movement/exercise.ts';
import type { Foundation } from '../../movement/vocabulary.ts';
import { DEPTH_WORDS } from '../../movement/words.ts';
import { buildPose } from './build-pose.ts';
import type { ExerciseDocument } from './exercise-document.ts';

/** The exercise that a document tells: numbered, with whole settings, and poses that stand alone. */
export function readExercise(document: ExerciseDocument): Exercise {
  const { format: _, settings, options, teaches, needs, breath, poses, ...rest } = document;
  return Exercise.parse({
    ...rest,
    teaches: depths(teaches),
    needs: depths(needs),
    breath: { phases: breath.phases.map(phase), natural: breath.natural },
    options: options.map((option, index) => ({
      ...option,
      number: index + 1,
      ...(settings || option.settings ? { settings: { ...settings, ...option.settings } } : {}),
      poses: option.poses.map((name) => buildPose(name, poses)),
    })),
  } satisfies ExerciseInput);
}

function depths(held: ExerciseDocument['needs']): ExerciseInput['needs'] {
  return Object.entries(held).map(([foundation, depth]) => ({
    foundation: foundation as Foundation,
    depth: DEPTH_WORDS.indexOf(depth),
  }));
}

function phase(written: ExerciseDocument['breath']['phases'][number]) {
  if ('in' in written) return { on: 'in' as const, doing: written.in };
  if ('out' in written) return { on: 'out' as const, doing: written.out };
  return { on: 'free' as const, doing: written.free };
}
