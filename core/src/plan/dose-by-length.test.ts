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

  it.each([
    ['none', 20, 1],
    ['none', 31, 2],
    ['none', 100, 3],
    ['none', -90, 1],
    ['each', 55, 1],
    ['each', 65, 2],
  ] as const)(
    'goes by whole intervals of the clock, sides %s, %i s more',
    (sides, moreS, rounds) => {
      const timed: Dose = { kind: 'timed', onS: 40, offS: 20, rounds: 1, ...plain, sides };
      expect(doseByLength(timed, usual, 40, moreS)).toEqual({ ...timed, rounds });
    },
  );

  it('leaves alone what does not grow with its amount', () => {
    expect(doseByLength(counted, usual, 0, 20)).toBeUndefined();
  });
});
