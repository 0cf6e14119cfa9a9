import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const at = (place: 'between shoulder blades' | 'behind low back') => ({
  props: [{ prop: 'small-ball' as const, place, role: 'support' as const }],
});
const catalogue = makeCatalogue([
  makeExercise('low', {
    moves: ['round'],
    options: [{ poses: ['supine-bent', 'bridge-high'] }, {}],
  }),
  makeExercise('tail', {
    moves: ['round'],
    options: [{ poses: ['supine-bent', { shape: 'supine-bent', round: [20, 0, 0, 0] }] }, {}],
  }),
  makeExercise('chest', {
    moves: ['round'],
    options: [{ poses: ['supine-bent', { shape: 'supine-bent', round: [0, 0, 30, 0] }] }, {}],
  }),
  makeExercise('ball-high', { options: [at('between shoulder blades'), {}] }),
  makeExercise('ball-low', { options: [at('behind low back'), {}] }),
]);
const of = (slugs: string[]) => findingsOf('low-then-high', makePlan([slugs]), catalogue);

describe('low-then-high', () => {
  it('moves the lower back before the upper back alone: common practice', () => {
    expect(of(['tail', 'chest'])).toEqual([]);
    expect(of(['chest', 'tail'])[0]?.sentence).toBe(
      'chest moves the upper back before tail has moved the lower back.',
    );
  });

  it('has no wish where the lower back is not in the class', () => {
    expect(of(['chest'])).toEqual([]);
  });

  it('sends a prop down the spine one way', () => {
    expect(of(['ball-high', 'ball-low'])).toEqual([]);
    expect(of(['ball-low', 'ball-high'])[0]?.sentence).toContain('goes the other way');
  });

  it('turns them round', () => {
    const plan = makePlan([['chest', 'tail']]);
    const after = repaired(
      plan,
      findingsOf('low-then-high', plan, catalogue)[0],
      /^Move tail before chest$/,
    );
    expect(findingsOf('low-then-high', after, catalogue)).toEqual([]);
  });
});
