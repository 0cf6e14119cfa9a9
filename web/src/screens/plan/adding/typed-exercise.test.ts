import { describe, expect, it } from 'vitest';
import { builtInCatalogue } from '@wrenfern/library';
import { readTyped } from './typed-exercise.ts';

const first = (query: string) => {
  const { found, ...how } = readTyped(query, builtInCatalogue);
  return [found[0]?.slug, how];
};

describe('what is typed into the search', () => {
  it.each([
    ['clam 10 each', 'clam', { kind: 'repetitions', count: 10, sides: 'each' }],
    ['figure four 30 s', 'figure-four', { kind: 'hold', holdS: 30 }],
    ['plank 20s twice', 'plank', { kind: 'hold', holdS: 20, count: 2 }],
  ])('"%s" is the exercise with its dose', (query, slug, dose) => {
    expect(first(query)).toMatchObject([slug, { dose }]);
  });

  it('finds what a beginning may mean, with no dose', () => {
    expect(first('cla')).toEqual(['clam', {}]);
    expect(readTyped('', builtInCatalogue).found.length).toBeGreaterThan(100);
  });

  it('looks for the name alone while the dose is being typed', () => {
    expect(readTyped('chest lif 8', builtInCatalogue).found[0]?.slug).toBe('chest-lift');
  });
});
