import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { arranged } from './arrange.ts';
import type { Choice } from './pool.ts';

/** As much of a choice as its place in a block depends on. */
const choice = (slug: string, effort: number, change: Parameters<typeof makeExercise>[1] = {}) => ({
  choice: { exercise: makeExercise(slug, change), effort } as Choice,
});
const order = (all: { choice: Choice }[], rank: (choice: Choice) => number = () => 0) =>
  arranged(all, rank).map(({ choice: { exercise } }) => exercise.slug);

describe('what is chosen for a block', () => {
  it('stands by rank, and of equals the lighter comes first', () => {
    const all = [choice('hard', 3), choice('soft', 0), choice('light', 1)];
    expect(order(all)).toEqual(['soft', 'light', 'hard']);
    expect(order(all, ({ effort }) => Number(effort === 0))).toEqual(['light', 'hard', 'soft']);
  });

  it('has parts before their wholes, and what goes well before another, whatever the efforts say', () => {
    const all = [
      choice('whole', 1),
      choice('part', 2, { prepares: ['whole'] }),
      choice('before', 3, { goesBefore: ['part'] }),
    ];
    expect(order(all)).toEqual(['before', 'part', 'whole']);
  });

  it('keeps to the rank before anything else, and is not stopped by a circle', () => {
    const one = choice('one', 1, { prepares: ['other'] });
    const other = choice('other', 2, { prepares: ['one'] });
    expect(order([one, other])).toHaveLength(2);
    expect(order([one, other], ({ exercise }) => Number(exercise.slug === 'one'))).toEqual([
      'other',
      'one',
    ]);
  });

  it('goes on with what leaves the machine as it stands, before what is lighter', () => {
    const settings = (medium: number, bar: 'high' | 'middle') => ({
      options: [{ settings: { springs: { medium }, bar } }, {}],
    });
    const all = [
      choice('kneel', 1, settings(1, 'middle')),
      choice('bar-up', 2, settings(1, 'high')),
      choice('as-it-stands', 3, settings(1, 'middle')),
      choice('springs-too', 1.5, settings(2, 'high')),
    ];
    expect(order(all)).toEqual(['kneel', 'as-it-stands', 'bar-up', 'springs-too']);
  });
});
