import type { Rule } from '../rule.ts';

/** What it is worth that the next exercise follows on what goes well before it. */
const GOES_WELL_S = 6;

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
      neighbours: (from, to) =>
        to.exercise.goesBefore.includes(from.exercise.slug) ? GOES_WELL_S : 0,
    },
  ],
  find: () => [],
};
