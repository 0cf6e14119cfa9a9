import { leadsTo, type Exercise } from '../movement/exercise.ts';

/** What a class on the mat has done before what is made of it, whichever of each. Common practice. */
export const PARTS_FIRST: readonly { parts: readonly string[]; wholes: readonly string[] }[] = [
  {
    parts: ['bridge-roll', 'bridge-articulate', 'bridge-hinge-roll'],
    wholes: [
      'bridge-leg',
      'bridge-sway',
      'bridge-hold-arms',
      'bridge-curl',
      'bridge-figure-four',
      'shoulder-bridge-kick',
    ],
  },
  {
    parts: ['chest-lift'],
    wholes: [
      'chest-lift-rotation',
      'chest-lift-side',
      'criss-cross',
      'hundred',
      'single-leg-stretch',
      'double-leg-stretch',
      'bridge-curl',
      'ball-curl-arms',
    ],
  },
  {
    parts: ['side-plank'],
    wholes: ['twist-side-bend', 'plank-roll-side', 'ball-side-raise'],
  },
  {
    parts: ['dart', 'breaststroke-prep', 'swan-prep', 'prone-arm-letters', 'double-leg-kick'],
    wholes: ['breaststroke-one-arm', 'half-superman', 'swimming'],
  },
  { parts: ['half-roll-back'], wholes: ['half-roll-back-turn', 'roll-back-hold-arms'] },
  { parts: ['toe-tap', 'knee-fold'], wholes: ['double-leg-lower', 'double-leg-stretch'] },
  {
    parts: ['plank'],
    wholes: ['plank-hip-dip', 'plank-step', 'plank-hand-walk', 'plank-roll-side', 'leg-pull-front'],
  },
];

/** One is a part of the other, or goes well before it. */
export function comesBefore(one: Exercise, other: Exercise): boolean {
  const isPart = PARTS_FIRST.some(
    ({ parts, wholes }) => parts.includes(one.slug) && wholes.includes(other.slug),
  );
  return isPart || leadsTo(one).includes(other.slug);
}
