import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const seat = (slug: string, more: object = {}) => makeExercise(slug, { movers: ['seat'], ...more });
const catalogue = makeCatalogue([
  seat('one'),
  seat('two'),
  seat('three'),
  seat('stretch', { family: 'release' }),
]);
const of = (slugs: string[]) => findingsOf('no-pile-up', makePlan([slugs]), catalogue);

describe('no-pile-up', () => {
  it('lets two run on one muscle, not three: common practice', () => {
    expect(of(['one', 'two', 'curl', 'three'])).toEqual([]);
    expect(of(['one', 'two', 'three'])[0]?.sentence).toBe(
      'one, two, three: three running on the seat.',
    );
  });

  it('does not count a stretch of it', () => expect(of(['one', 'two', 'stretch'])).toEqual([]));

  it('puts another muscle between', () => {
    const plan = makePlan([['one', 'two', 'three', 'curl']]);
    const after = repaired(
      plan,
      findingsOf('no-pile-up', plan, catalogue)[0],
      /^Move (three|curl) after/,
    );
    expect(findingsOf('no-pile-up', after, catalogue)).toEqual([]);
  });
});
