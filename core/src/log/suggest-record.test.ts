import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { suggestRecord, type AttendedClass } from './suggest-record.ts';

const catalogue = makeCatalogue([
  makeExercise('met', { teaches: [{ foundation: 'breath', depth: 1 }] }),
  makeExercise('deep', { teaches: [{ foundation: 'breath', depth: 3 }] }),
  ...['a', 'b', 'c'].map((slug) => makeExercise(slug)),
]);
const NEW = { level: 2, holds: {}, usualOptions: {} };

/** A class a day, from the first of the month; options of `a`, `b` and `c`. */
const classes = (...options: (number | null)[][]): AttendedClass[] =>
  options.map((each, index) => ({
    day: `2026-11-${String(index + 1).padStart(2, '0')}`,
    done: each.map((option, at) => ({ exercise: 'abc'[at] ?? 'a', option })),
  }));
const taught = (exercise: string, times: number): AttendedClass[] =>
  Array.from({ length: times }, (_, index) => ({
    day: `2026-11-${String(index + 1).padStart(2, '0')}`,
    done: [{ exercise, option: null }],
  }));

describe('what the log suggests for a record', () => {
  it.each([
    ['met', 1, 1],
    ['met', 9, 1],
    ['deep', 2, 1],
    ['deep', 3, 2],
    ['deep', 7, 2],
    ['deep', 8, 3],
  ] as const)(
    'a foundation: %s in %i classes is depth %i (common practice)',
    (slug, times, depth) => {
      const breath = suggestRecord(NEW, taught(slug, times), catalogue).holds.find(
        ({ foundation }) => foundation === 'breath',
      );
      expect(breath?.depth).toBe(depth);
      expect(breath?.because).toMatch(/^taught to this depth in (one class|\d classes)$/);
    },
  );

  it('nothing that the record has already, and nothing of nothing', () => {
    const holds = { breath: 3 as const };
    const { holds: more } = suggestRecord({ ...NEW, holds }, taught('deep', 9), catalogue);
    expect(more.map(({ foundation }) => foundation)).not.toContain('breath');
    expect(suggestRecord(NEW, [], catalogue)).toEqual({ holds: [], usual: [] });
  });

  it('the option of the last time that a teacher chose, where the record says otherwise', () => {
    const { usual } = suggestRecord(NEW, classes([1, 3, null], [2, null, null]), catalogue);
    expect(usual.map(({ exercise, option }) => [exercise, option])).toEqual([['a', 2]]);
    const known = { ...NEW, usualOptions: { a: { right: 2, left: 2 } } };
    expect(suggestRecord(known, classes([2, 3]), catalogue).usual).toMatchObject([
      { exercise: 'b', option: 3, because: 'did it on 2026-11-01' },
    ]);
    const uneven = { ...NEW, usualOptions: { a: { right: 2, left: 1 } } };
    expect(suggestRecord(uneven, classes([2]), catalogue).usual).toHaveLength(1);
  });

  it('a level up only by several exercises in several classes, and none the other way', () => {
    const up = [3, 3, 3];
    expect(suggestRecord(NEW, classes(up), catalogue).level).toBeUndefined();
    expect(suggestRecord(NEW, classes(up, up), catalogue).level?.level).toBe(3);
    expect(suggestRecord(NEW, classes(up, up, [1, null, null]), catalogue).level).toBeUndefined();
    expect(
      suggestRecord({ ...NEW, level: 4 }, classes([1, 1, 1], [2, 1, 3]), catalogue).level,
    ).toEqual({
      level: 3,
      because: 'lower in 3 exercises or more, in 2 classes of the last 2',
    });
    expect(
      suggestRecord({ ...NEW, level: 4 }, classes([5, 5, 5], [5, 5, 5]), catalogue).level,
    ).toBeUndefined();
  });
});
