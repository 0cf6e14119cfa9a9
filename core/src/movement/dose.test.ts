import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { usualRange } from './exercise.ts';
import { describeDose, Dose, isTwoSided, shareOfDose, type ScaledDose } from './dose.ts';

describe('a share of a dose', () => {
  it.each([
    // What people say: never more than the share, in numbers that are counted to.
    [{ kind: 'repetitions', count: 10 }, 0.5, '5 times'],
    [{ kind: 'repetitions', count: 9 }, 0.5, '4 times'],
    [{ kind: 'repetitions', count: 3 }, 0.5, 'once'],
    [{ kind: 'breaths', count: 8 }, 0.7, '5 breaths'],
    [{ kind: 'hold', holdS: 60 }, 0.3, 'hold 15 s'],
    [{ kind: 'hold', holdS: 45 }, 0.5, 'hold 20 s'],
    [{ kind: 'free', durationS: 100 }, 0.5, '45 s'],
  ])('of %j: %f is %s', (dose, share, said) => {
    expect(describeDose(shareOfDose(Dose.parse(dose) as ScaledDose, share))).toBe(said);
  });
});

describe('Dose', () => {
  it('fills in one set, no sides and one direction', () => {
    expect(Dose.parse({ kind: 'repetitions', count: 8 })).toEqual({
      kind: 'repetitions',
      count: 8,
      sets: 1,
      sides: 'none',
      directions: 1,
    });
  });

  it.each([
    [{ kind: 'repetitions', count: -3 }, 'count'],
    [{ kind: 'repetitions', count: 2.5 }, 'count'],
    [{ kind: 'hold', holdS: 0 }, 'holdS'],
    [{ kind: 'timed', onS: 45, offS: -1 }, 'offS'],
    [{ kind: 'free' }, 'durationS'],
    [{ kind: 'repetitions', count: 4, sides: 'both' }, 'sides'],
    [{ kind: 'repetitions', count: 4, directions: 3 }, 'directions'],
    [{ kind: 'breaths', count: 4, sets: 0 }, 'sets'],
  ])('names the field that is wrong in %j', (dose, field) => {
    const parsed = Dose.safeParse(dose);
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues.map((issue) => issue.path[0])).toContain(field);
  });

  it('refuses a field it does not know', () => {
    expect(Dose.safeParse({ kind: 'repetitions', count: 4, reps: 4 }).success).toBe(false);
  });
});

describe('describeDose', () => {
  it.each([
    [{ kind: 'repetitions', count: 8 }, '8 times'],
    [{ kind: 'repetitions', count: 1 }, 'once'],
    [{ kind: 'repetitions', count: 5, sides: 'each' }, '5 each side'],
    [{ kind: 'repetitions', count: 5, sides: 'alternating' }, '5 each side, in turn'],
    [{ kind: 'repetitions', count: 5, sides: 'left' }, '5 times, left only'],
    [{ kind: 'repetitions', count: 3, directions: 2 }, '3 times each way'],
    [{ kind: 'repetitions', count: 8, sets: 2 }, '2 × 8 times'],
    [{ kind: 'breaths', count: 1 }, '1 breath'],
    [{ kind: 'breaths', count: 6 }, '6 breaths'],
    [{ kind: 'hold', holdS: 30, sides: 'each' }, 'hold 30 s each side'],
    [{ kind: 'hold', holdS: 10, count: 3 }, '3 holds of 10 s'],
    [{ kind: 'timed', onS: 45, offS: 15 }, '45 s on, 15 s to change'],
    [{ kind: 'timed', onS: 30, offS: 30, rounds: 2 }, '2 rounds, 30 s on, 30 s to change'],
    [{ kind: 'free', durationS: 90 }, '90 s'],
  ])('says %j as "%s"', (dose, words) => {
    expect(describeDose(Dose.parse(dose))).toBe(words);
  });
});

describe('isTwoSided', () => {
  it.each([
    ['none', false],
    ['each', true],
    ['alternating', true],
    ['left', false],
    ['right', false],
  ] as const)('a dose with sides "%s": %s', (sides, expected) => {
    expect(isTwoSided(Dose.parse({ kind: 'breaths', count: 4, sides }))).toBe(expected);
  });
});

describe('the usual range of an option', () => {
  const times = (count: number, change: object = {}) => ({
    ...{
      kind: 'repetitions' as const,
      count,
      sets: 1,
      sides: 'none' as const,
      directions: 1 as const,
    },
    ...change,
  });
  const beats = makeExercise('beats', { dose: times(20), usual: { least: 10, most: 20 } });

  it('is that of its exercise, in proportion where its own dose is another', () => {
    expect(usualRange(beats, {})).toEqual({ least: 10, most: 20 });
    // Slow, eight in place of twenty: four to eight.
    expect(usualRange(beats, { dose: times(8) })).toEqual({ least: 4, most: 8 });
  });

  it('is left alone where the option is counted in another way', () => {
    const held = { ...times(1), kind: 'hold' as const, holdS: 20 };
    expect(usualRange(beats, { dose: held })).toEqual({ least: 10, most: 20 });
  });
});
