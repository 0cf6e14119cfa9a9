import { describe, expect, it } from 'vitest';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { FILTERS } from './exercise-filters.ts';

const filter = (key: string) => {
  const found = FILTERS.find((each) => each.key === key);
  if (!found) throw new Error(`no filter ${key}`);
  return found;
};
const slugs = (key: string, value: string) =>
  builtInExercises.filter((exercise) => filter(key).fits(exercise, value)).map(({ slug }) => slug);

describe('the filters of the library', () => {
  it('have keys of their own, and words for each choice', () => {
    expect(new Set(FILTERS.map(({ key }) => key)).size).toBe(FILTERS.length);
    for (const { choices } of FILTERS) {
      for (const { value, name } of choices) {
        expect(value).not.toBe('');
        expect(name.trim()).not.toBe('');
      }
    }
  });

  it.each(FILTERS.filter(({ key }) => key !== 'whose' && key !== 'prop'))(
    'find something in the built-in library for every choice: $key',
    ({ key, choices }) => {
      for (const { value } of choices)
        expect([value, slugs(key, value).length]).not.toEqual([value, 0]);
    },
  );

  it('part the machines without remainder', () => {
    expect(slugs('on', 'mat').length + slugs('on', 'reformer').length).toBe(
      builtInExercises.length,
    );
  });

  it('keep an exercise when one of its options does without a demand', () => {
    expect(slugs('without', 'neck-curl')).toContain('hundred');
    expect(slugs('without', 'weight-on-wrists')).not.toContain('leg-pull-front');
  });

  it('let longer exercises through as the time grows', () => {
    const counts = ['1', '2', '3', '5'].map((minutes) => slugs('minutes', minutes).length);
    expect([...counts].sort((a, b) => a - b)).toEqual(counts);
    expect(counts[0]).toBeLessThan(counts.at(-1) ?? 0);
  });

  it('know whose an exercise is', () => {
    const plank = builtInCatalogue.require('plank');
    expect(filter('whose').fits(plank, 'built-in')).toBe(true);
    expect(filter('whose').fits({ ...plank, slug: 'our-plank' }, 'own')).toBe(true);
  });
});
