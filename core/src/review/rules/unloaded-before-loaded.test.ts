import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const of = (plan: Plan) => findingsOf('unloaded-before-loaded', plan, catalogue);

describe('unloaded-before-loaded', () => {
  it('allows a rise of one class at a time', () => {
    expect(of(makePlan([['breathe', 'curl', 'twist', 'roll-back', 'fold']]))).toEqual([]);
  });

  it('names the item and both classes when one is jumped', () => {
    const [finding] = of(makePlan([['breathe', 'curl', 'roll-back']]));
    expect(finding?.itemIds).toEqual(['roll-back']);
    expect(finding?.sentence).toContain('at 3 of 4');
    expect(finding?.sentence).toContain('until then the highest is 1');
  });

  it('offers a later place when one prepares it, else a bridge', () => {
    const later = of(makePlan([['breathe', 'curl', 'roll-back', 'twist']]))[0];
    expect(later?.repairs()[0]?.label).toBe('Move roll back after twist');
    const bridged = of(makePlan([['breathe', 'curl', 'roll-back']]))[0];
    expect(bridged?.repairs()[0]?.label).toMatch(/^Add (twist|side reach) before roll back$/);
  });

  it('does not ask again once the load has been met', () => {
    const plan = makePlan([['breathe', 'curl', 'twist', 'breathe', 'roll-back']]);
    expect(of(plan)).toEqual([]);
  });
});
