import { describe, expect, it } from 'vitest';
import { standardOption } from './exercise.ts';
import { changedParts, gearAfter, gearFor, gearSet, springsChanged, springWords } from './gear.ts';
import { makeExercise } from '../testing/make-exercise.ts';

const pressing = {
  springs: { heavy: 2 },
  moreSpring: 'harder',
  bar: 'middle',
  headrest: 'up',
  box: 'none',
} as const;
const option = {
  ...standardOption(makeExercise('press', { machine: 'reformer' })),
  settings: pressing,
};

describe('the gear of an item', () => {
  it('is its option’s own, without what another spring would do', () => {
    expect(gearFor(option, undefined)).toEqual({
      springs: { heavy: 2 },
      bar: 'middle',
      headrest: 'up',
      box: 'none',
    });
  });

  it('is what the plan sets, where it sets something', () => {
    expect(gearFor(option, { springs: { medium: 1 } })).toMatchObject({
      springs: { medium: 1 },
      bar: 'middle',
    });
  });

  it('is kept as a difference only', () => {
    expect(gearSet(option, { ...pressing, springs: { heavy: 1 } })).toEqual({
      springs: { heavy: 1 },
    });
    expect(gearSet(option, { springs: { heavy: 2, light: 0 }, bar: 'middle' })).toBeUndefined();
  });
});

describe('a change of gear', () => {
  it('is found part by part', () => {
    const next = { springs: { medium: 1 }, bar: 'low', headrest: 'up', loops: 'short' } as const;
    expect(changedParts({ ...pressing }, next)).toEqual(['springs', 'bar', 'loops']);
  });

  it('is none before the first exercise, and none where nothing is said', () => {
    expect(changedParts(undefined, pressing)).toEqual([]);
    expect(changedParts({ bar: 'low' }, { springs: { heavy: 1 } })).toEqual([]);
  });

  it('leaves as it was what the next one leaves open', () => {
    const after = gearAfter({ bar: 'low', headrest: 'up' }, { springs: { light: 1 } });
    expect(after).toEqual({ bar: 'low', headrest: 'up', springs: { light: 1 } });
    // Three exercises on, the bar is still what it was set to first.
    expect(changedParts(after, { bar: 'high' })).toEqual(['bar']);
  });

  it('counts the springs that are put on or taken off', () => {
    const from = { springs: { heavy: 2, light: 1 } };
    expect(springsChanged(from, { springs: { heavy: 1, medium: 1 } })).toBe(3);
    expect(springsChanged(from, {})).toBe(0);
  });
});

describe('springs in words', () => {
  it.each([
    [{ heavy: 3 }, 'three heavy'],
    [{ heavy: 1, light: 1 }, 'one heavy, one light'],
    [{ heavy: 0 }, 'no springs'],
    [undefined, 'no springs'],
  ])('%o are %s', (springs, words) => expect(springWords(springs)).toBe(words));
});
