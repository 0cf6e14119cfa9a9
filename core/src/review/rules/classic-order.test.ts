import { describe, expect, it } from 'vitest';
import { Person } from '../../people/person.ts';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue(
  [1, 2, 3, 4].map((classicOrder) =>
    makeExercise(`number-${classicOrder}`, {
      classicOrder,
      needs: classicOrder === 3 ? [{ foundation: 'load', depth: 2 }] : [],
    }),
  ),
);
const classic = (slugs: string[]) => makePlan([slugs], { school: 'classic' });
const attendees = ['Asha', 'Bram', 'Ines'].map((name, index) => ({
  person: Person.parse({ id: name, name, holds: index === 0 ? { load: 2 } : {} }),
}));
const of = (slugs: string[]) =>
  findingsOf('classic-order', classic(slugs), catalogue, { attendees });

describe('classic-order', () => {
  it('follows the numbers', () => {
    expect(of(['number-1', 'number-2', 'number-3', 'number-4'])).toEqual([]);
    expect(of(['number-2', 'number-1'])[0]?.sentence).toBe(
      'number 2 is number 2 of 34 and comes before number 1, number 1.',
    );
  });

  it('says what was left out, and for whom', () => {
    expect(of(['number-1', 'number-4'])[0]?.sentence).toBe(
      'Number 2 (2) and number 3 (3), for Bram and 1 more are left out.',
    );
  });

  it('has no number for what is not of the 34', () => {
    expect(of(['number-1', 'hug', 'number-2'])).toEqual([]);
  });

  it('binds in the classic school only', () => {
    const other = makePlan([['number-2', 'number-1']]);
    expect(findingsOf('classic-order', other, catalogue)).toEqual([]);
  });

  it('puts them in order, and adds what was left out', () => {
    const inverted = classic(['number-2', 'number-1']);
    const [finding] = findingsOf('classic-order', inverted, catalogue);
    const after = repaired(inverted, finding, /^Move number 1 before number 2$/);
    expect(findingsOf('classic-order', after, catalogue)).toEqual([]);
    const gap = classic(['number-1', 'number-3']);
    const [left] = findingsOf('classic-order', gap, catalogue);
    expect(findingsOf('classic-order', repaired(gap, left, /^Add number 2/), catalogue)).toEqual(
      [],
    );
  });

  it('asks for a first exercise where none of the 34 is there', () => {
    const plan = classic(['curl']);
    const [finding] = findingsOf('classic-order', plan, catalogue);
    expect(finding?.sentence).toBe('None of the 34 is in this class.');
    expect(finding?.repairs()[0]?.label).toBe('Add number 1');
  });
});
