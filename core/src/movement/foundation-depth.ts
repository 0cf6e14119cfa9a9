import type { Exercise } from './exercise.ts';
import type { Foundation } from './vocabulary.ts';

/** What a class must have taught for a need: one step less deep, but at least once. */
export function taughtDepthFor(needed: number): number {
  return Math.max(1, needed - 1);
}

/** True where an exercise teaches a foundation deeply enough for one that needs it at `depth`. */
export function teachesFor(
  { teaches }: Pick<Exercise, 'teaches'>,
  { foundation, depth }: { foundation: Foundation; depth: number },
): boolean {
  return teaches.some(
    (taught) => taught.foundation === foundation && taught.depth >= taughtDepthFor(depth),
  );
}
