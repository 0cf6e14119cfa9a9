import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const of = (plan: Plan) => findingsOf('breath-first', plan, catalogue);

describe('breath-first', () => {
  it('wants awareness first', () => {
    const [finding] = of(makePlan([['curl', 'breathe'], ['final-rest']]));
    expect(finding?.sentence).toBe(
      'curl comes first, and it teaches neither breath nor resting alignment.',
    );
    expect(finding?.repairs()[0]?.label).toBe('Begin with breathe');
  });

  it('lets a welcome come before the breath', () => {
    expect(of(makePlan([[{ pauseS: 60 }, 'breathe', 'tilt'], ['final-rest']]))).toEqual([]);
  });

  it('wants nothing above gentle in the first 8 % of the time', () => {
    const shortBreath = {
      dose: { kind: 'breaths' as const, count: 1, sets: 1, sides: 'none' as const, directions: 1 },
      options: [1],
    };
    const long = Array.from({ length: 14 }, () => 'tilt');
    const plan = makePlan([[['breathe', shortBreath], 'curl', ...long], ['final-rest']]);
    const [finding] = of(plan);
    expect(finding?.itemIds).toEqual(['curl']);
    expect(finding?.sentence).toMatch(
      /starts at 0:\d\d, inside the first \d:\d\d, with an effort of 3/,
    );
  });
});
