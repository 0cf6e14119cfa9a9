import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import { Plan } from '../plan/plan.ts';
import { makeExercise } from '../testing/make-exercise.ts';
import { addBehind, flatIds, headerId, nudge, placeNew, placeRow, rowId } from './arrange-rows.ts';

const plan = Plan.parse({
  format: 'wrenfern-plan/2',
  title: 'T',
  targetS: 1800,
  segments: [
    ['one', ['a', 'b']],
    ['two', []],
    ['three', ['c']],
  ].map(([id, items]) => ({
    id,
    name: id,
    items: (items as string[]).map((item) => ({ kind: 'exercise', id: item, exercise: 'plank' })),
  })),
});

const after = (edit: Edit | undefined, from: Plan = plan): string => {
  if (!edit) return 'nothing';
  const result = applyEdit(from, edit);
  if (!result.ok) return result.reason.code;
  return result.plan.segments.map(({ items }) => items.map(({ id }) => id).join(' ')).join(' | ');
};
const FAMILIES = { breathe: 'awareness', hug: 'release', clam: 'hips' } as const;
const exercise = (slug: keyof typeof FAMILIES) => makeExercise(slug, { family: FAMILIES[slug] });

describe('flatIds', () => {
  it('lists headers and rows top to bottom', () => {
    expect(flatIds(plan)).toEqual([
      'head:one',
      'row:a',
      'row:b',
      'head:two',
      'head:three',
      'row:c',
    ]);
  });
});

describe('placeRow', () => {
  it.each([
    ['a', rowId('b'), 'b a |  | c'],
    ['b', rowId('a'), 'b a |  | c'],
    ['a', headerId('two'), 'b | a | c'],
    ['a', rowId('c'), 'b |  | c a'],
    ['c', rowId('a'), 'c a b |  | '],
    ['c', headerId('two'), 'a b c |  | '],
    ['b', headerId('one'), 'b a |  | c'],
    ['a', rowId('a'), 'nothing'],
    ['a', 'row:nobody', 'nothing'],
  ])('%s on %s gives %s', (item, over, expected) => {
    expect(after(placeRow(plan, rowId(item), over))).toBe(expected);
  });

  it('lands where a plain list move would put it, for any pair', () => {
    const ids = flatIds(plan);
    fc.assert(
      fc.property(fc.constantFrom('a', 'b', 'c'), fc.nat({ max: ids.length - 1 }), (item, to) => {
        const over = ids[to] ?? '';
        const edit = placeRow(plan, rowId(item), over);
        if (!edit) return;
        const result = applyEdit(plan, edit);
        if (!result.ok) throw new Error(result.reason.code);
        const plain = ids.filter((id) => id !== rowId(item));
        plain.splice(to, 0, rowId(item));
        const rows = (list: string[]) => list.filter((id) => id.startsWith('row:'));
        expect(rows(flatIds(result.plan))).toEqual(rows(plain));
      }),
      { numRuns: 200, seed: 9 },
    );
  });
});

describe('placeNew', () => {
  it.each([
    [rowId('b'), 'a clam-1 b |  | c'],
    [headerId('one'), 'clam-1 a b |  | c'],
    [headerId('two'), 'a b | clam-1 | c'],
    [rowId('c'), 'a b |  | clam-1 c'],
    ['elsewhere', 'nothing'],
  ])('on %s gives %s', (over, expected) => {
    expect(after(placeNew(plan, exercise('clam'), over))).toBe(expected);
  });

  it('never gives an id that is taken', () => {
    const first = applyEdit(plan, placeNew(plan, exercise('clam'), rowId('a')) as Edit);
    if (!first.ok) throw new Error('not added');
    expect(after(placeNew(first.plan, exercise('clam'), rowId('c')), first.plan)).toBe(
      'clam-1 a b |  | clam-2 c',
    );
  });
});

describe('addBehind', () => {
  it('adds behind the chosen row', () => {
    expect(after(addBehind(plan, exercise('clam'), 'a'))).toBe('a clam-1 b |  | c');
  });

  it.each([
    ['breathe', 'a b breathe-1 |  | c'],
    ['clam', 'a b | clam-1 | c'],
    ['hug', 'a b |  | c hug-1'],
  ] as const)('with none chosen, puts %s where such things go', (slug, expected) => {
    expect(after(addBehind(plan, exercise(slug), undefined))).toBe(expected);
  });

  it('has nowhere to go in a plan without parts', () => {
    expect(addBehind({ ...plan, segments: [] }, exercise('clam'), undefined)).toBeUndefined();
  });
});

describe('nudge', () => {
  it.each([
    ['b', -1, 'b a |  | c'],
    ['a', 1, 'b a |  | c'],
    ['b', 1, 'a | b | c'],
    ['c', -1, 'a b | c | '],
    ['a', -1, 'nothing'],
    ['c', 1, 'nothing'],
  ] as const)('%s by %i gives %s', (item, by, expected) => {
    expect(after(nudge(plan, item, by))).toBe(expected);
  });

  it('goes through every place to the end and back', () => {
    let current = plan;
    for (const by of [1, 1, 1, 1, -1, -1, -1, -1] as const) {
      const edit = nudge(current, 'a', by);
      if (!edit) continue;
      const result = applyEdit(current, edit);
      if (!result.ok) throw new Error(result.reason.code);
      current = result.plan;
    }
    expect(current).toEqual(plan);
  });
});
