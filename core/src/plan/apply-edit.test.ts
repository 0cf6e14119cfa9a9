import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, makePlan } from '../testing/make-plan.ts';
import { applyEdit } from './apply-edit.ts';
import type { Edit } from './edits.ts';
import { itemsOf, Plan, type Item } from './plan.ts';

const plan = makePlan([
  [{ pauseS: 60 }, 'breathe', ['curl', { options: [1], teaching: 'full' }]],
  ['twist'],
  ['final-rest'],
]);

const idsOf = (edited: Plan) => edited.segments.map(({ items }) => items.map(({ id }) => id));

function apply(edit: Edit, to: Plan = plan): { plan: Plan; inverse: Edit } {
  const result = applyEdit(to, edit);
  if (!result.ok) throw new Error(result.reason.code);
  return result;
}

const newItem = (id: string): Item => ({
  kind: 'exercise',
  id,
  exercise: 'hug',
  restS: 0,
  note: '',
});

/** A series of three and rounds of two, in parts of their own. */
const bracketed = Plan.parse({
  ...makePlan([
    ['breathe', ['curl', { bracket: 'side' }], ['twist', { bracket: 'side' }], 'bridge'],
    [
      ['plank', { bracket: 'turns' }],
      ['child', { bracket: 'turns' }],
    ],
    ['final-rest'],
  ]),
}) satisfies Plan;
const series = { kind: 'series', id: 'side', first: 'right' } as const;
const rounds = { kind: 'rounds', id: 'turns', times: 3 } as const;
bracketed.brackets = [series, rounds];

