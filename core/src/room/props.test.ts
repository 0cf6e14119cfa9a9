import { describe, expect, it } from 'vitest';
import { createCatalogue } from '../movement/catalogue.ts';
import type { Attendee } from '../people/attendee.ts';
import { chooseOptions } from '../people/choose-options.ts';
import { Person } from '../people/person.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { planProps, type Cupboard } from './props.ts';

const ball = { prop: 'small-ball', place: 'between knees', role: 'feedback' } as const;
const catalogue = createCatalogue([
  makeExercise('squeeze', { options: [{}, { props: [ball] }] }),
  makeExercise('bare'),
  makeExercise('recline', {
    options: [
      { props: [{ ...ball, prop: 'cushion', place: 'under shoulder blades', count: 2 }] },
      {},
    ],
    dose: { kind: 'free', durationS: 240 },
  }),
  makeExercise('maybe', { options: [{ props: [{ ...ball, optional: true }] }, {}] }),
]);

const people = (levels: number[]): Attendee[] =>
  levels.map((level, index) => ({
    person: Person.parse({ id: `p${index}`, name: `P${index}`, level }),
  }));

function needs(slugs: string[], levels: number[], cupboard: Cupboard = {}) {
  const plan = makePlan([slugs]);
  const options = chooseOptions(plan, people(levels), catalogue, '2026-11-25');
  return planProps(timePlan(plan, catalogue), options, catalogue, cupboard);
}

describe('planProps', () => {
  it('counts one for each person whose option holds it', () => {
    const [need] = needs(['squeeze'], [1, 2, 2, 3]);
    expect(need).toMatchObject({ prop: 'small-ball', inAll: 3, peak: 3, owned: 0, short: 3 });
    expect(need?.people).toEqual(['p1', 'p2', 'p3']);
  });

  it('needs nothing for those who hold nothing', () => {
    expect(needs(['squeeze'], [1, 1])).toEqual([]);
    expect(needs(['bare'], [4, 4])).toEqual([]);
    expect(needs(['squeeze'], [])).toEqual([]);
  });

  it('counts a kit once, however often it is used', () => {
    const [need] = needs(['squeeze', 'bare', 'squeeze'], [2, 2]);
    expect(need?.inAll).toBe(2);
    expect(need?.spans.map(({ itemId }) => itemId)).toEqual(['squeeze', 'squeeze-2']);
  });

  it('counts what is stacked', () => {
    expect(needs(['recline'], [1, 1, 1])[0]).toMatchObject({ prop: 'cushion', inAll: 6 });
  });

  it('leaves out what is only there if wanted', () => expect(needs(['maybe'], [1, 1])).toEqual([]));

  it('is not short when the cupboard suffices', () => {
    expect(needs(['squeeze'], [2, 2], { 'small-ball': 2 })[0]).toMatchObject({
      owned: 2,
      short: 0,
    });
  });

  it('says for each minute how many are in use', () => {
    const [need] = needs(['recline', 'bare'], [1, 1]);
    const last = need?.spans[0];
    expect(need?.byMinute.slice(0, 4)).toEqual([4, 4, 4, 4]);
    expect(need?.byMinute.at(-1)).toBe(0);
    expect(need?.byMinute.filter((count) => count > 0)).toHaveLength(
      Math.ceil((last?.endS ?? 0) / 60),
    );
  });

  it('takes the props of the swap, not of what was swapped', () => {
    const barred = makeExercise('barred', {
      swaps: ['squeeze'],
      options: [{ demands: ['jump'], props: [{ ...ball, prop: 'band' }] }, { demands: ['jump'] }],
    });
    const wide = createCatalogue([...catalogue.all, barred]);
    const plan = makePlan([['barred']]);
    const who: Attendee = {
      person: Person.parse({ id: 'k', name: 'K', level: 2, cautions: [{ caution: 'knee' }] }),
    };
    const options = chooseOptions(plan, [who], wide, '2026-11-25');
    const found = planProps(timePlan(plan, wide), options, wide, {});
    expect(found.map(({ prop }) => prop)).not.toContain('band');
  });
});
