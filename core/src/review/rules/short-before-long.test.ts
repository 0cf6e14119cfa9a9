import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('short', {
    movers: ['belly'],
    swaps: ['long'],
    options: [{ effort: 1 }, { effort: 2 }],
  }),
  makeExercise('long', {
    movers: ['belly'],
    swaps: ['short', 'other-aim'],
    options: [{ effort: 3 }, { effort: 4 }],
  }),
  makeExercise('other-aim', { movers: ['seat'], swaps: ['long'], options: [{ effort: 1 }, {}] }),
  makeExercise('elsewhere', {
    movers: ['belly'],
    position: 'prone',
    swaps: ['long'],
    options: [{ effort: 1 }, {}],
  }),
]);
const of = (slugs: string[]) => findingsOf('short-before-long', makePlan([slugs]), catalogue);

describe('short-before-long', () => {
  it('wants the lighter of two that stand in for one another first', () => {
    expect(of(['short', 'long'])).toEqual([]);
    expect(of(['long', 'short'])[0]?.sentence).toMatch(
      /^Long comes before short: short asks \d+ of 100, long \d+: the shorter lever comes first\.$/,
    );
  });

  it('has no wish for what is done in another position, or alone', () => {
    expect(of(['long', 'elsewhere'])).toEqual([]);
    expect(of(['long', 'curl'])).toEqual([]);
    expect(of(['long', 'other-aim'])).toEqual([]);
  });

  it('looks at one part of the class, and not at what was done before as well', () => {
    const parts = makePlan([['long'], ['short']]);
    expect(findingsOf('short-before-long', parts, catalogue)).toEqual([]);
    expect(of(['short', 'long', 'short'])).toEqual([]);
  });

  it('takes the lighter option of the same exercise first', () => {
    const heavy = makePlan([
      [
        ['long', { options: [1] }],
        ['long', { options: [1] }],
      ],
    ]);
    expect(findingsOf('short-before-long', heavy, catalogue)).toEqual([]);
  });

  it('turns them round', () => {
    const plan = makePlan([['long', 'short']]);
    const [finding] = findingsOf('short-before-long', plan, catalogue);
    const after = repaired(plan, finding, /^Move short before long$/);
    expect(findingsOf('short-before-long', after, catalogue)).toEqual([]);
  });
});
