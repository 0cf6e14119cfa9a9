import { z } from 'zod';
import { Exercise } from '@wrenfern/core/movement/exercise';

/** An exercise as a file: its format is docs/formats/exercise.md. */
const ExerciseFile = z.strictObject({
  format: z.literal('wrenfern-exercise/1', 'this is not a Wrenfern exercise file'),
  exercise: Exercise,
});

export function exerciseFile(exercise: Exercise): string {
  return `${JSON.stringify({ format: 'wrenfern-exercise/1', exercise }, null, 2)}\n`;
}

/** The exercise, or what is wrong with the file in words. */
export function readExerciseFile(text: string): { exercise: Exercise } | { faults: string[] } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { faults: ['The file is not JSON, so it cannot be read.'] };
  }
  const read = ExerciseFile.safeParse(value);
  if (read.success) return { exercise: read.data.exercise };
  return {
    faults: read.error.issues.map(({ path, message }) => `${path.join(' › ')}: ${message}`),
  };
}
