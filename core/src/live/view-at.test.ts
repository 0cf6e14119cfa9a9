import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { viewAt } from './view-at.ts';

const catalogue = makeCatalogue([
  makeExercise('tilt', { dose: { kind: 'repetitions', count: 6 } }),
  makeExercise('clam', {
    position: 'side-lying',
    dose: { kind: 'repetitions', count: 8, sides: 'each' },
  }),
  makeExercise('rest', { dose: { kind: 'free', durationS: 60 } }),
]);
const timeline = timePlan(makePlan([['tilt', 'clam', 'rest']]), catalogue);

describe('a class at a second, as planned', () => {
  it('is in the item and the part that the time line has there, neither early nor late', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: timeline.totalS - 1 }), (atS) => {
        const view = viewAt(timeline, atS);
        const item = timeline.items.findLast(({ startS }) => startS <= atS);
        const part = item?.parts.find((each) => atS < each.startS + each.durationS);
        expect(view?.item.itemId).toBe(item?.itemId);
        expect(view?.part).toBe(part);
        expect(view?.behindS).toBeCloseTo(0, 6);
        expect(view?.endsAtS).toBeCloseTo(timeline.totalS, 6);
      }),
    );
  });

  it('stays at its ends before and behind it, and is nothing without items', () => {
    expect(viewAt(timeline, -5)?.item.itemId).toBe(timeline.items[0]?.itemId);
    expect(viewAt(timeline, 99_999)?.itemLeftS).toBeCloseTo(0, 6);
    expect(viewAt(timePlan(makePlan([[]]), catalogue), 0)).toBeUndefined();
  });
});
