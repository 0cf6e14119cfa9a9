import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { copyOf, makePlan } from '../testing/make-plan.ts';
import { checkPlan, itemsOf, offeredOptions, placeOf, Plan } from './plan.ts';
import { SCHOOLS } from './schools.ts';
import { doseOf, shownOption } from './usual.ts';

const catalogue = makeCatalogue();
const valid = makePlan([['breathe', 'curl'], ['final-rest']]);

const issuesOf = (document: unknown) =>
  (Plan.safeParse(document).error?.issues ?? []).map(({ path, message }) => ({
    at: path.join('.'),
    message,
  }));

describe('Plan', () => {
  it('reads back what it wrote', () => {
    expect(Plan.parse(JSON.parse(JSON.stringify(valid)))).toEqual(valid);
  });

  it('wants its own format', () => {
    expect(issuesOf({ ...valid, format: 'another/1' })[0]?.at).toBe('format');
  });

  it('wants a length between a minute and 3 hours', () => {
    expect(issuesOf({ ...valid, targetS: 59 })[0]?.at).toBe('targetS');
    expect(issuesOf({ ...valid, targetS: 20_000 })[0]?.at).toBe('targetS');
  });

  it('names the item whose id is used twice', () => {
    const plan = copyOf(valid);
    const second = plan.segments[1]?.items[0];
    if (second) second.id = 'breathe';
    expect(issuesOf(plan)).toEqual([
      { at: 'segments.1.items.0.id', message: 'the id "breathe" is used twice' },
    ]);
  });

  it('names a negative dose by its place', () => {
    const plan = makePlan([['curl']]) as unknown as {
      segments: { items: Record<string, unknown>[] }[];
    };
    const [item] = plan.segments[0]?.items ?? [];
    if (item) item.dose = { kind: 'repetitions', count: -8 };
    expect(issuesOf(plan)[0]?.at).toBe('segments.0.items.0.dose.count');
  });

  it('refuses fields it does not know, so that nothing is silently lost', () => {
    expect(Plan.safeParse({ ...valid, colour: 'green' }).success).toBe(false);
  });

  it('keeps a title of 120 letters and refuses one more', () => {
    expect(Plan.safeParse({ ...valid, title: 'é'.repeat(120) }).success).toBe(true);
    expect(Plan.safeParse({ ...valid, title: 'é'.repeat(121) }).success).toBe(false);
    expect(Plan.safeParse({ ...valid, title: '   ' }).success).toBe(false);
  });
});

describe('checkPlan', () => {
  it('finds nothing wrong with a plan of known exercises', () => {
    expect(checkPlan(valid, catalogue)).toEqual([]);
  });

  it('names an unknown slug and where it stands', () => {
    const plan = makePlan([['breathe'], ['moon-walk']]);
    expect(checkPlan(plan, catalogue)).toEqual([
      {
        path: ['segments', 1, 'items', 0, 'exercise'],
        message: 'no exercise is called "moon-walk"',
      },
    ]);
  });

  it('names an option that the exercise does not have', () => {
    const plan = makePlan([[['curl', { options: [1, 4] }]]]);
    expect(checkPlan(plan, catalogue)[0]?.path).toEqual(['segments', 0, 'items', 0, 'options', 1]);
  });
});

describe('reading a plan', () => {
  it('lists items in running order and finds their places', () => {
    expect(itemsOf(valid).map(({ id }) => id)).toEqual(['breathe', 'curl', 'final-rest']);
    expect(placeOf(valid, 'curl')).toEqual({ segmentId: 'segment-1', index: 1 });
    expect(placeOf(valid, 'nobody')).toBeUndefined();
  });

  it('offers every option unless some are chosen, and sorts those', () => {
    const exercise = makeExercise('x', { options: [{}, {}, {}] });
    const [item] = makePlan([[['x', { options: [3, 1] }]]]).segments[0]?.items ?? [];
    if (item?.kind !== 'exercise') throw new Error('no item');
    expect(offeredOptions(item, exercise)).toEqual([1, 3]);
    const { options: _options, ...bare } = item;
    expect(offeredOptions(bare, exercise)).toEqual([1, 2, 3]);
  });

  it('takes the dose of the item, then of the option shown, then of the exercise', () => {
    const short = { kind: 'repetitions' as const, count: 3 };
    const exercise = makeExercise('x', { options: [{ dose: short }, {}] });
    const dosesOf = (extra: object) => {
      const [item] = makePlan([[['x', extra]]]).segments[0]?.items ?? [];
      if (item?.kind !== 'exercise') throw new Error('no item');
      return doseOf(item, exercise, SCHOOLS['foundations-first']);
    };
    expect(dosesOf({})).toMatchObject(short);
    expect(dosesOf({ options: [2] })).toMatchObject({ count: 8 });
    const own = { kind: 'repetitions', count: 5, sets: 1, sides: 'none', directions: 1 };
    expect(dosesOf({ dose: own })).toEqual(own);
  });

  it.each([
    [[1, 2, 3], 2],
    [[1, 3], 1],
    [[3], 3],
  ])('of %j on offer with standard 2, shows %i', (options, expected) => {
    const exercise = makeExercise('x', { options: [{}, {}, {}], standard: 2 });
    const [item] = makePlan([[['x', { options }]]]).segments[0]?.items ?? [];
    if (item?.kind !== 'exercise') throw new Error('no item');
    expect(shownOption(item, exercise, SCHOOLS['foundations-first'])).toBe(expected);
  });
});
