import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('half', { prepares: ['whole'] }),
  makeExercise('whole'),
  makeExercise('hen', { prepares: ['egg'] }),
  makeExercise('egg', { prepares: ['hen'] }),
]);
const of = (slugs: string[]) => findingsOf('parts-then-whole', makePlan([slugs]), catalogue);

describe('parts-then-whole', () => {
  it('wants a part before its whole', () => {
    expect(of(['half', 'whole'])).toEqual([]);
    expect(of(['whole', 'half'])[0]?.sentence).toBe(
      'Whole comes before half: half prepares whole.',
    );
  });

  it('does not ask for a part that is not in the class', () => expect(of(['whole'])).toEqual([]));

  it('has no order for two that prepare each other', () => {
    expect(of(['hen', 'egg'])).toEqual([]);
    expect(of(['egg', 'hen'])).toEqual([]);
  });

  it('tells an item once, however many wholes come before it', () => {
    expect(of(['whole', 'whole', 'half'])).toHaveLength(1);
  });

  it('turns them round', () => {
    const plan = makePlan([['whole', 'half', 'curl']]);
    const after = repaired(
      plan,
      findingsOf('parts-then-whole', plan, catalogue)[0],
      /^Move whole after half$/,
    );
    expect(after.segments[0]?.items.map(({ id }) => id)).toEqual(['half', 'whole', 'curl']);
  });
});
