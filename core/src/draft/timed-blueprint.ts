import type { Block, Blueprint } from './block.ts';
import type { Character } from './characters.ts';
import { at, curls, goesOver, lies, ofFamily, softer, withSlug } from './choice-tests.ts';
import type { Choice } from './pool.ts';

const ROUNDS = 2;
const PAUSE_S = 60;
/** Articulation, nods and breath are not done by the clock. */
const NOT_BY_CLOCK: readonly string[] = [
  'articulate-large',
  'articulate-small',
  'breath',
  'roll-down',
];

const byClock = ({ exercise }: Choice) =>
  !NOT_BY_CLOCK.includes(exercise.tempo) &&
  exercise.family !== 'release' &&
  exercise.family !== 'awareness';

/** From so many minutes on, a block more. */
const THIRD_FROM = 25;
const FOURTH_FROM = 40;

/** A short warm-up by count, then blocks of intervals in rounds, a minute between; trunk, hands, hips and legs in turn. */
export function timedBlueprint(minutes: number, character: Character['id']): Blueprint {
  const intervals = (block: Omit<Block, 'share' | 'exercises' | 'rounds' | 'pauseS'>): Block => ({
    share: [0.16, 0.32],
    exercises: [3, 5],
    rounds: ROUNDS,
    pauseS: PAUSE_S,
    ...block,
  });
  const hands = intervals({
    id: 'hands',
    name: 'Hands and back',
    // What arches and what braces in turn: no block only bends one way.
    fits: (choice) => byClock(choice) && at('plank', 'quadruped', 'side-support', 'prone')(choice),
    holds: [at('plank'), at('prone')],
    most: [[at('prone'), 2]],
  });
  const trunk = intervals({
    id: 'trunk',
    name: 'Trunk and hips',
    fits: (choice) => byClock(choice) && lies(choice) && (curls(choice) || choice.effort >= 1),
    holds: [curls, ofFamily('hips')],
    most: [[curls, 3]],
  });
  const legs = intervals({
    id: 'legs',
    name: 'Legs',
    fits: (choice) => byClock(choice) && at('standing')(choice) && choice.effort >= 1,
    holds: [withSlug('squat', 'lunge')],
  });
  const turns = intervals({
    id: 'turns',
    name: 'Sitting and kneeling',
    fits: (choice) =>
      byClock(choice) &&
      at('seated', 'kneeling')(choice) &&
      !ofFamily('plank')(choice) &&
      !goesOver(choice),
  });
  const order: Record<Character['id'], Record<2 | 3 | 4, Block[]>> = {
    near: { 2: [trunk, hands], 3: [trunk, hands, turns], 4: [trunk, hands, turns, legs] },
    fresh: { 2: [trunk, hands], 3: [trunk, hands, legs], 4: [trunk, turns, hands, legs] },
    calm: { 2: [trunk, hands], 3: [trunk, turns, hands], 4: [trunk, turns, hands] },
  };
  const many = minutes >= FOURTH_FROM ? 4 : minutes >= THIRD_FROM ? 3 : 2;
  const blocks = order[character][many];
  return {
    blocks: [
      {
        id: 'warm',
        name: 'Warm up',
        share: [0.08, 0.16],
        exercises: [2, 4],
        fits: (choice) =>
          lies(choice) && !byClock(choice) && softer(1)(choice) && !ofFamily('release')(choice),
      },
      ...blocks,
      {
        id: 'close',
        name: 'Close',
        share: [0.06, 0.12],
        exercises: [2, 3],
        fits: (choice) =>
          ofFamily('release')(choice) &&
          (at('seated', 'standing', 'kneeling')(choice) || withSlug('shell-stretch')(choice)),
      },
    ],
    leavesOut: () => false,
  };
}
