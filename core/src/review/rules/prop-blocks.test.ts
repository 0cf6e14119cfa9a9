import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const ball = {
  prop: 'small-ball' as const,
  place: 'between knees' as const,
  role: 'feedback' as const,
};
const catalogue = makeCatalogue([
  makeExercise('squeeze', { options: [{ props: [ball] }, { props: [ball] }] }),
  makeExercise('maybe', { standard: 2, options: [{}, { props: [ball] }] }),
  makeExercise('could', { options: [{ props: [{ ...ball, optional: true }] }, {}] }),
]);
const of = (slugs: string[]) => findingsOf('prop-blocks', makePlan([slugs]), catalogue);

describe('prop-blocks', () => {
  it('lets nobody fetch a prop three times', () => {
    expect(of(['squeeze', 'lift', 'maybe', 'curl'])).toEqual([]);
    expect(of(['squeeze', 'lift', 'squeeze', 'lift', 'maybe'])[0]?.sentence).toMatch(
      /^The small ball is put away after squeeze and fetched a third time at \d+:\d\d for maybe: about 11 s\.$/,
    );
  });

  it('is content while it lies at hand: in the same position, within three exercises', () => {
    const twice = ['squeeze', 'lift', 'squeeze'];
    expect(of([...twice, 'curl', 'maybe'])).toEqual([]);
    expect(of([...twice, 'curl', 'tilt', 'maybe'])).toEqual([]);
    expect(of([...twice, 'curl', 'tilt', 'brace', 'maybe'])).toHaveLength(1);
  });

  it('tells every later block, and none for a prop that may be left out', () => {
    expect(of(['squeeze', 'lift', 'squeeze', 'lift', 'squeeze', 'lift', 'squeeze'])).toHaveLength(
      2,
    );
    expect(of(['squeeze', 'lift', 'squeeze', 'lift', 'could'])).toEqual([]);
  });

  it.each([/^Move maybe after squeeze$/, /^Do it without the small ball$/])(
    'is settled: %s',
    (label) => {
      const plan = makePlan([['squeeze', 'lift', 'squeeze', 'lift', 'maybe']]);
      const after = repaired(plan, findingsOf('prop-blocks', plan, catalogue)[0], label);
      expect(findingsOf('prop-blocks', after, catalogue)).toEqual([]);
    },
  );
});
