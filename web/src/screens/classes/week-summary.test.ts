import { describe, expect, it } from 'vitest';
import { DIRECTIONS, type Direction } from '@wrenfern/core/movement/directions';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { filterClasses, stateWords, summarise } from './week-summary.ts';

const met = (...directions: Direction[]) =>
  Object.fromEntries(
    DIRECTIONS.map((direction) => [direction, directions.includes(direction) ? 60 : 0]),
  ) as Record<Direction, number>;

function lesson(
  change: Partial<ReadyClass> & { items?: number; met?: Direction[]; exercises?: string[] } = {},
): ReadyClass {
  const { items = 12, met: directions = [...DIRECTIONS], exercises = [], ...rest } = change;
  return {
    id: 'c',
    title: 'Thursday mat',
    startsAt: '2026-11-26T18:00:00Z',
    targetS: 3000,
    coming: ['Asha Delun'],
    taught: false,
    machine: 'mat',
    calledOff: null,
    isRepeated: false,
    lastOfSeries: null,
    instructor: { id: 'u1', name: 'Rowan Feld' },
    school: { id: 'classic', name: 'Classic' },
    items,
    exercises,
    detailsRevision: 1,
    state: 'ready',
    ready: {
      totalS: 3000,
      likely: { lowS: 2800, highS: 3200 },
      items,
      directions: met(...directions),
      swell: [],
      toSettle: { time: [], options: [], props: [], order: [] },
    },
    ...rest,
  };
}

describe('a week in a line', () => {
  it('counts what takes place, what is not planned and what is called off', () => {
    const week = [lesson(), lesson({ items: 0 }), lesson({ calledOff: 'ill' })];
    expect(summarise(week)).toEqual(['2 classes', '1 not planned', '1 called off']);
  });

  it('says which direction fewest meet, from three planned classes on', () => {
    const noArch = DIRECTIONS.filter((direction) => direction !== 'arch');
    const week = [lesson({ met: noArch }), lesson({ met: noArch }), lesson()];
    expect(summarise(week)).toContain('arching is met in 1 of 3');
    expect(summarise(week.slice(0, 2))).toEqual(['2 classes']);
    expect(summarise([lesson(), lesson(), lesson()])).toEqual(['3 classes']);
  });
});

describe('a class in a week', () => {
  it.each([
    [{}, 'ready', false],
    [{ items: 0 }, 'not planned', true],
    [{ targetS: 2700 }, '5 min over', true],
    [{ taught: true, items: 0 }, 'taught', false],
    [{ state: 'unreadable', ready: null }, 'can’t be read', true],
    [{ state: 'late', ready: null }, 'not worked out yet', false],
  ] as const)('%o is told as %s', (change, words, isOpen) => {
    expect(stateWords(lesson(change))).toEqual({ words, isOpen });
  });
});

describe('looking for classes', () => {
  const all = {
    words: '',
    machine: 'all',
    onlyUnplanned: false,
    school: '',
    instructor: '',
  } as const;
  const week = [
    lesson({
      id: 'a',
      machine: 'reformer',
      title: 'Machines',
      instructor: { id: 'u2', name: 'Tamsin Orrell' },
    }),
    lesson({ id: 'b', items: 0, school: null, instructor: null }),
    lesson({ id: 'c', coming: ['Wim Dask'], exercises: ['Side bend'] }),
  ];
  it.each([
    [all, 'abc'],
    [{ ...all, machine: 'reformer' }, 'a'],
    [{ ...all, onlyUnplanned: true }, 'b'],
    [{ ...all, words: ' wim' }, 'c'],
    [{ ...all, words: 'MACH' }, 'a'],
    [{ ...all, words: 'side b' }, 'c'],
    [{ ...all, words: 'nobody' }, ''],
    [{ ...all, school: 'classic' }, 'ac'],
    [{ ...all, instructor: 'u2' }, 'a'],
    [{ ...all, instructor: 'u1', school: 'classic' }, 'c'],
  ] as const)('by %o finds %s', (filters, found) => {
    expect(
      filterClasses(week, filters)
        .map(({ id }) => id)
        .join(''),
    ).toBe(found);
  });
});
