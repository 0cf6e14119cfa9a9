import { demandsOf } from '../../people/demands.ts';
import { pairRule } from '../pair-rule.ts';
import type { Placeable } from '../rule.ts';

const isBackLift = ({ timed }: Placeable) =>
  timed.position === 'prone' && timed.moves.includes('arch');
const isOneSided = ({ dose }: Placeable) => dose.sides !== 'none';
const raisesOneArm = ({ exercise }: Placeable) => exercise.bodyParts.includes('shoulders');
const lowersBothLegs = ({ option }: Placeable) => demandsOf(option).includes('double-leg-lower');

export const bothThenOne = pairRule({
  id: 'both-then-one',
  name: 'Both sides, then one',
  statement:
    'Back lifts: both sides before one. Legs away from the trunk: one leg before two. Each ladder has its own direction.',
  kind: 'order',
  why: 'A one-sided lift turns a back that has not yet been balanced; two legs ask twice the support of one.',
  usually: 'must',
  within: 'class',
  comesFirst: (first, second) => {
    if (isBackLift(first) && isBackLift(second) && !isOneSided(first) && isOneSided(second)) {
      if (raisesOneArm(first) && raisesOneArm(second)) {
        return 'both sides of the back lift together before one side does alone';
      }
    }
    const isLegWork = (item: Placeable) =>
      item.timed.position === 'supine' &&
      item.exercise.teaches.some(({ foundation }) => foundation === 'levers');
    if (isLegWork(first) && isOneSided(first) && !lowersBothLegs(first) && lowersBothLegs(second)) {
      return 'one leg moves away from the trunk before both do';
    }
    return undefined;
  },
});
