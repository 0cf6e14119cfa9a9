import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { smallestConflict } from './smallest-conflict.ts';

/** Possible unless it holds one of the forbidden sets whole. */
const possibleUnless = (forbidden: readonly (readonly number[])[]) => (wishes: readonly number[]) =>
  !forbidden.some((set) => set.every((wish) => wishes.includes(wish)));

describe('smallestConflict', () => {
  it('has nothing to say where all can be had', () => {
    expect(smallestConflict([1, 2, 3], () => true)).toBeUndefined();
  });

  it('names a single wish that is impossible by itself', () => {
    expect(smallestConflict([1, 2, 3], possibleUnless([[2]]))).toEqual([2]);
  });

  it('prefers the smaller of two conflicts, wherever it stands', () => {
    const wishes = [1, 2, 3, 4, 5, 6];
    expect(
      smallestConflict(
        wishes,
        possibleUnless([
          [1, 2, 3],
          [5, 6],
        ]),
      ),
    ).toEqual([5, 6]);
    expect(
      smallestConflict(
        wishes,
        possibleUnless([
          [1, 2],
          [3, 4, 5],
        ]),
      ),
    ).toEqual([1, 2]);
  });

  it('is as small as any, and truly a conflict', () => {
    const sets = fc.array(fc.uniqueArray(fc.nat({ max: 6 }), { minLength: 1, maxLength: 4 }), {
      minLength: 1,
      maxLength: 4,
    });
    fc.assert(
      fc.property(sets, (forbidden) => {
        const isPossible = possibleUnless(forbidden);
        const found = smallestConflict([0, 1, 2, 3, 4, 5, 6], isPossible) ?? [];
        expect(isPossible(found)).toBe(false);
        expect(found).toHaveLength(Math.min(...forbidden.map((set) => set.length)));
      }),
      { numRuns: 200, seed: 4 },
    );
  });
});
