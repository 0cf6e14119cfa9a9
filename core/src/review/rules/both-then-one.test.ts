import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const lift = (slug: string, sides: 'none' | 'each') =>
  makeExercise(slug, {
    position: 'prone',
    moves: ['arch'],
    bodyParts: ['trunk-back', 'shoulders'],
    dose: { kind: 'repetitions', count: 4, sides },
  });
const legs = (slug: string, sides: 'none' | 'each', both: boolean) =>
  makeExercise(slug, {
    teaches: [{ foundation: 'levers', depth: 2 }],
    dose: { kind: 'repetitions', count: 4, sides },
    options: [{ demands: both ? ['double-leg-lower'] : [] }, {}],
  });
const catalogue = makeCatalogue([
  lift('both-arms', 'none'),
  lift('one-arm', 'each'),
  legs('one-leg', 'each', false),
  legs('both-legs', 'none', true),
]);
const of = (slugs: string[]) => findingsOf('both-then-one', makePlan([slugs]), catalogue);

describe('both-then-one', () => {
  it('lifts the back on both sides first, yet moves one leg before two: common practice', () => {
    expect(of(['both-arms', 'one-arm', 'one-leg', 'both-legs'])).toEqual([]);
    expect(of(['one-arm', 'both-arms'])[0]?.sentence).toContain('both sides of the back lift');
    expect(of(['both-legs', 'one-leg'])[0]?.sentence).toContain('one leg moves away');
  });

  it('has no wish where one of the two is not in the class', () => {
    expect(of(['one-arm', 'both-legs'])).toEqual([]);
  });

  it('turns them round', () => {
    const plan = makePlan([['both-legs', 'one-leg']]);
    const after = repaired(
      plan,
      findingsOf('both-then-one', plan, catalogue)[0],
      /^Move one leg before/,
    );
    expect(findingsOf('both-then-one', after, catalogue)).toEqual([]);
  });
});
