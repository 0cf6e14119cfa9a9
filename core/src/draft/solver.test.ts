import { beforeAll, describe, expect, it } from 'vitest';
import { LinearProgram, sumText } from './program/linear-program.ts';
import { loadSolver, type Solve } from './solver.ts';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const LIMITS = { seconds: 5, gap: 0 };

describe('the solver', () => {
  it('packs a knapsack: a textbook case whose best is known', () => {
    // Weights 2, 3, 4, 5 and values 3, 4, 5, 6 in a sack of 5: the best is 7, from the first two.
    const program = new LinearProgram();
    const weights = [2, 3, 4, 5];
    [3, 4, 5, 6].forEach((value, index) => program.binary(`x${index}`, -value));
    program.row(`${sumText(weights.map((weight, index) => [weight, `x${index}`] as const))} <= 5`);
    const { kind, value } = solve(program.text(), LIMITS);
    expect(kind).toBe('found');
    expect([0, 1, 2, 3].map((index) => value(`x${index}`))).toEqual([1, 1, 0, 0]);
  });

  it('says so where nothing satisfies a program', () => {
    const program = new LinearProgram();
    program.binary('x');
    program.row('x >= 2');
    expect(solve(program.text(), LIMITS).kind).toBe('none');
  });

  it('does not take a program it can’t read for one without an answer', () => {
    expect(() => solve('Minimize this, please', LIMITS)).toThrow();
  });
});

describe('sumText', () => {
  it.each([
    [
      [
        [3, 'x'],
        [-2, 'y'],
      ],
      '+ 3 x\n - 2 y',
    ],
    [[[0, 'x']], '0 nothing'],
    [[], '0 nothing'],
  ] as const)('%j is %j', (terms, text) => {
    expect(sumText(terms as readonly (readonly [number, string])[])).toBe(text);
  });
});
