import { pairRule } from '../pair-rule.ts';

export const layers = pairRule({
  id: 'layers',
  statement: 'Stretches go from the outer long muscle to the deep short one.',
  kind: 'preference',
  why: 'While the outer layer pulls, the deep one is not reached and the joint takes the stretch.',
});
