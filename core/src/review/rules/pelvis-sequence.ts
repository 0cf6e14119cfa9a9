import { pairRule } from '../pair-rule.ts';

export const pelvisSequence = pairRule({
  id: 'pelvis-sequence',
  statement: 'The pelvis tilts forward and back, then side to side, then goes round.',
  kind: 'order',
  why: 'A circle is made of its lines; where a line is not yet clear, the circle cuts the corner.',
});
