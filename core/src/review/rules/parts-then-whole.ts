import { pairRule } from '../pair-rule.ts';

export const partsThenWhole = pairRule({
  id: 'parts-then-whole',
  statement: 'A joined movement comes after the parts that prepare it.',
  kind: 'order',
  why: 'Halves that are known join by themselves; halves that are not are skipped over with a swing.',
});
