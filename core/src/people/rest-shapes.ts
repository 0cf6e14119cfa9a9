import type { Option } from '../movement/exercise.ts';
import type { KeyPose } from '../movement/pose.ts';
import type { Position } from '../movement/vocabulary.ts';
import { askedBy } from './asked.ts';
import { hitsOf, NO_CLOCK } from './hits.ts';
import type { Restriction } from './restrictions.ts';
import { AS_ASKED } from './ways.ts';

interface RestShape {
  words: string;
  /** The body in it, weighed and measured as an option is. */
  lain: Option;
}

function shape(words: string, pose: KeyPose): RestShape {
  return {
    words,
    lain: {
      number: 1,
      name: words,
      change: words,
      levers: ['support'],
      demands: [],
      feel: words,
      stepBack: words,
      props: [],
      poses: [pose],
    },
  };
}

const SHAPES = {
  back: shape('on the back, knees bent, hands on the ribs', 'supine-hands-ribs'),
  side: shape('on the side, knees bent, head supported', 'side-lying-bent'),
  front: shape('on the front, forehead on the hands', 'prone'),
  heels: shape('hips back towards the heels, head down on the arms', 'child'),
  sitting: shape('sitting tall on a chair or a box, hands on the thighs', 'chair-sit'),
  standing: shape('standing tall, a hand on the wall', 'standing'),
} as const;

/** The rest that a position has by itself, then those that are nearest to it. */
const FROM: Record<Position, readonly (keyof typeof SHAPES)[]> = {
  supine: ['back', 'side', 'sitting'],
  'side-lying': ['side', 'back', 'sitting'],
  prone: ['front', 'heels', 'side', 'back', 'sitting'],
  quadruped: ['heels', 'side', 'back', 'sitting'],
  plank: ['heels', 'side', 'back', 'sitting'],
  'side-support': ['side', 'back', 'sitting'],
  seated: ['sitting', 'side', 'back'],
  kneeling: ['sitting', 'side', 'back'],
  standing: ['standing', 'sitting', 'side', 'back'],
};

const SITS_OUT = 'sitting out, seen by the teacher';

/** A way to rest that is itself allowed, from where the exercise is done. */
export function restShapeFor(position: Position, restrictions: readonly Restriction[]): string {
  const allowed = FROM[position].find((name) => {
    const { lain } = SHAPES[name];
    const asked = askedBy(lain, AS_ASKED);
    if (!asked) return false;
    const hits = hitsOf(lain, asked, [], restrictions, 'both ways', NO_CLOCK);
    return hits.every(({ effect }) => effect !== 'avoid');
  });
  return allowed === undefined ? SITS_OUT : SHAPES[allowed].words;
}
