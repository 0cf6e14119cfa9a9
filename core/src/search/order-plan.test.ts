import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/apply-edit.ts';
import { SCHOOLS } from '../plan/schools.ts';
import { GEAR_SECONDS } from '../plan/timing/gear-seconds.ts';
import { itemsOf, Plan } from '../plan/plan.ts';
import { randomClass, type RandomClass } from '../testing/random-order-problem.ts';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { groupOf } from '../review/group.ts';
import { movedItems, movesBetween } from './moves.ts';
import { orderPlan, searchOrder, type SearchInput } from './order-plan.ts';

const NOBODY = groupOf([], '2026-11-25');
const inputOf = ({ plan, catalogue, familiar }: RandomClass): SearchInput => ({
  plan,
  catalogue,
  timing: { familiar },
  group: NOBODY,
});
const ids = (plan: Plan) => itemsOf(plan).map(({ id }) => id);
const CLASSES = Array.from({ length: 12 }, (_, index) =>
  randomClass(60 + index, 6 + index, 1 + (index % 3), index % 3),
);

describe('orderPlan', () => {
  it.each(CLASSES)('keeps every item, and is no worse than today', (lesson) => {
    const result = orderPlan(inputOf(lesson));
    expect([...ids(result.plan)].sort()).toEqual([...ids(lesson.plan)].sort());
    expect(Plan.safeParse(result.plan).success).toBe(true);
    expect(result.status).toBe('proved best');
    if (result.brokenNow === 0) expect(result.bestS).toBeLessThanOrEqual(result.nowS + 1e-6);
  });

  it.each(CLASSES)('comes to its order by its moves, and back by their inverse', (lesson) => {
    const { plan, edit } = orderPlan(inputOf(lesson));
    if (!edit) {
      expect(ids(plan)).toEqual(ids(lesson.plan));
      return;
    }
    const result = applyEdit(lesson.plan, edit);
    if (!result.ok) throw new Error(result.reason.code);
    expect(result.plan).toEqual(plan);
    const back = applyEdit(result.plan, result.inverse);
    expect(back.ok && back.plan).toEqual(lesson.plan);
    let current = lesson.plan;
    for (const move of movesBetween(lesson.plan, plan)) {
      const step = applyEdit(current, move.edit);
      if (!step.ok) throw new Error(`${move.itemIds.join()}: ${step.reason.code}`);
      current = step.plan;
    }
    expect(current).toEqual(plan);
  });

  it('has nothing to gain twice', () => {
    for (const lesson of CLASSES.slice(0, 5)) {
      const { plan } = orderPlan(inputOf(lesson));
      const again = orderPlan({ ...inputOf(lesson), plan });
      expect(again.moves).toEqual([]);
      expect(again.edit).toBeUndefined();
    }
  });

  it('keeps a series and rounds whole, in their order, wherever they go', () => {
    let moved = 0;
    for (const { plan: loose, ...lesson } of CLASSES) {
      const [segment] = loose.segments;
      const [one, two, three] = (segment?.items ?? []).filter(({ kind }) => kind === 'exercise');
      if (!segment || !one || !two || !three) continue;
      const together = new Set([one.id, two.id, three.id]);
      const at = segment.items.findIndex(({ id }) => together.has(id));
      if (!segment.items.slice(at, at + 3).every(({ id }) => together.has(id))) continue;
      const plan: Plan = {
        ...loose,
        brackets: [{ kind: 'rounds', id: 'turns', times: 2 }],
        segments: loose.segments.map((each) => ({
          ...each,
          items: each.items.map((item) =>
            together.has(item.id) ? { ...item, bracket: 'turns' } : item,
          ),
        })),
      };
      const result = orderPlan(inputOf({ ...lesson, plan }));
      const order = itemsOf(result.plan);
      const from = order.findIndex(({ bracket }) => bracket === 'turns');
      expect(order.slice(from, from + 3).map(({ id }) => id)).toEqual([one.id, two.id, three.id]);
      expect(order.filter(({ bracket }) => bracket === 'turns')).toHaveLength(3);
      if (!result.edit) continue;
      const edited = applyEdit(plan, result.edit);
      expect(edited.ok && edited.plan).toEqual(result.plan);
      const back = edited.ok && applyEdit(edited.plan, edited.inverse);
      expect(back && back.ok && back.plan).toEqual(plan);
      moved += 1;
    }
    expect(moved).toBeGreaterThan(4);
  });

  it('makes each move by itself land behind what it says', () => {
    let landed = 0;
    for (const lesson of CLASSES) {
      for (const { itemIds, edit, label } of orderPlan(inputOf(lesson)).moves) {
        const after = applyEdit(lesson.plan, edit);
        if (!after.ok) throw new Error(after.reason.code);
        const order = ids(after.plan);
        const before = order[order.indexOf(itemIds[0] ?? '') - 1];
        const item = itemsOf(after.plan).find(({ id }) => id === before);
        if (!label.includes(' after ') || item?.kind !== 'exercise') continue;
        expect(label.endsWith(` after ${item.exercise}`)).toBe(true);
        landed += 1;
      }
    }
    expect(landed).toBeGreaterThan(10);
  });

  it('says what each move gains by itself', () => {
    for (const lesson of CLASSES.slice(0, 5)) {
      for (const move of orderPlan(inputOf(lesson)).moves) {
        const total = move.gains.reduce((sum, { seconds }) => sum + seconds, 0);
        expect(Math.abs(total - move.gainS)).toBeLessThan(12 * 0.5);
        expect(move.label).toMatch(/ after | first in /);
      }
    }
  });

  it('gives the same for the same seed', () => {
    const lesson = randomClass(77, 22, 1, 1);
    const few = { effort: { mostStates: 500, firstEvaluations: 800, furtherEvaluations: 800 } };
    const once = orderPlan({ ...inputOf(lesson), ...few, seed: 9 });
    expect(orderPlan({ ...inputOf(lesson), ...few, seed: 9 })).toEqual(once);
  });

  it('says how far it can be from the best where there are too many orders', () => {
    const lesson = randomClass(78, 26, 1, 0);
    const few = { effort: { mostStates: 300, firstEvaluations: 1500, furtherEvaluations: 1500 } };
    const result = orderPlan({ ...inputOf(lesson), ...few });
    expect(result.status).toBe('within');
    expect(result.gap).toBeGreaterThan(0);
    expect(result.gap).toBeLessThan(1);
    expect(result.lowerBoundS).toBeLessThanOrEqual(result.bestS);
  });

  it('can be stopped with the best so far', () => {
    const lesson = randomClass(79, 18, 1, 0);
    const search = searchOrder(inputOf(lesson));
    const step = search.next();
    if (step.done) throw new Error('ended at once');
    const stopped = step.value.result();
    expect([...ids(stopped.plan)].sort()).toEqual([...ids(lesson.plan)].sort());
    expect(stopped.lowerBoundS).toBeLessThanOrEqual(stopped.bestS + 1e-6);
  });

  it('has nothing to say about an empty class', () => {
    const result = orderPlan({
      plan: makePlan([[], []]),
      catalogue: makeCatalogue(),
      timing: {},
      group: NOBODY,
    });
    expect(result).toMatchObject({ status: 'proved best', moves: [], nowS: 0, bestS: 0 });
  });
});

