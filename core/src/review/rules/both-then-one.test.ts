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
const catalogue = makeCatalogue([lift('both-arms', 'none'), lift('one-arm', 'each')]);
const of = (slugs: string[]) => findingsOf('both-then-one', makePlan([slugs]), catalogue);

describe('both-then-one', () => {
  it('lifts the back on both sides first: common practice', () => {
    expect(of(['both-arms', 'one-arm'])).toEqual([]);
    expect(of(['one-arm', 'both-arms'])[0]?.sentence).toContain('both sides of the back lift');
  });

  it('takes no cheek that turns for a lift of one side, but arms that move apart', () => {
    const turns = (poses: string[]) =>
      makeExercise('turns', {
        position: 'prone',
        moves: ['arch'],
        bodyParts: ['trunk-back', 'shoulders'],
        dose: { kind: 'repetitions', count: 4, sides: 'alternating' },
        options: [{ poses }, { poses }],
      });
    const found = (poses: string[]) =>
      findingsOf(
        'both-then-one',
        makePlan([['turns', 'both-arms']]),
        makeCatalogue([lift('both-arms', 'none'), turns(poses)]),
      );
    expect(found(['prone-kick-both'])).toEqual([]);
    expect(found(['swimming'])).toHaveLength(1);
  });

  it('has no wish where one of the two is not in the class', () => {
    expect(of(['one-arm'])).toEqual([]);
  });

  it('turns them round', () => {
    const plan = makePlan([['one-arm', 'both-arms']]);
    const after = repaired(
      plan,
      findingsOf('both-then-one', plan, catalogue)[0],
      /^Move both arms before/,
    );
    expect(findingsOf('both-then-one', after, catalogue)).toEqual([]);
  });
});
