import { describe, expect, it } from 'vitest';
import { createCatalogue } from '../movement/catalogue.ts';
import type { Attendee } from '../people/attendee.ts';
import { chooseOptions } from '../people/choose-options.ts';
import { Person } from '../people/person.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import type { Plan } from '../plan/plan.ts';
import { planProps, type Cupboard } from './props.ts';

const ball = { prop: 'small-ball', place: 'between knees', role: 'feedback' } as const;
const catalogue = createCatalogue([
  makeExercise('squeeze', { options: [{}, { props: [ball] }] }),
  makeExercise('bare'),
  makeExercise('recline', {
    options: [
      {
        props: [
          { ...ball, prop: 'cushion', place: 'under shoulder blades', role: 'support', count: 2 },
        ],
      },
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

const needs = (slugs: string[], levels: number[], cupboard: Cupboard = {}) =>
  needsOf(makePlan([slugs]), levels, cupboard);

function needsOf(plan: Plan, levels: number[], cupboard: Cupboard = {}) {
  const options = chooseOptions(plan, people(levels), catalogue, '2026-11-25');
  return planProps(plan, timePlan(plan, catalogue), options, catalogue, cupboard);
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

  it('counts what the plan adds, and what stays where it was', () => {
    const props = {
      added: [
        {
          ...ball,
          place: 'under head' as const,
          role: 'support' as const,
          count: 1,
          optional: false,
        },
      ],
    };
    const plan = makePlan([[['bare', { props }], ['recline', { keeps: ['props'] }], 'bare']]);
    const found = needsOf(plan, [1, 1]).find(({ prop }) => prop === 'small-ball');
    expect(found?.inAll).toBe(2);
    expect(found?.spans.map(({ itemId, places }) => [itemId, places])).toEqual([
      ['bare', ['under head']],
      ['recline', ['under head']],
    ]);
  });

  it('leaves away what the plan leaves away, but no support of whoever has a caution', () => {
    const plan = makePlan([[['recline', { props: { without: ['cushion'] } }]]]);
    expect(needsOf(plan, [1, 1])).toEqual([]);
    const guarded = people([1, 1]).map(({ person }) => ({
      person: { ...person, cautions: Person.shape.cautions.parse([{ caution: 'knee' }]) },
    }));
    const options = chooseOptions(plan, guarded, catalogue, '2026-11-25');
    const kept = planProps(plan, timePlan(plan, catalogue), options, catalogue, {});
    expect(kept[0]).toMatchObject({ prop: 'cushion', inAll: 4 });
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
    const found = planProps(plan, timePlan(plan, wide), options, wide, {});
    expect(found.map(({ prop }) => prop)).not.toContain('band');
  });
});
