import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const chestLift = { poses: ['chest-lift'] };
const catalogue = makeCatalogue([
  makeExercise('cat', { moves: ['round'], spineLoad: 1, position: 'quadruped' }),
  makeExercise('curl-up', { moves: ['round'], spineLoad: 1, options: [chestLift, chestLift] }),
]);
const rest = Array.from({ length: 8 }, () => 'twist');
const of = (slugs: string[]) =>
  findingsOf('still-before-bend', makePlan([[...slugs, ...rest]]), catalogue);

describe('still-before-bend', () => {
  it('wants a still belly before an early curl or roll back: common practice', () => {
    expect(of(['breathe', 'curl-up'])[0]?.sentence).toContain('curl up curls up early');
    expect(of(['breathe', 'roll-back'])).toHaveLength(1);
    expect(of(['breathe', 'brace', 'curl-up'])).toEqual([]);
  });

  it('takes a tilt and a cat for what wakes the spine', () => {
    expect(of(['breathe', 'tilt', 'cat'])).toEqual([]);
  });

  it('is quiet past the first fifth: by then the belly is warm', () => {
    expect(of(['breathe', 'twist', 'twist', 'twist', 'twist', 'curl-up'])).toEqual([]);
  });

  it('asks once, for the first', () => {
    expect(of(['breathe', 'curl-up', 'roll-back'])).toHaveLength(1);
  });

  it('moves a later one up', () => {
    const plan = makePlan([['breathe', 'curl-up', 'brace', ...rest]]);
    const [finding] = findingsOf('still-before-bend', plan, catalogue);
    const after = repaired(plan, finding, /^Move brace before curl up$/);
    expect(findingsOf('still-before-bend', after, catalogue)).toEqual([]);
  });
});
