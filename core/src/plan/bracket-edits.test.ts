import { describe, expect, it } from 'vitest';
import { makePlan } from '../testing/make-plan.ts';
import { bracketMates, dissolve, gather, gatherBehind } from './bracket-edits.ts';
import { applyEdit } from './apply-edit.ts';
import type { Edit } from './edits.ts';
import type { Plan } from './plan.ts';

const plan = makePlan([['tilt', 'clam', 'lift', 'reach'], ['rest']]);

function after(edit: Edit | undefined, of: Plan = plan): Plan {
  const result = edit && applyEdit(of, edit);
  if (!result?.ok) throw new Error('refused');
  const back = applyEdit(result.plan, result.inverse);
  expect(back.ok && back.plan).toEqual(of);
  return result.plan;
}
const runs = (of: Plan) =>
  of.segments.map(({ items }) =>
    items.map(({ id, bracket }) => (bracket ? `${id}*` : id)).join(' '),
  );
const side = { kind: 'series', id: 'side', first: 'left' } as const;

describe('gathering', () => {
  it('puts neighbours together, in whatever order they are named', () => {
    expect(runs(after(gather(plan, ['lift', 'clam'], side)))).toEqual([
      'tilt clam* lift* reach',
      'rest',
    ]);
  });

  it('is not to be had of what does not stand together, or in one part', () => {
    expect(gather(plan, ['tilt', 'lift'], side)).toBeUndefined();
    expect(gather(plan, ['reach', 'rest'], side)).toBeUndefined();
    expect(gather(plan, ['nobody'], side)).toBeUndefined();
  });

  it('goes on row by row', () => {
    const two = after(gatherBehind(plan, 'clam', 'series'));
    expect(two.brackets).toEqual([{ kind: 'series', id: 'series-1', first: 'right' }]);
    const three = after(gatherBehind(two, 'lift', 'series'), two);
    expect(runs(three)).toEqual(['tilt clam* lift* reach*', 'rest']);
    expect(three.brackets).toHaveLength(1);
    expect(gatherBehind(three, 'clam', 'series')).toBeUndefined();
    expect(gatherBehind(three, 'reach', 'series')).toBeUndefined();
  });

  it('joins what stands behind it', () => {
    const two = after(gatherBehind(plan, 'lift', 'rounds'));
    expect(runs(after(gatherBehind(two, 'clam', 'series'), two))).toEqual([
      'tilt clam* lift* reach*',
      'rest',
    ]);
  });
});

describe('taking apart', () => {
  it('leaves everything where it stands', () => {
    const together = after(gather(plan, ['clam', 'lift'], side));
    const apart = after(dissolve(together, 'side'), together);
    expect(apart).toEqual(plan);
    expect(bracketMates(apart, 'clam')).toBeUndefined();
    expect(bracketMates(together, 'clam')?.items.map(({ id }) => id)).toEqual(['clam', 'lift']);
  });
});
