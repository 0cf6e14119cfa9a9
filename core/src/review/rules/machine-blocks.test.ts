import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

type Settings = NonNullable<Parameters<typeof makeExercise>[1]>['options'];
const machine = (slug: string, settings: object) =>
  makeExercise(slug, { machine: 'reformer', options: [{ settings }, { settings }] as Settings });
const catalogue = makeCatalogue([
  machine('press', { springs: { heavy: 3 }, box: 'none' }),
  machine('press-too', { springs: { heavy: 2, light: 1 }, box: 'none' }),
  machine('pull', { springs: { light: 1 }, box: 'long' }),
  machine('pull-too', { springs: { light: 1 }, box: 'long' }),
]);
const on = (slugs: string[]) => makePlan([slugs], { machine: 'reformer' });
const of = (slugs: string[]) => findingsOf('machine-blocks', on(slugs), catalogue);

describe('machine-blocks', () => {
  it('puts the box on once', () => {
    const boxes = (slugs: string[]) => of(slugs).filter(({ key }) => key.startsWith('box'));
    expect(boxes(['press', 'pull', 'pull-too'])).toEqual([]);
    expect(boxes(['pull', 'press', 'pull-too'])[0]?.sentence).toBe(
      'The long box comes back for pull too: 25 s on, 25 s off.',
    );
  });

  it('changes springs by one step', () => {
    const springs = (slugs: string[]) => of(slugs).filter(({ key }) => key.startsWith('springs'));
    expect(springs(['press', 'press-too', 'pull'])).toEqual([]);
    expect(springs(['press', 'pull'])[0]?.sentence).toBe(
      'From press to pull 4 springs are changed.',
    );
  });

  it('is not asked on the mat', () => {
    expect(findingsOf('machine-blocks', makePlan([['pull', 'press', 'pull']]), catalogue)).toEqual(
      [],
    );
  });

  it('brings the box work together', () => {
    const plan = on(['pull', 'press', 'pull-too']);
    const finding = findingsOf('machine-blocks', plan, catalogue).find(({ key }) =>
      key.startsWith('box'),
    );
    const after = repaired(plan, finding, /^Move pull too after pull$/);
    expect(
      findingsOf('machine-blocks', after, catalogue).some(({ key }) => key.startsWith('box')),
    ).toBe(false);
  });
});
