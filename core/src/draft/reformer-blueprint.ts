import { isOverTheBar } from '../movement/over-the-bar.ts';
import type { Block, Blueprint } from './block.ts';
import type { Character } from './characters.ts';
import {
  BY_FEET,
  at,
  gearOfChoice,
  goesOver,
  lies,
  ofFamily,
  softer,
  withSlug,
} from './choice-tests.ts';
import type { Choice } from './pool.ts';

const inLoops = (choice: Choice) => {
  const { loops, box } = gearOfChoice(choice);
  return loops !== undefined && loops !== 'none' && (box ?? 'none') === 'none';
};
const onBox = (kind: 'long' | 'short') => (choice: Choice) => gearOfChoice(choice).box === kind;
const byFeet = withSlug(...BY_FEET);
const isJump = withSlug('jumping', 'scissor-jump', 'side-jump');
const isSpineInLoops = withSlug('short-spine', 'long-spine');
/** On a light spring, with the hands in the loops or on the frame: no work of the bar. */
const isLightOnAllFours = withSlug('reverse-abdominals', 'quadruped-facing-straps');

const WHOLE = 40;
const SHORT = 25;

const BOXES = ['long', 'short'] as const;

/**
 * Heavy for the feet, lighter for trunk and hands, medium for loops, the box once, medium-heavy on hands and knees, light
 * kneeling, then standing. Each proposal goes its own way between trunk and hands. Common practice.
 */
export function reformerBlueprint(
  minutes: number,
  character: Character['id'],
  wished: readonly Choice[],
): Blueprint {
  // Where somebody asks for what rolls over in the loops, all of the loops come later.
  const spine = wished.some(isSpineInLoops);
  const between: Record<Character['id'], (Block | undefined)[]> = {
    near: [loops(minutes, spine), box(minutes, 'short')],
    // What goes over the shoulders comes no sooner than the middle.
    fresh: [box(minutes, 'long'), loops(minutes, spine || minutes >= WHOLE)],
    calm: [loops(minutes, spine), sides(minutes)],
  };
  const onWhichBox = BOXES.find((kind) => wished.some(onBox(kind)));
  const blocks = [
    ARRIVE,
    feet(minutes),
    TRUNK,
    ...(onWhichBox
      ? [loops(minutes, spine), box(WHOLE, onWhichBox)]
      : wished.some(at('side-lying'))
        ? between.calm
        : between[character]),
    hands(minutes),
    arms(minutes),
    STANDING,
    close(minutes),
  ];
  return {
    blocks: blocks.filter((block) => block !== undefined),
    // The rest on the carriage is for who lies down again; feats and jumps come where somebody asks for them.
    leavesOut: (choice) =>
      withSlug('carriage-rest')(choice) ||
      isJump(choice) ||
      !softer(4)(choice) ||
      // Nobody stands on the carriage in a first class.
      (choice.tooEarly > 0 && at('standing')(choice)),
  };
}

const ARRIVE: Block = {
  id: 'arrive',
  name: 'Arrive',
  share: [0.02, 0.05],
  exercises: [1, 1],
  fits: (choice) => lies(choice) && ofFamily('awareness')(choice),
  holds: [ofFamily('awareness')],
  // Two minutes of the carriage are an arrival; twice as much is padding.
  most: [[ofFamily('awareness'), 1]],
};

const feet = (minutes: number): Block => ({
  id: 'feet',
  name: 'Footwork',
  share: [0.11, 0.17],
  exercises: minutes >= SHORT ? [2, 3] : [1, 2],
  fits: byFeet,
  // Four minutes of it, however short the class is.
  holds:
    minutes >= WHOLE
      ? [withSlug('footwork'), withSlug('calf-raise', 'running')]
      : BY_FEET.map((slug) => withSlug(slug)),
  rank: ({ exercise }) => BY_FEET.indexOf(exercise.slug),
});

const TRUNK: Block = {
  id: 'trunk',
  name: 'Bridge and trunk',
  share: [0.1, 0.17],
  exercises: [2, 3],
  fits: (choice) =>
    lies(choice) &&
    // The class is not at its top yet.
    softer(3)(choice) &&
    !goesOver(choice) &&
    !isSpineInLoops(choice) &&
    !byFeet(choice) &&
    !isJump(choice) &&
    !withSlug('feet-in-straps')(choice) &&
    !onBox('long')(choice) &&
    ofFamily('trunk', 'spine', 'hips', 'shoulders')(choice),
  holds: [withSlug('reformer-bridge')],
  // The bridge stays on the springs of the feet; then lighter, with the hands in the loops.
  rank: (choice) => -springsOf(choice),
};

