import { describe, expect, it } from 'vitest';
import { applyEdit } from '../../plan/apply-edit.ts';
import { itemsOf, type Plan } from '../../plan/plan.ts';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const of = (plan: Plan) => findingsOf('sides-together', plan, catalogue);

const oneSided = (slug: string, sides: 'left' | 'right', count = 8): [string, object] => [
  slug,
  { dose: { kind: 'repetitions', count, sets: 1, sides, directions: 1 } },
];

describe('sides-together', () => {
  it('is content with both sides in one item', () => {
    expect(of(makePlan([['leg-lift', 'twist']]))).toEqual([]);
  });

  it('is content with a left block followed by the same on the right', () => {
    const plan = makePlan([
      [
        oneSided('leg-lift', 'left'),
        oneSided('twist', 'left'),
        oneSided('leg-lift', 'right'),
        oneSided('twist', 'right'),
      ],
    ]);
    expect(of(plan)).toEqual([]);
  });

  it('sees a side that never comes', () => {
    const [finding] = of(makePlan([[oneSided('leg-lift', 'left'), 'curl']]));
    expect(finding?.sentence).toBe(
      'leg lift is done on the left, and the right side does not follow at once.',
    );
  });

  it('sees fewer repetitions on the second side', () => {
    const plan = makePlan([[oneSided('leg-lift', 'left', 8), oneSided('leg-lift', 'right', 6)]]);
    const [finding] = of(plan);
    expect(finding?.sentence).toBe(
      'The right side does leg lift 6 times, the left side leg lift 8 times.',
    );
    expect(finding?.repairs()).toHaveLength(2);
  });

  it('is content with a count or two fewer of many, and with seconds', () => {
    const sides = (left: number, right: number) =>
      of(makePlan([[oneSided('leg-lift', 'left', left), oneSided('leg-lift', 'right', right)]]));
    expect(sides(10, 9)).toEqual([]);
    expect(sides(10, 8)).toEqual([]);
    expect(sides(10, 7)).toHaveLength(1);
  });

  it('lets something soft stand between the sides', () => {
    const plan = makePlan([
      [oneSided('leg-lift', 'left'), 'hug', { pauseS: 20 }, oneSided('leg-lift', 'right')],
    ]);
    expect(of(plan)).toEqual([]);
  });

  it('is content with the same in reverse order on the second side', () => {
    const plan = makePlan([
      [
        oneSided('leg-lift', 'left'),
        oneSided('twist', 'left'),
        oneSided('twist', 'right'),
        oneSided('leg-lift', 'right'),
      ],
    ]);
    expect(of(plan)).toEqual([]);
  });

  it('sees something slipped in between the sides', () => {
    const plan = makePlan([[oneSided('leg-lift', 'left'), 'curl', oneSided('leg-lift', 'right')]]);
    expect(of(plan).length).toBeGreaterThan(0);
  });

  it('mirrors the whole block, in its order and dose', () => {
    const plan = makePlan([
      [oneSided('leg-lift', 'left', 6), oneSided('twist', 'left', 4), 'curl'],
    ]);
    const edit = of(plan)[0]
      ?.repairs()
      .find(({ label }) => label.startsWith('Add'))?.edit;
    if (!edit) throw new Error('no repair');
    const result = applyEdit(plan, edit);
    if (!result.ok) throw new Error(result.reason.code);
    const doses = itemsOf(result.plan).map((item) =>
      item.kind === 'exercise' && item.dose?.kind === 'repetitions'
        ? `${item.exercise} ${item.dose.count} ${item.dose.sides}`
        : item.id,
    );
    expect(doses).toEqual([
      'leg-lift 6 left',
      'twist 4 left',
      'leg-lift 6 right',
      'twist 4 right',
      'curl',
    ]);
  });
});
