import { pairRule } from '../pair-rule.ts';
import type { Placeable } from '../rule.ts';

const isBackLift = ({ timed }: Placeable) =>
  timed.position === 'prone' && timed.moves.includes('arch');
const isOneSided = ({ dose }: Placeable) => dose.sides !== 'none';
const raisesOneArm = ({ exercise }: Placeable) => exercise.bodyParts.includes('shoulders');

export const bothThenOne = pairRule({
  id: 'both-then-one',
  name: 'Both sides, then one',
  statement: 'The back is lifted on both sides before it is lifted on one.',
  kind: 'order',
  why: 'A one-sided lift turns a back that has not yet been balanced.',
  usually: 'must',
  within: 'class',
  comesFirst: (first, second) => {
    if (isBackLift(first) && isBackLift(second) && !isOneSided(first) && isOneSided(second)) {
      if (raisesOneArm(first) && raisesOneArm(second)) {
        return 'both sides of the back lift together before one side does alone';
      }
    }
    return undefined;
  },
});
