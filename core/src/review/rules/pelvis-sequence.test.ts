import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const pelvic = (slug: string, moves: ('round' | 'arch' | 'side')[]) =>
  makeExercise(slug, { family: 'awareness', moves, teaches: [{ foundation: 'pelvis', depth: 1 }] });
const catalogue = makeCatalogue([
  pelvic('rock', ['round', 'arch']),
  pelvic('dip', ['side']),
  pelvic('clock', ['round', 'arch', 'side']),
]);
const of = (slugs: string[]) => findingsOf('pelvis-sequence', makePlan([slugs]), catalogue);

describe('pelvis-sequence', () => {
  it.each([
    [['rock', 'dip', 'clock'], 0],
    [['rock', 'clock'], 0],
    [['dip', 'rock', 'clock'], 1],
    [['clock', 'rock', 'dip'], 2],
    [['curl', 'rock'], 0],
  ])('%s has %i out of order: common practice', (slugs, count) => {
    expect(of(slugs)).toHaveLength(count);
  });

  it('says which line comes before which', () => {
    expect(of(['clock', 'dip'])[0]?.sentence).toBe(
      'Clock comes before dip: the pelvis learns to tilt side to side before it learns to go round.',
    );
  });

  it('turns them round', () => {
    const plan = makePlan([['dip', 'rock']]);
    const after = repaired(
      plan,
      findingsOf('pelvis-sequence', plan, catalogue)[0],
      /^Move rock before dip$/,
    );
    expect(findingsOf('pelvis-sequence', after, catalogue)).toEqual([]);
  });
});
