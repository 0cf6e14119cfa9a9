import type { Block, Blueprint } from './block.ts';
import type { Character } from './characters.ts';
import { at, gearOfChoice, lies, ofFamily, softer, withSlug } from './choice-tests.ts';
import type { Choice } from './pool.ts';

const inLoops = (choice: Choice) => {
  const { loops, box } = gearOfChoice(choice);
  return loops !== undefined && loops !== 'none' && (box ?? 'none') === 'none';
};
const onBox = (kind: 'long' | 'short') => (choice: Choice) => gearOfChoice(choice).box === kind;
const BY_FEET = ['footwork', 'calf-raise', 'running'];
const byFeet = withSlug(...BY_FEET);
const isJump = withSlug('jumping', 'scissor-jump', 'side-jump');
const feetInLoops = (choice: Choice) =>
  withSlug('feet-in-straps', 'short-spine', 'long-spine')(choice);

/** The box is on once: each proposal has another one. */
const BOX: Record<Character['id'], 'long' | 'short'> = {
  near: 'short',
  fresh: 'long',
  calm: 'short',
};
const WHOLE = 40;
const SHORT = 25;

/**
 * Heavy for the feet, lighter for trunk and hands, medium for loops, the box once, medium-heavy on hands and knees, light
 * kneeling, then standing. Common practice.
 */
export function reformerBlueprint(minutes: number, character: Character['id']): Blueprint {
  const box = BOX[character];
  const blocks: (Block | undefined)[] = [
    {
      id: 'arrive',
      name: 'Arrive',
      share: [0.02, 0.05],
      exercises: [1, 1],
      fits: (choice) => lies(choice) && ofFamily('awareness')(choice),
    },
    {
      id: 'feet',
      name: 'Footwork',
      share: [0.1, 0.17],
      exercises: minutes >= SHORT ? [2, 3] : [1, 2],
      fits: byFeet,
      holds: [withSlug('footwork')],
      inOrder: (a, b) => BY_FEET.indexOf(a.exercise.slug) - BY_FEET.indexOf(b.exercise.slug),
    },
    {
      id: 'trunk',
      name: 'Bridge and trunk',
      share: [0.1, 0.17],
      exercises: [2, 3],
      fits: (choice) =>
        lies(choice) &&
        !feetInLoops(choice) &&
        !byFeet(choice) &&
        !isJump(choice) &&
        !onBox('long')(choice) &&
        ofFamily('trunk', 'spine', 'hips', 'shoulders')(choice),
      holds: [withSlug('reformer-bridge')],
    },
    minutes >= SHORT
      ? {
          id: 'loops',
          name: 'Feet in loops',
          share: [0.07, 0.14],
          exercises: [1, 2],
          fits: (choice) => feetInLoops(choice) || withSlug('reformer-hip-stretch')(choice),
          holds: [withSlug('feet-in-straps')],
          // What was worked is stretched behind it.
          inOrder: (a, b) => Number(ofFamily('release')(a)) - Number(ofFamily('release')(b)),
        }
      : undefined,
    minutes >= WHOLE
      ? {
          id: 'box',
          name: box === 'long' ? 'Long box' : 'Short box',
          share: [0.08, 0.15],
          exercises: [2, 4],
          fits: (choice) => onBox(box)(choice) && !at('kneeling')(choice),
        }
      : undefined,
    {
      id: 'hands',
      name: 'Hands and knees',
      share: [0.08, 0.16],
      exercises: minutes >= WHOLE ? [2, 4] : [1, 3],
      fits: (choice) =>
        at('quadruped', 'plank')(choice) || withSlug('elephant', 'carriage-cat')(choice),
      holds: [withSlug('knee-stretch', 'elephant', 'reverse-abdominals')],
    },
    minutes >= WHOLE
      ? {
          id: 'arms',
          name: 'Arms, upright',
          share: [0.06, 0.13],
          exercises: [2, 3],
          fits: (choice) =>
            at('kneeling', 'seated')(choice) &&
            inLoops(choice) &&
            ofFamily('shoulders', 'hips', 'spine')(choice),
        }
      : undefined,
    {
      id: 'standing',
      name: 'Standing',
      share: [0.05, 0.13],
      exercises: [1, 2],
      fits: (choice) =>
        at('standing')(choice) &&
        !ofFamily('release')(choice) &&
        !withSlug('elephant', 'tendon-stretch')(choice),
      holds: [withSlug('scooter')],
      // A foot on the floor first.
      inOrder: (a, b) => Number(!withSlug('scooter')(a)) - Number(!withSlug('scooter')(b)),
    },
    {
      id: 'close',
      name: 'Close',
      share: [0.05, 0.11],
      exercises: [2, 3],
      fits: (choice) =>
        withSlug('front-lunge-stretch', 'side-sit-mermaid-reformer', 'roll-down-beside')(choice),
      holds: [withSlug('roll-down-beside')],
      inOrder: (a, b) =>
        Number(withSlug('roll-down-beside')(a)) - Number(withSlug('roll-down-beside')(b)),
    },
  ];
  return {
    blocks: blocks.filter((block) => block !== undefined),
    // The rest on the carriage is for who lies down again; feats and jumps come where somebody asks for them.
    leavesOut: (choice) =>
      withSlug('carriage-rest')(choice) || isJump(choice) || !softer(4)(choice),
  };
}
