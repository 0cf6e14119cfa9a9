import { ExerciseHistory, ExerciseVersions, OwnExercises } from '@wrenfern/contract/exercises';
import { useAnswer } from './answers.ts';

/** The studio's own exercises, each in its latest version. */
export function useOwnExercises() {
  return useAnswer(OwnExercises, '/exercises');
}

export function useVersions(slug: string | undefined) {
  return useAnswer(ExerciseVersions, slug ? `/exercises/${slug}/versions` : null);
}

export function useExerciseHistory(slug: string) {
  return useAnswer(ExerciseHistory, `/exercises/${slug}/history`);
}
