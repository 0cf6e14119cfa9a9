import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { createCatalogue } from './catalogue.ts';
import { searchCatalogue } from './search.ts';

const rest = makeExercise('shell', {
  name: 'Rest shape',
  otherNames: ['child’s pose', 'Enfant é'],
  purpose: 'Lets the back grow wide.',
});
const bridge = makeExercise('bridge', {
  name: 'Shoulder bridge',
  purpose: 'Wakes the seat before the shell.',
  options: [{ props: [{ prop: 'small-ball', place: 'between knees', role: 'feedback' }] }, {}],
});
const scissors = makeExercise('scissors', { name: 'Scissors', purpose: 'Legs pass each other.' });
const catalogue = createCatalogue([rest, bridge, scissors]);
const slugs = (query: string) => searchCatalogue(catalogue, query).map(({ slug }) => slug);

describe('searchCatalogue', () => {
  it('gives everything for no words', () => expect(slugs('  ')).toHaveLength(3));
  it('knows other names', () => expect(slugs('child')).toEqual(['shell']));
  it('ignores accents and case', () => expect(slugs('ENFANT E')).toEqual(['shell']));
  it('finds by prop', () => expect(slugs('small ball')).toEqual(['bridge']));
  it('puts a name before a mention', () => {
    expect(slugs('shell')[0]).toBe('shell');
    expect(slugs('shell')).toContain('bridge');
  });
  it('wants every word', () => expect(slugs('shoulder banana')).toEqual([]));
  it('takes signs as signs, not as a pattern', () => expect(slugs('.*(')).toHaveLength(3));

  it.each([
    ['scisors', 'scissors'],
    ['sholder brigde', 'bridge'],
    ['chlid', 'shell'],
  ])('forgives a slip of the fingers: "%s"', (typed, meant) => {
    expect(slugs(typed)).toContain(meant);
  });

  it('forgives nothing where a word stands as it is spelled', () => {
    const shall = makeExercise('shall', { name: 'Shall' });
    const near = createCatalogue([rest, shall]);
    expect(searchCatalogue(near, 'shall').map(({ slug }) => slug)).toEqual(['shall']);
  });

  it('does not find what was not meant', () => expect(slugs('xylophone')).toEqual([]));
});
