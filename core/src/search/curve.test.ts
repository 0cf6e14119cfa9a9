import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addCurves, costAt, leastBetween, scaleCurve, type Curve } from './curve.ts';

const VALLEY: Curve = [
  { share: 0, seconds: 10 },
  { share: 0.5, seconds: 0 },
  { share: 1, seconds: 20 },
];

const curve: fc.Arbitrary<Curve> = fc
  .uniqueArray(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 5 })
  .chain((shares) =>
    fc
      .array(fc.integer({ min: 0, max: 50 }), {
        minLength: shares.length,
        maxLength: shares.length,
      })
      .map((costs) =>
        shares
          .sort((a, b) => a - b)
          .map((share, index) => ({ share: share / 20, seconds: costs[index] ?? 0 })),
      ),
  );
const share = fc.integer({ min: 0, max: 100 }).map((part) => part / 100);

describe('a cost over the class', () => {
  it('goes straight from point to point, level before and behind', () => {
    expect([-1, 0, 0.25, 0.5, 0.75, 1, 2].map((at) => costAt(VALLEY, at))).toEqual([
      10, 10, 5, 0, 10, 20, 20,
    ]);
  });

  it('has its least at a point or at an end', () => {
    expect(leastBetween(VALLEY, 0.2, 0.9)).toBe(0);
    expect(leastBetween(VALLEY, 0.6, 0.9)).toBeCloseTo(4);
    expect(() => leastBetween([], 0, 1)).toThrow('at least one point');
  });

  it('is never less in between than its least', () => {
    fc.assert(
      fc.property(curve, share, share, share, (points, a, b, c) => {
        const [from, at, to] = [a, b, c].sort((x, y) => x - y) as [number, number, number];
        expect(costAt(points, at)).toBeGreaterThanOrEqual(leastBetween(points, from, to) - 1e-9);
      }),
    );
  });

  it('adds up everywhere', () => {
    fc.assert(
      fc.property(curve, curve, share, (one, other, at) => {
        expect(costAt(addCurves(one, other), at)).toBeCloseTo(costAt(one, at) + costAt(other, at));
        expect(costAt(scaleCurve(one, 3), at)).toBeCloseTo(3 * costAt(one, at));
      }),
    );
  });
});
