import { describe, expect, it } from 'vitest';
import { describeDose, type Dose } from '../movement/dose.ts';
import { doseByLength } from './dose-by-length.ts';

const plain = { sets: 1, sides: 'none', directions: 1 } as const;
const counted: Dose = { kind: 'repetitions', count: 8, ...plain };
const usual = { usual: { least: 4, most: 12 } };

describe('a dose by its length', () => {
  it.each([
    // Eight take 40 s, so 5 s each.
    [20, '12 times'],
    [9, '10 times'],
    [-11, '6 times'],
    [0, '8 times'],
    [-39, '3 times'],
    [60, '20 times'],
  ])('%i s more are numbers that people say', (moreS, words) => {
    const made = doseByLength(counted, usual, 40, moreS);
    expect(made && describeDose(made)).toBe(words);
  });

  it('holds for the seconds that people hold', () => {
    const held: Dose = { kind: 'hold', holdS: 30, count: 1, ...plain };
    const made = doseByLength(held, { usual: { least: 15, most: 60 } }, 30, 13);
    expect(made && describeDose(made)).toBe('hold 45 s');
  });

  it('leaves to the clock what the clock decides', () => {
    const timed: Dose = { kind: 'timed', onS: 40, offS: 20, rounds: 1, ...plain };
    expect(doseByLength(timed, usual, 40, 20)).toBeUndefined();
    expect(doseByLength(counted, usual, 0, 20)).toBeUndefined();
  });
});
