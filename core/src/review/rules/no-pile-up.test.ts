import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const seat = (slug: string, more: object = {}) =>
  makeExercise(slug, { movers: ['seat'], options: [{ effort: 3 }, {}], ...more });
const catalogue = makeCatalogue([
  seat('one'),
  seat('two'),
  seat('three'),
  seat('four'),
  seat('easy', { options: [{ effort: 1 }, {}] }),
  seat('stretch', { family: 'release' }),
]);
const of = (slugs: string[]) => findingsOf('no-pile-up', makePlan([slugs]), catalogue);

describe('no-pile-up', () => {
  it('lets three hard ones run on one muscle, not four: common practice', () => {
    expect(of(['one', 'two', 'three', 'curl', 'four'])).toEqual([]);
    expect(of(['one', 'two', 'three', 'four'])[0]?.sentence).toBe(
      'one, two, three, four: four running on the seat.',
    );
  });

  it('counts neither a stretch of it, nor what is easy, nor the same again', () => {
    expect(of(['one', 'two', 'stretch', 'three', 'four'])).toEqual([]);
    expect(of(['one', 'two', 'easy', 'three'])).toEqual([]);
    expect(of(['one', 'two', 'one', 'two'])).toEqual([]);
  });

  it('leaves a series and rounds to whoever made them', () => {
    const together = { bracket: 'turns' };
    const plan = makePlan([['one', 'two', ['three', together], ['four', together]]]);
    expect(findingsOf('no-pile-up', plan, catalogue)).toEqual([]);
  });

  it('puts another muscle between', () => {
    const plan = makePlan([['one', 'two', 'three', 'four', 'curl']]);
    const after = repaired(
      plan,
      findingsOf('no-pile-up', plan, catalogue)[0],
      /^Move (four|curl) after/,
    );
    expect(findingsOf('no-pile-up', after, catalogue)).toEqual([]);
  });
});