describe('locks', () => {
  const catalogue = makeCatalogue();
  const plan = makePlan([
    ['fold', 'curl', 'breathe', 'tilt'],
    ['twist', 'side-reach', 'lift', 'hug'],
  ]);
  const order = (locks: SearchInput['locks'], of = plan) =>
    orderPlan({ plan: of, catalogue, timing: {}, group: NOBODY, ...(locks ? { locks } : {}) }).plan;

  it('keeps items in their parts, unless they may leave them', () => {
    const inFirst = (of: Plan) => [...(of.segments[0]?.items ?? [])].map(({ id }) => id).sort();
    expect(inFirst(order({}))).toEqual(inFirst(plan));
    const free = order({ partsStay: false });
    expect(free.segments.map(({ items }) => items.length)).toEqual([4, 4]);
    expect(ids(free)[0]).toBe('breathe');
  });

  it('keeps what is pinned in its place', () => {
    const pinned = order({ pinned: new Set(['fold', 'lift']) });
    expect(pinned.segments[0]?.items[0]?.id).toBe('fold');
    expect(pinned.segments[1]?.items[2]?.id).toBe('lift');
  });

  it('keeps neighbours that are joined', () => {
    const joined = ids(order({ joined: new Set(['breathe']) }));
    expect(joined.indexOf('breathe')).toBe(joined.indexOf('curl') + 1);
  });

  it('keeps both sides of a block together', () => {
    const side = (sides: 'left' | 'right'): [string, object] => [
      'leg-lift',
      { dose: { kind: 'repetitions', count: 8, sets: 1, sides, directions: 1 } },
    ];
    const sided = makePlan([['fold', side('left'), side('right'), 'breathe', 'curl']]);
    const after = ids(order({}, sided));
    expect(after.indexOf('leg-lift-2')).toBe(after.indexOf('leg-lift') + 1);
  });

  it('leaves pauses where they are', () => {
    const paused = makePlan([[{ pauseS: 60 }, 'fold', 'curl', { pauseS: 30 }, 'breathe', 'tilt']]);
    const after = ids(order({}, paused));
    expect(after[0]).toBe('pause');
    expect(after[3]).toBe('pause-2');
  });

  it('finds an order even where pins leave none that keeps every rule', () => {
    const parts = makeCatalogue([
      makeExercise('half', { prepares: ['whole'] }),
      makeExercise('whole'),
    ]);
    const against = makePlan([['whole', 'breathe', 'half']]);
    const result = orderPlan({
      plan: against,
      catalogue: parts,
      timing: {},
      group: NOBODY,
      locks: { pinned: new Set(['whole', 'breathe', 'half']) },
    });
    expect(ids(result.plan)).toEqual(ids(against));
  });
});

