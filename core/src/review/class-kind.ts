import { exerciseItemsOf, type Plan } from '../plan/plan.ts';

/**
 * A lesson goes through one exercise and its parts, a short set has no time for everything; rules that ask for a whole
 * class are quiet in both. Common practice.
 */
export type ClassKind = 'lesson' | 'short set' | 'class';

const SHORT_S = 720;
const LESSON_EXERCISES = 4;

export function kindOfClass(plan: Plan): ClassKind {
  if (plan.targetS > SHORT_S) return 'class';
  const slugs = new Set(exerciseItemsOf(plan).map(({ exercise }) => exercise));
  return slugs.size <= LESSON_EXERCISES ? 'lesson' : 'short set';
}

const LENGTH: readonly ClassKind[] = ['lesson', 'short set', 'class'];

/** Whether a rule has anything to say in a class of this kind. */
export function speaksIn(
  { speaksFrom = 'short set' }: { speaksFrom?: ClassKind },
  kind: ClassKind,
): boolean {
  return LENGTH.indexOf(kind) >= LENGTH.indexOf(speaksFrom);
}
