import { pairRule } from '../pair-rule.ts';

export const shortBeforeLong = pairRule({
  id: 'short-before-long',
  statement:
    'Within one movement family the shorter lever, the wider base, the more supported comes first.',
  kind: 'order',
  why: 'The short lever shows whether the trunk can hold still; the long one punishes it when it can not.',
});
