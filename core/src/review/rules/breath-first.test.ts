import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const press = makeExercise('press', { machine: 'reformer', options: [{ effort: 1 }, {}] });
const hard = makeExercise('stretch-out', { machine: 'reformer', options: [{ effort: 4 }, {}] });
const catalogue = makeCatalogue([press, hard]);
const of = (plan: Plan) => findingsOf('breath-first', plan, catalogue);
const shortBreath = {
  dose: { kind: 'breaths' as const, count: 1, sets: 1, sides: 'none' as const, directions: 1 },
  options: [1],
};

describe('breath-first', () => {
  it('wants a minute of something soft before the first work: common practice', () => {
    const [finding] = of(makePlan([['curl', 'breathe'], ['final-rest']]));
    expect(finding?.sentence).toMatch(/^curl, \d(\.5)? of 5, is the first work, at 0:00, and less/);
    expect(finding?.repairs()[0]?.label).toBe('Begin with breathe');
    expect(of(makePlan([[['breathe', shortBreath], 'curl'], ['final-rest']]))).toHaveLength(1);
  });

  it('lets a tilt begin as well as a breath, and a welcome come before both', () => {
    expect(of(makePlan([[{ pauseS: 60 }, 'breathe', 'curl'], ['final-rest']]))).toEqual([]);
    expect(of(makePlan([['tilt', 'curl'], ['final-rest']]))).toEqual([]);
  });

  it('takes talk for no opening of the body', () => {
    expect(of(makePlan([[{ pauseS: 120 }, 'curl'], ['final-rest']]))).toHaveLength(1);
  });

  it('lets a machine class begin with the feet', () => {
    const on = (slugs: string[]) => of(makePlan([slugs], { machine: 'reformer' }));
    expect(on(['press', 'stretch-out'])).toEqual([]);
    expect(on(['stretch-out', 'press'])).toHaveLength(1);
  });

  it('asks nothing of a short set, nor of a lesson', () => {
    expect(of(makePlan([['curl', 'lift', 'twist', 'fold', 'tilt']], { targetS: 600 }))).toEqual([]);
    expect(of(makePlan([['curl']], { targetS: 300 }))).toEqual([]);
  });
});
