import { describe, expect, it } from 'vitest';
import { analyse, repairsOf } from '../analyse.ts';
import { Person } from '../people/person.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';

/** Lying with a prop along the back already, so that nothing more props the trunk. */
const lying = (slug: string) =>
  makeExercise(slug, {
    dose: { kind: 'hold', holdS: 100, sides: 'none' },
    options: [{ poses: ['supine-bent'] }, { poses: ['supine-bent'] }],
  });
const catalogue = makeCatalogue([
  ...['one', 'two', 'three', 'four', 'five', 'six', 'seven'].map(lying),
  makeExercise('clam', { position: 'side-lying', options: [{ poses: ['clam-closed'] }, {}] }),
]);
const context = {
  attendees: [
    // Nothing of it is new to them but the sum: it was released item by item.
    {
      person: Person.parse({
        id: 'noor',
        name: 'Noor',
        cautions: [
          {
            caution: 'pregnancy',
            weeks: 20,
            releases: [{ ask: 'flatS', by: 'midwife', on: '2026-11-01' }],
          },
        ],
      }),
    },
    { person: Person.parse({ id: 'pia', name: 'Pia' }) },
  ],
  cupboard: {},
  day: '2026-11-29',
};
const sums = (plan: ReturnType<typeof makePlan>) =>
  analyse(plan, catalogue, context).findings.filter(({ rule }) => rule === 'lying-within');

describe('lying flat', () => {
  it('for 3 minutes in one go is usual, for longer it is told by name and without a condition', () => {
    // By hand: one of 100 s is within 180, two are 200.
    expect(sums(makePlan([['one']]))).toEqual([]);
    const [found] = sums(makePlan([['one', 'two']]));
    expect(found?.sentence).toBe(
      'Noor would lie flat on the back in one go for 3.3 min; 3 min is usual.',
    );
  });

  it('is settled by something else between, or by less', () => {
    const plan = makePlan([['one', 'two', 'clam']]);
    const [found] = sums(plan);
    const repairs = found ? repairsOf(plan, catalogue, context, found) : [];
    expect(repairs.map(({ label }) => label)).toContain('Move clam after one');
    for (const { edit } of repairs) {
      const result = applyEdit(plan, edit);
      expect(result.ok && sums(result.plan)).toEqual([]);
    }
  });

  it('in all counts what lies apart too', () => {
    const apart = ['one', 'clam', 'two', 'clam', 'three', 'clam', 'four', 'clam'];
    expect(sums(makePlan([apart]))).toEqual([]);
    const more = [...apart, 'five', 'clam', 'six', 'clam', 'seven'];
    expect(sums(makePlan([more])).map(({ key }) => key)).toEqual(['flatS']);
  });
});
