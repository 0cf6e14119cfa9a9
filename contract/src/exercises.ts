import { z } from 'zod';
import { Exercise } from '@wrenfern/core/movement/exercise';

/** One version of a studio's own exercise. */
export const OwnExercise = z.object({
  exercise: Exercise,
  version: z.number(),
  savedAt: z.iso.datetime(),
});
export type OwnExercise = z.infer<typeof OwnExercise>;
export const OwnExercises = z.object({ exercises: z.array(OwnExercise) });
export const ExerciseVersions = z.object({ versions: z.array(OwnExercise) });

/** The classes an exercise stands in, newest first; `count` is of all of them. */
export const ExerciseHistory = z.object({
  count: z.number(),
  classes: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      startsAt: z.iso.datetime(),
      taught: z.boolean(),
    }),
  ),
});
export type ExerciseHistory = z.infer<typeof ExerciseHistory>;
