import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveNonNegative, type Equation } from './non-negative.ts';

const equation = (factors: number[], comesTo: number, weight = 1): Equation => ({
  factors,
  comesTo,
  weight,
});

describe('unknowns that may not be below zero', () => {
  it('are the plain solution where that has none below zero', () => {
    // x + y = 3, x - y = 1
    const [x, y] = solveNonNegative([equation([1, 1], 3), equation([1, -1], 1)], [0, 0]);
    expect(x).toBeCloseTo(2, 6);
    expect(y).toBeCloseTo(1, 6);
  });

  it('stop at zero, and the others do what they can', () => {
    // x + y = 1, x - y = 3: the plain solution is 2 and -1; with y = 0 the least squares are x = 2
    const [x, y] = solveNonNegative([equation([1, 1], 1), equation([1, -1], 3)], [0, 0]);
    expect(x).toBeCloseTo(2, 6);
    expect(y).toBe(0);
  });

  it('heed the heavier equation more', () => {
    // x = 0 against x = 1, weights 1 and 3: x = 9 / 10
    const [x] = solveNonNegative([equation([1], 0), equation([1], 1, 3)], [0]);
    expect(x).toBeCloseTo(0.9, 6);
  });

  it('meet the conditions of Karush, Kuhn and Tucker, whatever the equations', () => {
    const number = fc.double({ min: -2, max: 2, noNaN: true });
    const row = fc.tuple(fc.array(number, { minLength: 5, maxLength: 5 }), number);
    fc.assert(
      fc.property(fc.array(row, { minLength: 6, maxLength: 9 }), (rows) => {
        const equations = rows.map(([factors, to]) => equation(factors, to));
        const found = solveNonNegative(equations, [0.3, 0.3, 0.3, 0.3, 0.3]);
        const slope = (at: number) =>
          equations.reduce(
            (sum, { factors, comesTo }) => {
              const off = factors.reduce(
                (all, factor, j) => all + factor * (found[j] ?? 0),
                -comesTo,
              );
              return sum + off * (factors[at] ?? 0);
            },
            0.09 * (found[at] ?? 0),
          );
        found.forEach((value, at) => {
          expect(value).toBeGreaterThanOrEqual(0);
          // Where it is free the slope is level, where it is held growing would make it worse.
          if (value > 1e-6) expect(Math.abs(slope(at))).toBeLessThan(1e-5);
          else expect(slope(at)).toBeGreaterThan(-1e-5);
        });
      }),
    );
  });
});
