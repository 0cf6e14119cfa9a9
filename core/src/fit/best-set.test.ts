import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestSet, missCost, type Choosable } from './best-set.ts';

const PRICE = { freeS: 5, tooLittle: 0.2, tooMuch: 0.1 };
const priceOf = (set: readonly Choosable[], wantedS: number) =>
  set.reduce((sum, { cost }) => sum + cost, 0) +
  missCost(
    set.reduce((sum, { gainS }) => sum + gainS, 0),
    wantedS,
    PRICE,
  );

/** Every way to take at most one of each group. */
function allSets(choices: readonly Choosable[]): Choosable[][] {
  return [...new Set(choices.map(({ about }) => about))]
    .map((about) => choices.filter((choice) => choice.about === about))
    .reduce<Choosable[][]>(
      (sets, group) => sets.flatMap((set) => [set, ...group.map((choice) => [...set, choice])]),
      [[]],
    );
}

describe('bestSet', () => {
  const choice = fc.record({
    about: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
    gainS: fc.integer({ min: 1, max: 40 }),
    cost: fc.integer({ min: 1, max: 20 }),
  });

  it('is never beaten by trying every set', () => {
    fc.assert(
      fc.property(
        fc.array(choice, { maxLength: 9 }),
        fc.integer({ min: 1, max: 120 }),
        (choices, wantedS) => {
          const best = Math.min(...allSets(choices).map((set) => priceOf(set, wantedS)));
          expect(priceOf(bestSet(choices, wantedS, PRICE), wantedS)).toBeCloseTo(best, 9);
        },
      ),
      { numRuns: 400, seed: 21 },
    );
  });

  it('takes one of each group at most', () => {
    fc.assert(
      fc.property(fc.array(choice, { maxLength: 12 }), (choices) => {
        const abouts = bestSet(choices, 200, PRICE).map(({ about }) => about);
        expect(new Set(abouts).size).toBe(abouts.length);
      }),
      { numRuns: 200, seed: 22 },
    );
  });

  it('leaves alone what is near enough', () => {
    const small = { about: 'a', gainS: 10, cost: 1 };
    expect(bestSet([small], 5, PRICE)).toEqual([]);
    expect(bestSet([small], 30, PRICE)).toEqual([small]);
  });
});
