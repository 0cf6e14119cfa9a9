import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('easy', { options: [{ effort: 1 }, {}] }),
  makeExercise('middling', { options: [{ effort: 2 }, {}] }),
  makeExercise('hard', { options: [{ effort: 4 }, {}] }),
]);
const of = (slugs: string[]) => findingsOf('peak-late', makePlan([slugs]), catalogue);
const easy = (count: number) => Array.from({ length: count }, () => 'easy');

describe('peak-late', () => {
  it.each([
    ['early', ['middling', 'hard', ...easy(8)], 1],
    ['in the later middle', [...easy(6), 'middling', 'hard', ...easy(2)], 0],
    ['last', [...easy(8), 'middling', 'hard'], 1],
  ])('a peak that is %s', (_name, slugs, count) => {
    expect(of(slugs).filter(({ key }) => key.startsWith('peak'))).toHaveLength(count);
  });

  it('says where it is', () => {
    expect(of(['middling', 'hard', ...easy(8)])[0]?.sentence).toMatch(
      /^hard is the hardest \(4(\.5)? of 5\) and comes at 1\d % of the working time\.$/,
    );
  });

  it('is content with one of several in its place', () => {
    expect(of(['middling', 'hard', ...easy(5), 'middling', 'hard', ...easy(2)])).toEqual([]);
  });

  it('has no peak to place in a gentle class', () => expect(of(easy(5))).toEqual([]));

  it('sees a jump of more than two', () => {
    const [finding] = of([...easy(6), 'hard', 'easy', 'easy']);
    expect(finding?.sentence).toMatch(
      /^Effort jumps from 1(\.5)? to 4(\.5)? of 5 between easy and hard/,
    );
  });

  it('moves the peak into its place', () => {
    const plan = makePlan([['middling', 'hard', ...easy(8)]]);
    const [finding] = findingsOf('peak-late', plan, catalogue);
    const after = repaired(plan, finding, /^Move hard after easy$/);
    expect(
      findingsOf('peak-late', after, catalogue).filter(({ key }) => key.startsWith('peak')),
    ).toEqual([]);
  });
});
