import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('cat', { moves: ['round'], spineLoad: 1, position: 'quadruped' }),
]);
const of = (slugs: string[]) => findingsOf('still-before-bend', makePlan([slugs]), catalogue);

describe('still-before-bend', () => {
  it('wants a still belly exercise before the first loaded rounding: common practice', () => {
    expect(of(['breathe', 'curl'])[0]?.sentence).toContain('curl is the first rounding under load');
    expect(of(['breathe', 'brace', 'curl'])).toEqual([]);
  });

  it('lets unloaded rounding come first: a pelvic tilt wakes the spine', () => {
    expect(of(['breathe', 'tilt', 'brace', 'curl'])).toEqual([]);
  });

  it('asks once, for the first', () => {
    expect(of(['breathe', 'cat', 'curl', 'roll-back'])).toHaveLength(1);
  });

  it('moves a later one up', () => {
    const plan = makePlan([['breathe', 'curl', 'brace']]);
    const [finding] = findingsOf('still-before-bend', plan, catalogue);
    const after = repaired(plan, finding, /^Move brace before curl$/);
    expect(findingsOf('still-before-bend', after, catalogue)).toEqual([]);
  });
});
