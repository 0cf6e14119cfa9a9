import type { Blueprint } from './block.ts';
import { curls, isPlainBridge, lies, ofFamily, softer, withSlug } from './choice-tests.ts';
import type { Choice } from './pool.ts';

const placeIn1945 = ({ exercise }: Choice) => exercise.classicOrder ?? Infinity;
/** Exercises of the order that end it standing. */
const LAST_IN_ORDER = 34;
const LATE_IN_ORDER = 29;
const WHOLE = 40;

const isInOrder = ({ exercise }: Choice) => exercise.classicOrder !== undefined;

/** The published order, 3 to 10 each and no pauses, from a breath and what warms the back for it to the push-up. */
export function sequenceBlueprint(minutes: number): Blueprint {
  return {
    blocks: [
      {
        id: 'arrive',
        name: 'Arrive',
        share: [0.04, 0.08],
        exercises: [1, 2],
        fits: (choice) => lies(choice) && ofFamily('awareness')(choice) && softer(0.5)(choice),
      },
      {
        // It begins with a hard one: nobody goes there straight from the first breath.
        id: 'wake',
        name: 'Wake',
        share: [0.08, 0.11],
        exercises: minutes >= WHOLE ? [2, 4] : [2, 3],
        fits: (choice) =>
          lies(choice) &&
          softer(1.5)(choice) &&
          !isInOrder(choice) &&
          ofFamily('trunk', 'spine', 'hips', 'awareness')(choice) &&
          (!curls(choice) || withSlug('chest-lift')(choice)),
        holds: [isPlainBridge, withSlug('chest-lift')],
        rank: (choice) => Number(curls(choice)),
      },
      {
        id: 'sequence',
        name: 'In order',
        share: [0.7, 0.86],
        exercises: [Math.min(12, Math.round(minutes * 0.4)), 34],
        fits: isInOrder,
        holds: [
          ({ exercise }) => exercise.classicOrder === LAST_IN_ORDER,
          // Before the last one something as hard: nobody goes from a rest to a push-up.
          ({ exercise, effort }) => (exercise.classicOrder ?? 0) >= LATE_IN_ORDER && effort >= 2,
        ],
        rank: placeIn1945,
      },
      {
        id: 'close',
        name: 'Close',
        share: [0.04, 0.1],
        exercises: [2, 3],
        fits: withSlug('standing-roll-down', 'calf-wall', 'chest-opener-wall'),
        // Legs and chest, which it asks most of.
        holds: [withSlug('calf-wall'), withSlug('chest-opener-wall')],
        rank: (choice) => Number(ofFamily('release')(choice)),
      },
    ],
    leavesOut: () => false,
  };
}
