import type { Blueprint } from './block.ts';
import { lies, ofFamily, softer, withSlug } from './choice-tests.ts';
import type { Choice } from './pool.ts';

const placeIn1945 = ({ exercise }: Choice) => exercise.classicOrder ?? Infinity;
/** Exercises of the order that end it standing. */
const LAST_IN_ORDER = 34;
const LATE_IN_ORDER = 29;

/** The published order, 3 to 10 each and no pauses, from a breath to the push-up. */
export function sequenceBlueprint(minutes: number): Blueprint {
  return {
    blocks: [
      {
        id: 'arrive',
        name: 'Arrive',
        share: [0.04, 0.08],
        exercises: [1, 2],
        fits: (choice) => lies(choice) && ofFamily('awareness')(choice) && softer(1)(choice),
      },
      {
        id: 'sequence',
        name: 'In order',
        share: [0.8, 0.95],
        exercises: [Math.min(12, Math.round(minutes * 0.4)), 34],
        fits: ({ exercise }) => exercise.classicOrder !== undefined,
        holds: [
          ({ exercise }) => exercise.classicOrder === LAST_IN_ORDER,
          // Before the last one something as hard: nobody goes from a rest to a push-up.
          ({ exercise, effort }) => (exercise.classicOrder ?? 0) >= LATE_IN_ORDER && effort >= 2,
        ],
        inOrder: (a, b) => placeIn1945(a) - placeIn1945(b),
      },
      {
        id: 'close',
        name: 'Close',
        share: [0.04, 0.1],
        exercises: [1, 2],
        fits: withSlug(
          'standing-roll-down',
          'calf-wall',
          'chest-opener-wall',
          'hands-high-circles',
        ),
      },
    ],
    leavesOut: () => false,
  };
}
