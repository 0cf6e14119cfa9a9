import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const of = (plan: Plan) => findingsOf('unloaded-before-loaded', plan, catalogue);
/** Enough behind it that it stands in the first third. */
const later = Array.from({ length: 9 }, () => 'tilt');

describe('unloaded-before-loaded', () => {
  it('allows a rise of one class at a time', () => {
    expect(of(makePlan([['breathe', 'curl', 'twist', 'roll-back', 'fold']]))).toEqual([]);
  });

  it('names the item and both classes when one is jumped', () => {
    const [finding] = of(makePlan([['tilt', 'brace', 'roll-back', ...later]]));
    expect(finding?.itemIds).toEqual(['roll-back']);
    expect(finding?.sentence).toContain('at 3 of 4');
    expect(finding?.sentence).toContain('until then the highest is 1');
  });

  it('offers a later place when one prepares it, else a bridge', () => {
    const moved = of(makePlan([['tilt', 'brace', 'roll-back', 'twist', ...later]]))[0];
    expect(moved?.repairs()[0]?.label).toBe('Move roll back after twist');
    const bridged = of(makePlan([['tilt', 'brace', 'roll-back', ...later]]))[0];
    expect(bridged?.repairs()[0]?.label).toMatch(/^Add (twist|side reach) before roll back$/);
  });

  it('is quiet past the first third, and of a stretch', () => {
    expect(of(makePlan([['breathe', 'curl', 'roll-back']]))).toEqual([]);
  });

  it('does not ask again once the load has been met', () => {
    const plan = makePlan([['breathe', 'curl', 'twist', 'breathe', 'roll-back']]);
    expect(of(plan)).toEqual([]);
  });
});
