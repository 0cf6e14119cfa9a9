import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makePlan } from '../testing/make-plan.ts';
import { occurrencesOf, planAsOccurrences } from './occurrences.ts';
import { Plan, type Bracket } from './plan.ts';

const inOne = (bracket: Bracket, ...between: ('loose' | 'in')[]): Plan => {
  const slugs = ['clam', 'lift', 'reach', 'circle'].slice(0, Math.max(2, between.length));
  const plan = makePlan([
    [
      'tilt',
      ...slugs.map((slug, at): [string, object] => [
        slug,
        between[at] === 'loose' ? {} : { bracket: bracket.id },
      ]),
      'rest',
    ],
  ]);
  return { ...plan, brackets: [bracket] };
};
const series: Bracket = { kind: 'series', id: 'side', first: 'left' };
const rounds: Bracket = { kind: 'rounds', id: 'turns', times: 3 };

const idsOf = (plan: Plan) =>
  occurrencesOf(plan).flatMap(({ occurrences }) => occurrences.map(({ id }) => id));

describe('what is done', () => {
  it('is every item once where there is no bracket', () => {
    const plan = makePlan([['tilt', { pauseS: 30 }], ['rest']]);
    expect(idsOf(plan)).toEqual(['tilt', 'pause', 'rest']);
    expect(planAsOccurrences(plan)).toBe(plan);
  });

  it('is a series on one side and then on the other, the first side first', () => {
    const done = occurrencesOf(inOne(series)).flatMap(({ occurrences }) => occurrences);
    expect(done.map(({ id, pass }) => `${id} ${pass?.side ?? '-'}`)).toEqual([
      'tilt -',
      'clam left',
      'lift left',
      'clam-2 right',
      'lift-2 right',
      'rest -',
    ]);
    expect(done[3]).toMatchObject({ item: { id: 'clam', onlySide: 'right' } });
  });

  it('is rounds as often as they say', () => {
    expect(idsOf(inOne(rounds))).toEqual([
      'tilt',
      'clam',
      'lift',
      'clam-2',
      'lift-2',
      'clam-3',
      'lift-3',
      'rest',
    ]);
  });

  it('is each run by itself where something stands between', () => {
    expect(idsOf(inOne(series, 'in', 'loose', 'in'))).toEqual([
      'tilt',
      'clam',
      'clam-2',
      'lift',
      'reach',
      'reach-2',
      'rest',
    ]);
  });

  it('leaves out on one side what is meant for the other alone', () => {
    const plan = inOne(series);
    const [segment] = plan.segments;
    const item = segment?.items[1];
    if (item?.kind !== 'exercise') throw new Error('no exercise');
    item.onlySide = 'right';
    expect(idsOf(plan)).toEqual(['tilt', 'lift', 'clam-2', 'lift-2', 'rest']);
  });

  it('takes a bracket that is not there for none', () => {
    const plan = makePlan([[['clam', { bracket: 'nowhere' }], 'rest']]);
    expect(idsOf(plan)).toEqual(['clam', 'rest']);
  });
});

describe('a plan as what is done', () => {
  it('is a plan of its own, with names that nobody else has, and says the same', () => {
    const times = fc.integer({ min: 2, max: 10 });
    fc.assert(
      fc.property(
        times,
        fc.boolean(),
        fc.constantFrom('clam-2', 'lift-3', 'z'),
        (n, side, other) => {
          const plan = inOne(side ? series : { ...rounds, times: n });
          plan.segments[0]?.items.push({
            kind: 'pause',
            id: other,
            label: 'Pause',
            durationS: 30,
            note: '',
          });
          const written = planAsOccurrences(plan);
          expect(Plan.safeParse(written).success).toBe(true);
          expect(written.segments[0]?.items).toHaveLength(3 + 2 * (side ? 2 : n));
          expect(idsOf(written)).toEqual(idsOf(plan));
          expect(planAsOccurrences(written)).toBe(written);
        },
      ),
    );
  });
});
