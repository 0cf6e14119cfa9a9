import { pairRule } from '../pair-rule.ts';
import type { Placeable } from '../rule.ts';

/** Steps of the pelvis: tilt, side to side, round. Common practice. */
function pelvisStep({ exercise, timed }: Placeable): number {
  const isPelvic =
    exercise.family === 'awareness' &&
    timed.position === 'supine' &&
    exercise.teaches.some(({ foundation }) => foundation === 'pelvis');
  if (!isPelvic) return 0;
  const moves = new Set(timed.moves);
  if (moves.has('still')) return 0;
  if (moves.size > 2) return 3;
  return moves.has('side') || moves.has('turn') ? 2 : 1;
}

const PELVIS_WORDS = ['', 'tilt forward and back', 'tilt side to side', 'go round'] as const;

export const pelvisSequence = pairRule({
  id: 'pelvis-sequence',
  name: 'Pelvis step by step',
  statement: 'The pelvis tilts forward and back, then side to side, then goes round.',
  kind: 'order',
  why: 'A circle is made of its lines; where a line is not yet clear, the circle cuts the corner.',
  usually: 'must',
  within: 'class',
  comesFirst: (first, second) => {
    const [one, two] = [pelvisStep(first), pelvisStep(second)];
    if (one === 0 || two === 0 || one >= two) return undefined;
    return `the pelvis learns to ${PELVIS_WORDS[one] ?? ''} before it learns to ${PELVIS_WORDS[two] ?? ''}`;
  },
});
