import type { Rule } from '../rule.ts';

/** For order and draft alone: nobody is told that a class could flow better. */
export const goesBefore: Rule = {
  id: 'goes-before',
  name: 'What goes well together',
  statement:
    'Exercises follow on what goes well before them. Only the search for an order weighs it.',
  kind: 'preference',
  why: 'A class that flows needs fewer words.',
  usually: 'should',
  order: [
    {
      cost: 'sequence',
      isNeverTold: true,
      comesFirst: ({ exercise: first }, { exercise: second }) =>
        first.goesBefore.includes(second.slug) && !second.goesBefore.includes(first.slug)
          ? `${first.name} goes well before ${second.name}`
          : undefined,
    },
  ],
  find: () => [],
};
