import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('hands', {
    position: 'quadruped',
    options: [{ demands: ['weight-on-wrists'] }, { demands: [] }],
  }),
]);
const held = (holdS: number): [string, object] => [
  'hands',
  {
    options: [1],
    dose: { kind: 'hold', holdS, count: 1, sets: 1, sides: 'none', directions: 1 },
  },
];
const plan = makePlan([[held(100), held(100), held(100)]]);

describe('wrist-rest', () => {
  it('allows about four minutes: common practice', () => {
    expect(findingsOf('wrist-rest', makePlan([[held(230)]]), catalogue)).toEqual([]);
    const [finding] = findingsOf('wrist-rest', makePlan([[held(250)]]), catalogue);
    expect(finding?.sentence).toMatch(/4:00 is the most\.$/);
  });

  it('adds up neighbours, and lets anything else be a break', () => {
    expect(findingsOf('wrist-rest', plan, catalogue)).toHaveLength(1);
    const broken = makePlan([[held(100), held(100), 'hug', held(100)]]);
    expect(findingsOf('wrist-rest', broken, catalogue)).toEqual([]);
    const paused = makePlan([[held(100), held(100), { pauseS: 30 }, held(100)]]);
    expect(findingsOf('wrist-rest', paused, catalogue)).toEqual([]);
  });

  it('puts a release in the middle, or goes off the hands', () => {
    const [finding] = findingsOf('wrist-rest', plan, catalogue);
    const after = repaired(plan, finding, /^Add /);
    expect(findingsOf('wrist-rest', after, catalogue)).toEqual([]);
  });
});
