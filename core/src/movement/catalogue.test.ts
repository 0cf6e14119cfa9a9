import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { createCatalogue } from './catalogue.ts';
import { optionOf, standardOption, teachesAwareness } from './exercise.ts';

const rest = makeExercise('shell');
const bridge = makeExercise('bridge', {
  name: 'Shoulder bridge',
  purpose: 'Wakes the seat before the shell.',
  options: [{ props: [{ prop: 'small-ball', place: 'between knees', role: 'feedback' }] }, {}],
});
const catalogue = createCatalogue([rest, bridge]);

describe('createCatalogue', () => {
  it('lets a later exercise replace one of the same slug', () => {
    const mine = makeExercise('bridge', { name: 'My bridge' });
    const merged = createCatalogue([rest, bridge, mine]);
    expect(merged.all).toHaveLength(2);
    expect(merged.get('bridge')?.name).toBe('My bridge');
  });

  it('stands in for one it does not hold with one that says so', () => {
    expect(catalogue.get('own-curl')).toBeUndefined();
    const gone = catalogue.require('own-curl');
    expect(gone.name).toBe('own curl (no longer in the library)');
    expect(catalogue.require('own-curl')).toBe(gone);
    expect(gone.options).toHaveLength(4);
  });
});

describe('Exercise', () => {
  it('wants options numbered in order', () => {
    expect(() => makeExercise('x', { options: [{ number: 2 }, { number: 1 }] })).toThrow(
      /in order/,
    );
  });

  it('wants its standard option to exist', () => {
    expect(() => makeExercise('x', { standard: 3 })).toThrow(/standard option/);
  });

  it('wants a usual range the right way round', () => {
    expect(() => makeExercise('x', { usual: { least: 9, most: 3 } })).toThrow(/usual least/);
  });

  it('falls back to the standard option for an unknown number', () => {
    expect(optionOf(bridge, 4).number).toBe(standardOption(bridge).number);
  });

  it('counts breath and resting alignment as awareness, and nothing else', () => {
    const breath = makeExercise('b', { teaches: [{ foundation: 'breath', depth: 1 }] });
    const settle = makeExercise('s', { teaches: [{ foundation: 'settle', depth: 1 }] });
    expect([breath, settle, bridge].map(teachesAwareness)).toEqual([true, true, false]);
  });
});
