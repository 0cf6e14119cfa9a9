import { expect, it } from 'vitest';
import { rankCorrelation } from './rank-correlation.ts';

it('is one where the order is the same, and minus one where it is turned round', () => {
  expect(rankCorrelation([1, 5, 9], [2, 3, 100])).toBeCloseTo(1, 12);
  expect(rankCorrelation([1, 5, 9], [3, 2, 1])).toBeCloseTo(-1, 12);
});

it('gives ties the mean of their ranks', () => {
  // Worked by hand: ranks 1, 2.5, 2.5, 4 against 1, 2, 3, 4 come to 4.5 / √(4.5 · 5).
  expect(rankCorrelation([1, 2, 2, 3], [1, 2, 3, 4])).toBeCloseTo(4.5 / Math.sqrt(22.5), 12);
});
