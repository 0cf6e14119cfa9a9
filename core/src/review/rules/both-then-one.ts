import { fullPose } from '../../body/shapes/index.ts';
import type { Option } from '../../movement/exercise.ts';
import { pairRule } from '../pair-rule.ts';
import type { Placeable } from '../rule.ts';

const isBackLift = ({ timed }: Placeable) =>
  timed.position === 'prone' && timed.moves.includes('arch');
/** A cheek that turns in between, over arms and legs that move together, is no lift of one side. */
const isOneSided = ({ dose, option }: Placeable) =>
  dose.sides === 'each' || (dose.sides !== 'none' && option.poses.some(hasUnlikeArms));
const raisesOneArm = ({ exercise }: Placeable) => exercise.bodyParts.includes('shoulders');

function hasUnlikeArms(pose: Option['poses'][number]): boolean {
  const { right, left } = fullPose(pose);
  return JSON.stringify(right.arm) !== JSON.stringify(left.arm);
}

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
