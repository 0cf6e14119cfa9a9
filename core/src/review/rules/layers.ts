import { pairRule } from '../pair-rule.ts';
import type { Placeable } from '../rule.ts';

/** Deep turners of the hip lie under the long muscles at its back. Common practice. */
const isOuterStretch = ({ exercise }: Placeable) =>
  exercise.family === 'release' &&
  exercise.bodyParts.includes('legs') &&
  exercise.bodyParts.some((part) => part === 'hip-back' || part === 'hip-outside');
const isDeepStretch = ({ exercise }: Placeable) =>
  exercise.family === 'release' &&
  exercise.bodyParts.includes('hip-outside') &&
  !exercise.bodyParts.includes('legs') &&
  !exercise.bodyParts.includes('shoulders');

export const layers = pairRule({
  id: 'layers',
  name: 'Outer layers first',
  statement: 'Stretches go from the outer long muscle to the deep short one.',
  kind: 'preference',
  why: 'While the outer layer pulls, the deep one is not reached and the joint takes the stretch.',
  usually: 'should',
  within: 'part',
  comesFirst: (first, second) =>
    isOuterStretch(first) && isDeepStretch(second)
      ? 'the long outer muscle lets go before the deep short one'
      : undefined,
});
