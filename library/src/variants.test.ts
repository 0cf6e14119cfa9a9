import { describe, expect, it } from 'vitest';
import { builtInCatalogue as catalogue } from './index.ts';
import { planFromNotes } from '@wrenfern/core/formats/plan-from-notes';
import { writeMarkdown } from '@wrenfern/core/formats/plan-markdown';
import { readNotes } from '@wrenfern/core/formats/read-notes';
import { chooseOptions } from '@wrenfern/core/people/choose-options';
import { Person } from '@wrenfern/core/people/person';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import { checkPlan, Plan, type ExerciseItem } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { describeItemDose } from '@wrenfern/core/plan/variants';

const times = (count: number, sides: 'none' | 'each' = 'none') =>
  ({ kind: 'repetitions', count, sets: 1, sides, directions: 1 }) as const;

function planOf(item: Partial<ExerciseItem> & { exercise: string }): Plan {
  return Plan.parse({
    format: 'wrenfern-plan/2',
    title: 'Feet',
    machine: 'reformer',
    targetS: 600,
    segments: [{ id: 's', name: 'Feet', items: [{ kind: 'exercise', id: 'feet', ...item }] }],
  });
}

const FEET = planOf({
  exercise: 'footwork',
  variants: [
    { option: 1, dose: times(10) },
    { option: 2, dose: times(12) },
    { option: 4, dose: times(8, 'each') },
  ],
  teaching: 'none',
});

const item = (plan: Plan) => plan.segments[0]?.items[0] as ExerciseItem;

describe('an item of variants', () => {
  const [timed] = timePlan(FEET, catalogue).items;

  it('is laid out one after another, each with its own count', () => {
    const work = timed?.parts.filter(({ kind }) => kind === 'work') ?? [];
    expect(work.map(({ variant, count, side }) => [variant, count, side])).toEqual([
      [1, 10, undefined],
      [2, 12, undefined],
      [4, 8, 'left'],
      [4, 8, 'right'],
    ]);
  });

  it('takes as long as its variants by themselves and the ways between them', () => {
    const alone = [1, 2, 4].map((option, index) => {
      const dose = [times(10), times(12), times(8, 'each')][index];
      const plan = planOf({ exercise: 'footwork', options: [option], dose, teaching: 'none' });
      const parts = timePlan(plan, catalogue).items[0]?.parts ?? [];
      return parts
        .filter(({ kind }) => kind === 'work' || kind === 'side-change')
        .reduce((sum, { durationS }) => sum + durationS, 0);
    });
    const whole = timed?.durationS ?? 0;
    const setUp = timed?.parts[0]?.kind === 'set-up' ? timed.parts[0].durationS : 0;
    // From one place of the feet to the next: three seconds. Common practice.
    expect(whole - setUp).toBe(alone.reduce((sum, each) => sum + each, 0) + 2 * 3);
    const change = timed?.parts.find(({ reason }) => reason.startsWith('to Toes'));
    expect(change?.reason).toBe('to Toes, parallel 3 s');
  });

  it('counts what is changed on the machine between two of them', () => {
    const plan = planOf({
      exercise: 'long-box-pulling-straps',
      variants: [{ option: 1 }, { option: 2 }],
    });
    const reasons = timePlan(plan, catalogue).items[0]?.parts.map(({ reason }) => reason) ?? [];
    expect(reasons.some((each) => /^to T 3 s; springs to one light \d+ s$/.test(each))).toBe(true);
  });

  it('is told with each count', () => {
    const exercise = catalogue.require('footwork');
    expect(describeItemDose(item(FEET), exercise, rulesOf('foundations-first'))).toBe(
      'heels, parallel 10 times · toes, parallel 12 times · one leg 8 each side',
    );
  });

  it('is done by everybody, whatever their level, as far as nothing stands against it', () => {
    const person = (id: string, caution?: 'shoulder') =>
      Person.parse({
        id,
        name: id,
        level: 1,
        cautions: caution ? [{ caution }] : [],
      });
    const arms = planOf({
      exercise: 'arms-seated-box',
      variants: [1, 2].map((option) => ({ option })),
    });
    const group = [{ person: person('one') }, { person: person('two', 'shoulder') }];
    const { choices } = chooseOptions(arms, group, catalogue, '2026-11-28');
    const [one, two] = ['one', 'two'].map((id) => choices.get(id)?.get('feet'));
    expect(one).toMatchObject({ kind: 'option', option: 2, reasons: [{ code: 'variants' }] });
    expect(two).toMatchObject({ kind: 'option', option: 2, how: { aids: ['elbow-bent'] } });
    expect(two?.reasons.map(({ code }) => code)).toEqual(['asks', 'support', 'variants', 'again']);
  });

  it('goes out as Markdown and comes back equal', () => {
    const text = writeMarkdown(FEET, catalogue);
    expect(text).toContain('  - variants 1: 10 times; 2: 12 times; 4: 8 times each side');
    const back = planFromNotes(readNotes(text, catalogue), new Map(), catalogue, FEET);
    expect(item(back).variants).toEqual(item(FEET).variants);
  });

  it('is made and undone by a named edit', () => {
    const plain = planOf({ exercise: 'footwork' });
    const made = applyEdit(plain, {
      type: 'setVariants',
      itemId: 'feet',
      variants: item(FEET).variants,
    });
    if (!made.ok) throw new Error('refused');
    expect(item(made.plan).variants).toHaveLength(3);
    const undone = applyEdit(made.plan, made.inverse);
    expect(undone.ok && undone.plan).toEqual(plain);
  });

  it('names a variant that the exercise does not have', () => {
    const plan = planOf({ exercise: 'calf-raise', variants: [{ option: 1 }, { option: 3 }] });
    expect(checkPlan(plan, catalogue)).toEqual([
      {
        path: ['segments', 0, 'items', 0, 'variants', 1, 'option'],
        message: 'Calf raise on the bar has 2 options, no number 3',
      },
    ]);
  });
});