describe('movesBetween', () => {
  it('moves as few as it can: what is on the longest common run stays', () => {
    const from = makePlan([['a', 'b', 'c', 'd', 'e']]);
    const to = makePlan([['b', 'c', 'd', 'a', 'e']]);
    expect(movesBetween(from, to).map(({ itemIds }) => itemIds)).toEqual([['a']]);
  });

  it('takes neighbours together', () => {
    const from = makePlan([['a', 'b', 'c', 'd', 'e']]);
    const to = makePlan([['c', 'd', 'e', 'a', 'b']]);
    expect(movesBetween(from, to).map(({ itemIds }) => itemIds)).toEqual([['a', 'b']]);
  });

  it('moves over parts', () => {
    const from = makePlan([['a', 'b'], ['c']]);
    const to = {
      ...from,
      segments: [
        { ...from.segments[0], items: from.segments[0]?.items.slice(0, 1) },
        {
          ...from.segments[1],
          items: [...(from.segments[1]?.items ?? []), ...(from.segments[0]?.items.slice(1) ?? [])],
        },
      ],
    } as Plan;
    expect(movesBetween(from, to).map(({ itemIds }) => itemIds)).toEqual([['b']]);
  });
});

describe('movedItems', () => {
  it('names what left the common run, and nothing that is in one plan only', () => {
    const from = makePlan([['a', 'b', 'c', 'd']]);
    const to = makePlan([['b', 'c', 'e', 'a']]);
    expect([...movedItems(from, to)]).toEqual(['a']);
    expect([...movedItems(to, from)]).toEqual(['a']);
    expect([...movedItems(from, from)]).toEqual([]);
  });
});

describe('a machine', () => {
  const springs = (heavy: number) => ({
    settings: { springs: { heavy }, moreSpring: 'harder' as const },
  });
  const catalogue = makeCatalogue([
    makeExercise('one', { machine: 'reformer', options: [springs(1), springs(1)] }),
    makeExercise('two', { machine: 'reformer', options: [springs(2), springs(2)] }),
    makeExercise('again', { machine: 'reformer', options: [springs(1), springs(1)] }),
  ]);
  const plan = makePlan([['one', 'two', 'again']], { machine: 'reformer' });
  const costNow = (springsS: number) =>
    orderPlan({
      plan,
      catalogue,
      timing: { gearSeconds: { ...GEAR_SECONDS, springs: springsS } },
      group: NOBODY,
    }).nowS;

  it('costs what changing springs takes in this studio', () => {
    // Two changes of springs in today's order, and the school counts a second of set-up as a second.
    const weight = SCHOOLS['foundations-first'].weights['set-up'];
    expect(costNow(50) - costNow(5)).toBeCloseTo(2 * 45 * weight, 6);
  });
});
