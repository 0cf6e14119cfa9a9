import { describe, expect, it } from 'vitest';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { groupOf } from '@wrenfern/core/review/group';
import { gathersOf } from '@wrenfern/core/search/gathers';
import { makePlan } from '@wrenfern/core/testing/make-plan';
import { EXPERT_CLASSES } from './expert-classes.ts';
import { builtInCatalogue as catalogue } from './index.ts';

const gathers = (plan: Plan) => gathersOf({ plan, catalogue, timing: {}, group: groupOf([], '') });

const lengthOf = (plan: Plan) => timePlan(plan, catalogue).totalS;

function taken(plan: Plan): Plan {
  const [first] = gathers(plan);
  const result = first && applyEdit(plan, first.edit);
  if (!result?.ok) throw new Error('nothing to gather');
  return result.plan;
}

const SCATTERED = makePlan(
  [
    ['breath-three-way', 'pelvic-tilt', 'bridge-roll'],
    ['clam', 'chest-lift', 'side-leg-lift', 'knees-to-chest', 'side-kick', 'shell-stretch'],
    ['figure-four', 'final-rest', 'return-to-sitting'],
  ],
  { targetS: 2700 },
);

describe('scattered work on the side', () => {
  it('is gathered into one series, with the seconds that it saves', () => {
    const [series] = gathers(SCATTERED);
    expect(series).toMatchObject({
      kind: 'series',
      itemIds: ['clam', 'side-leg-lift', 'side-kick'],
    });
    expect(series?.label).toBe(
      'One series on the side: Clam, Side leg lift and Side kick, front and back',
    );
    const after = taken(SCATTERED);
    expect(lengthOf(SCATTERED) - lengthOf(after)).toBe(series?.savesS);
    // By hand: 3 x (23 on to the side + 15 over) + 2 x 9 off it are 132 s; one series, with 5 s to each next exercise
    // and 18 over, and the way from the back to all fours, 84.5 s.
    expect(Math.abs((series?.savesS ?? 0) - 47.5)).toBeLessThan(4);
    expect(after.brackets).toMatchObject([{ kind: 'series' }]);
    expect(exerciseItemsOf(after).filter(({ bracket }) => bracket)).toHaveLength(3);
    expect(after.segments.map(({ items }) => items.length)).toEqual([3, 6, 3]);
  });

  it('has nothing left to gather then', () => expect(gathers(taken(SCATTERED))).toEqual([]));

  it('leaves its part only for a minute', () => {
    const apart = makePlan([['clam'], ['chest-lift', 'side-leg-lift'], ['final-rest']]);
    expect(gathers(apart).every(({ savesS }) => savesS >= 60)).toBe(true);
  });
});

describe('the machine', () => {
  it('is set once for what is done on the same setting', () => {
    const plan = makePlan(
      [
        ['carriage-breath', 'footwork', 'feet-in-straps', 'calf-raise', 'supine-arms'],
        ['side-sit-mermaid-reformer'],
      ],
      { machine: 'reformer', targetS: 3000 },
    );
    for (const { kind, edit, savesS } of gathers(plan)) {
      const result = applyEdit(plan, edit);
      expect(kind).toBe('gear');
      expect(result.ok && lengthOf(plan) - lengthOf(result.plan)).toBe(savesS);
      expect(savesS).toBeGreaterThanOrEqual(15);
    }
    expect(gathers(plan).map(({ label }) => label)).toEqual([
      'Calf raise on the bar behind Footwork, on the same setting',
    ]);
  });
});

it.each(EXPERT_CLASSES)('finds nothing to gather in $name', ({ plan }) => {
  expect(gathers(plan).map(({ label }) => label)).toEqual([]);
});