/** Any edit that could be asked for, right or wrong. */
const anyBracketEdit = (): fc.Arbitrary<Edit> => {
  const itemId = fc.constantFrom('breathe', 'curl', 'twist', 'bridge', 'plank', 'child', 'nobody');
  const segmentId = fc.constantFrom('segment-1', 'segment-2', 'segment-3', 'nowhere');
  const bracketId = fc.constantFrom('side', 'turns', 'new-one', 'plank');
  const bracket = fc.constantFrom(
    series,
    rounds,
    { kind: 'rounds', id: 'new-one', times: 2 } as const,
    { kind: 'series', id: 'plank', first: 'left' } as const,
  );
  return fc.oneof(
    fc.record({ type: fc.constant('addBracket' as const), bracket }),
    fc.record({ type: fc.constant('removeBracket' as const), bracketId }),
    fc.record({ type: fc.constant('setBracket' as const), bracket }),
    fc.record(
      { type: fc.constant('setItemBracket' as const), itemId, bracketId },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record(
      {
        type: fc.constant('setOnlySide' as const),
        itemId,
        side: fc.constantFrom('left' as const, 'right' as const),
      },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record({
      type: fc.constant('moveItem' as const),
      itemId,
      segmentId,
      index: fc.nat({ max: 4 }),
    }),
    fc.record({ type: fc.constant('removeItem' as const), itemId }),
    fc.record({
      type: fc.constant('addItem' as const),
      segmentId,
      index: fc.nat({ max: 4 }),
      item: fc.constantFrom('new', 'new-2').map(newItem),
    }),
  );
};

const anyEdit = (): fc.Arbitrary<Edit> => {
  const itemId = fc.constantFrom('pause', 'breathe', 'curl', 'twist', 'final-rest', 'nobody');
  const segmentId = fc.constantFrom('segment-1', 'segment-2', 'segment-3', 'nowhere');
  const index = fc.nat({ max: 5 });
  const single = fc.oneof(
    fc.record({
      type: fc.constant('addItem' as const),
      segmentId,
      index,
      item: fc.constantFrom('new', 'curl').map(newItem),
    }),
    fc.record({ type: fc.constant('removeItem' as const), itemId }),
    fc.record({ type: fc.constant('moveItem' as const), itemId, segmentId, index }),
    fc.record(
      {
        type: fc.constant('setDose' as const),
        itemId,
        dose: fc.constant({
          kind: 'repetitions' as const,
          count: 3,
          sets: 1,
          sides: 'none' as const,
          directions: 1,
        }),
      },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record(
      { type: fc.constant('setOptions' as const), itemId, options: fc.constant<number[]>([1, 2]) },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record(
      {
        type: fc.constant('setTeaching' as const),
        itemId,
        teaching: fc.constant('brief' as const),
      },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record(
      {
        type: fc.constant('setGear' as const),
        itemId,
        gear: fc.constant({ springs: { heavy: 2 }, bar: 'low' as const }),
      },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record(
      {
        type: fc.constant('setPartTarget' as const),
        segmentId: fc.constantFrom('segment-1', 'segment-2', 'nowhere'),
        targetS: fc.constantFrom(60, 300),
      },
      { requiredKeys: ['type', 'segmentId'] },
    ),
    fc.record(
      {
        type: fc.constant('setProps' as const),
        itemId,
        props: fc.constant<{ without: 'band'[] }>({ without: ['band'] }),
      },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record(
      {
        type: fc.constant('setKeeps' as const),
        itemId,
        keeps: fc.constant<('props' | 'shape')[]>(['props', 'shape']),
      },
      { requiredKeys: ['type', 'itemId'] },
    ),
    fc.record({
      type: fc.constant('setPacing' as const),
      itemId,
      pacing: fc.record(
        {
          breathed: fc.boolean(),
          phases: fc.integer({ min: 1, max: 8 }),
          tempo: fc.constant('pulse' as const),
          explainS: fc.constant(60),
        },
        { requiredKeys: [] },
      ),
    }),
    fc.record({ type: fc.constant('setRest' as const), itemId, restS: fc.nat({ max: 600 }) }),
    fc.record({
      type: fc.constant('setPause' as const),
      itemId,
      label: fc.constant('Water'),
      durationS: fc.integer({ min: 5, max: 60 }),
    }),
    fc.record({
      type: fc.constant('setNote' as const),
      itemId,
      note: fc.string({ maxLength: 20 }),
    }),
    fc.record({
      type: fc.constant('addSegment' as const),
      index,
      segment: fc
        .constantFrom('segment-2', 'fresh')
        .map((id) => ({ id, name: 'Extra', items: [newItem('inside')] })),
    }),
    fc.record({ type: fc.constant('removeSegment' as const), segmentId }),
    fc.record({ type: fc.constant('moveSegment' as const), segmentId, index }),
    fc.record({
      type: fc.constant('renameSegment' as const),
      segmentId,
      name: fc.constant('Renamed'),
    }),
    fc.record({
      type: fc.constant('setDetails' as const),
      details: fc.record(
        {
          title: fc.constant('Another'),
          targetS: fc.constant(2400),
          note: fc.constant('n'),
          style: fc.constantFrom('slow' as const, 'brisk' as const, undefined),
        },
        { requiredKeys: [] },
      ),
    }),
  );
  return fc.oneof(
    single,
    fc.array(single, { maxLength: 4 }).map((edits): Edit => ({ type: 'together', edits })),
  );
};

describe('applyEdit', () => {
  it('gives, for any edit, a valid plan whose inverse restores the first exactly', () => {
    fc.assert(
      fc.property(anyEdit(), (edit) => {
        const before = copyOf(plan);
        const result = applyEdit(plan, edit);
        expect(plan).toEqual(before);
        if (!result.ok) return;
        expect(Plan.safeParse(result.plan).success).toBe(true);
        const back = applyEdit(result.plan, result.inverse);
        expect(back.ok && back.plan).toEqual(before);
      }),
      { numRuns: 2000, seed: 20261125 },
    );
  });

  it('walks any list of edits back, step by step', () => {
    fc.assert(
      fc.property(fc.array(anyEdit(), { maxLength: 12 }), (edits) => {
        let current = plan;
        const inverses: Edit[] = [];
        for (const edit of edits) {
          const result = applyEdit(current, edit);
          if (!result.ok) continue;
          current = result.plan;
          inverses.push(result.inverse);
        }
        for (const inverse of inverses.reverse()) current = apply(inverse, current).plan;
        expect(current).toEqual(plan);
      }),
      { numRuns: 300, seed: 7 },
    );
  });

  it('sets a finding aside with a reason, and tells it again', () => {
    const about = { type: 'setAside', rule: 'counter', key: 'round curl' } as const;
    const aside = apply({ ...about, reason: 'They open next week' });
    expect(aside.plan.setAside).toEqual([
      { rule: 'counter', key: 'round curl', reason: 'They open next week' },
    ]);
    const other = apply({ ...about, reason: 'Wanted so' }, aside.plan);
    expect(apply(other.inverse, other.plan).plan).toEqual(aside.plan);
    const again = apply(about, aside.plan);
    expect(again.plan).toEqual(plan);
    expect(apply(again.inverse, again.plan).plan).toEqual(aside.plan);
    expect(apply(aside.inverse, aside.plan).plan).toEqual(plan);
  });

  it('walks brackets back as well, whatever joined or left them on the way', () => {
    fc.assert(
      fc.property(fc.array(anyBracketEdit(), { maxLength: 12 }), (edits) => {
        const inverses: Edit[] = [];
        let current = bracketed;
        for (const edit of edits) {
          const result = applyEdit(current, edit);
          if (!result.ok) continue;
          expect(Plan.safeParse(result.plan).success).toBe(true);
          inverses.unshift(result.inverse);
          current = result.plan;
        }
        for (const inverse of inverses) current = apply(inverse, current).plan;
        expect(current).toEqual(bracketed);
      }),
    );
  });

  describe('of an item beside a bracket', () => {
    const bracketsOf = (edited: Plan) =>
      edited.segments[0]?.items.map((item) => `${item.id}${item.bracket ? '*' : ''}`).join(' ');
    const move = (itemId: string, index: number) =>
      bracketsOf(
        apply({ type: 'moveItem', itemId, segmentId: 'segment-1', index }, bracketed).plan,
      );

    it('joins it where it lands within', () => {
      expect(move('bridge', 2)).toBe('breathe curl* bridge* twist*');
      expect(move('breathe', 1)).toBe('curl* breathe* twist* bridge');
    });

    it('stays out where it lands at its edge, and in where it came from it', () => {
      expect(move('breathe', 2)).toBe('curl* twist* breathe bridge');
      expect(move('curl', 2)).toBe('breathe twist* curl* bridge');
    });

    it('leaves it where it lands away from it', () => {
      expect(move('curl', 3)).toBe('breathe twist* bridge curl');
    });
  });

  it('moves an item to a place counted without it', () => {
    const { plan: moved } = apply({
      type: 'moveItem',
      itemId: 'pause',
      segmentId: 'segment-1',
      index: 1,
    });
    expect(idsOf(moved)[0]).toEqual(['breathe', 'pause', 'curl']);
  });

  it('moves an item across segments and never loses one', () => {
    const { plan: moved } = apply({
      type: 'moveItem',
      itemId: 'curl',
      segmentId: 'segment-3',
      index: 99,
    });
    expect(idsOf(moved)).toEqual([['pause', 'breathe'], ['twist'], ['final-rest', 'curl']]);
    expect(itemsOf(moved)).toHaveLength(itemsOf(plan).length);
  });

  it('takes a field away when it is set to nothing', () => {
    const { plan: changed } = apply({ type: 'setOptions', itemId: 'curl' });
    expect(itemsOf(changed)[2]).not.toHaveProperty('options');
  });

  it.each<[Edit, string, string]>([
    [{ type: 'removeItem', itemId: 'nobody' }, 'no-item', 'nobody'],
    [{ type: 'moveItem', itemId: 'curl', segmentId: 'nowhere', index: 0 }, 'no-segment', 'nowhere'],
    [{ type: 'setRest', itemId: 'pause', restS: 5 }, 'wrong-kind', 'pause'],
    [{ type: 'setPause', itemId: 'curl', label: 'Water', durationS: 30 }, 'wrong-kind', 'curl'],
    [
      { type: 'addItem', segmentId: 'segment-1', index: 0, item: newItem('twist') },
      'id-taken',
      'twist',
    ],
    [{ type: 'removeSegment', segmentId: 'nowhere' }, 'no-segment', 'nowhere'],
  ])('refuses %j with code %s', (edit, code, id) => {
    expect(applyEdit(plan, edit)).toEqual({ ok: false, reason: { code, id } });
  });

  it('makes all of several edits or none', () => {
    const result = applyEdit(plan, {
      type: 'together',
      edits: [
        { type: 'removeItem', itemId: 'curl' },
        { type: 'removeItem', itemId: 'curl' },
      ],
    });
    expect(result).toEqual({ ok: false, reason: { code: 'no-item', id: 'curl' } });
    expect(itemsOf(plan).some(({ id }) => id === 'curl')).toBe(true);
  });
});
