import { describe, expect, it } from 'vitest';
import { PairTable } from './pair-table.ts';

describe('a table of pairs', () => {
  it('adds up what is put in', () => {
    const table = new PairTable(3);
    table.add(0, 2, 5);
    table.add(0, 2, 1.5);
    expect(table.at(0, 2)).toBe(6.5);
    expect(table.at(2, 0)).toBe(0);
  });

  it.each([
    [3, 0],
    [0, 3],
    [-1, 0],
    [0, -1],
  ])('throws for a pair that is not in it: %d, %d', (from, to) => {
    const table = new PairTable(3);
    expect(() => table.at(from, to)).toThrow('no cost');
    expect(() => table.add(from, to, 1)).toThrow('no cost');
  });
});