/** In light springs: a medium one is about two of them, a heavy one two medium. */
const HEAVY = 4;

/** How strong the machine is set for it. */
function springsOf(choice: Choice): number {
  const { heavy = 0, medium = 0, light = 0 } = gearOfChoice(choice).springs ?? {};
  return HEAVY * heavy + 2 * medium + light;
}

function loops(minutes: number, isLate = false): Block | undefined {
  if (minutes < SHORT) return undefined;
  return {
    id: 'loops',
    name: 'Feet in loops',
    share: [0.07, 0.13],
    exercises: [1, 2],
    fits: (choice) =>
      withSlug('feet-in-straps', 'reformer-hip-stretch')(choice) ||
      (isLate && isSpineInLoops(choice)),
    holds: [withSlug('feet-in-straps')],
    // What was worked is stretched behind it.
    rank: (choice) => Number(ofFamily('release')(choice)),
  };
}

/** The box is on once: each proposal that has one has another. */
function box(minutes: number, kind: 'long' | 'short'): Block | undefined {
  if (minutes < WHOLE) return undefined;
  return {
    id: 'box',
    name: kind === 'long' ? 'Long box' : 'Short box',
    share: [0.08, 0.15],
    exercises: [2, 4],
    fits: onBox(kind),
    mayGoRound: true,
    ...(kind === 'short'
      ? // Round and flat with the feet held, then what leans and turns; light arms last.
        {
          holds: [withSlug('short-box-round', 'short-box-flat')],
          rank: (choice) => Number(springsOf(choice) < HEAVY),
        }
      : // Pulling first, last what arches against the bar; of those that want springs of their own between, one.
        {
          most: [
            [withSlug('long-box-breaststroke', 'long-box-backstroke'), 1],
            [at('seated'), 0],
          ] as const,
          rank: (choice) => Number(springsOf(choice) >= HEAVY),
        }),
  };
}

/** Without a box: the legs press and circle lying on the side, one side and then the other. */
function sides(minutes: number): Block | undefined {
  if (minutes < WHOLE) return undefined;
  return {
    id: 'sides',
    name: 'On the side',
    share: [0.05, 0.1],
    exercises: [1, 1],
    fits: (choice) => at('side-lying')(choice) && !isJump(choice),
    // One setting for both sides.
    most: [[at('side-lying'), 1]],
    holds: [at('side-lying')],
  };
}

/** Knee stretch and elephant first, then the long lever; on the bar, medium-heavy. */
const hands = (minutes: number): Block => ({
  id: 'hands',
  name: 'Hands and knees',
  share: [0.08, 0.16],
  exercises: minutes >= WHOLE ? [2, 4] : [1, 3],
  fits: (choice) =>
    (at('quadruped', 'plank')(choice) && !isLightOnAllFours(choice)) ||
    isOverTheBar(choice.exercise.slug),
  holds: [withSlug('knee-stretch', 'elephant')],
  mayGoRound: true,
  rank: (choice) => Number(ofFamily('release')(choice)),
});

function arms(minutes: number): Block | undefined {
  if (minutes < WHOLE) return undefined;
  return {
    id: 'arms',
    name: 'Arms and trunk, light',
    share: [0.07, 0.13],
    exercises: [2, 3],
    fits: (choice) =>
      isLightOnAllFours(choice) ||
      (at('kneeling', 'seated')(choice) &&
        inLoops(choice) &&
        ofFamily('shoulders', 'hips', 'spine')(choice)),
    holds: [at('kneeling')],
    most: [[isLightOnAllFours, 1]],
    mayGoRound: true,
  };
}

const STANDING: Block = {
  id: 'standing',
  name: 'Standing',
  share: [0.05, 0.13],
  exercises: [1, 2],
  fits: (choice) =>
    at('standing')(choice) &&
    !ofFamily('release')(choice) &&
    !isOverTheBar(choice.exercise.slug) &&
    !withSlug('tendon-stretch')(choice),
  holds: [withSlug('scooter')],
  // A foot on the floor first.
  rank: (choice) => Number(!withSlug('scooter')(choice)),
};

const close = (minutes: number): Block => ({
  id: 'close',
  name: 'Close',
  share: [0.05, 0.11],
  exercises: minutes >= WHOLE ? [2, 3] : [1, 2],
  fits: withSlug('front-lunge-stretch', 'side-sit-mermaid-reformer', 'roll-down-beside'),
  holds: [
    withSlug('roll-down-beside'),
    ...(minutes >= WHOLE ? [withSlug('front-lunge-stretch', 'side-sit-mermaid-reformer')] : []),
  ],
  rank: (choice) => Number(withSlug('roll-down-beside')(choice)),
});
