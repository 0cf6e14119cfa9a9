import type { ExerciseInput } from '@wrenfern/core/movement/exercise';

type PropUse = NonNullable<ExerciseInput['options'][number]['props']>[number];

/** One small ball, half inflated. */
export function ball(place: PropUse['place'], role: PropUse['role']): PropUse {
  return { prop: 'small-ball', place, role };
}

export function support(
  prop: PropUse['prop'],
  place: PropUse['place'],
  extra: { count?: number; optional?: boolean } = {},
): PropUse {
  return { prop, place, role: 'support', ...extra };
}
