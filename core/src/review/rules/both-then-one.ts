import { pairRule } from '../pair-rule.ts';

export const bothThenOne = pairRule({
  id: 'both-then-one',
  statement:
    'Back lifts: both sides before one. Legs away from the trunk: one leg before two. Each ladder has its own direction.',
  kind: 'order',
  why: 'A one-sided lift turns a back that has not yet been balanced; two legs ask twice the support of one.',
});
