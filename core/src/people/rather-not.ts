import { z } from 'zod';
import { avoid, never, type Bound } from './cautions/caution.ts';

/** What somebody would rather not do: a wish, no condition. It is kept to like a caution. */
export const RATHER_NOT = [
  { id: 'kneeling', name: 'no kneeling', bound: avoid('kneecaps', 0.05) },
  { id: 'on-the-front', name: 'not on the front', bound: avoid('bellyPress', 0.1) },
  { id: 'on-the-hands', name: 'no weight on the hands', bound: avoid('wrist', 0.1) },
  { id: 'one-leg', name: 'not on one leg', bound: avoid('oneLegStand', 0.5) },
  { id: 'rolling', name: 'no rolling', bound: avoid('rolls', 0.5) },
  { id: 'upside-down', name: 'nothing upside down', bound: never('hipsHigh', 18) },
  { id: 'jumping', name: 'no jumping', bound: avoid('impact', 0.5) },
] as const satisfies readonly { id: string; name: string; bound: Bound }[];

export const RatherNot = z.enum(RATHER_NOT.map(({ id }) => id));
export type RatherNot = z.infer<typeof RatherNot>;

export function ratherNotOf(id: RatherNot): (typeof RATHER_NOT)[number] {
  const found = RATHER_NOT.find((each) => each.id === id);
  if (!found) throw new Error(`nobody would rather not "${id}"`);
  return found;
}
