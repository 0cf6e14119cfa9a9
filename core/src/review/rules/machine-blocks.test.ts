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
  machine('kneel', { springs: { medium: 1 }, bar: 'off', loops: 'short' }),
  machine('scoot', { springs: { heavy: 1 }, bar: 'middle', loops: 'none' }),
  machine('stretch', { springs: { medium: 1 }, bar: 'middle', loops: 'none' }),
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

  it('changes no springs for one exercise alone', () => {
    const alone = (slugs: string[]) => of(slugs).filter(({ key }) => key.startsWith('one'));
    expect(alone(['press', 'press-too', 'pull'])).toEqual([]);
    // Loops and bar stay otherwise behind it: the machine would be set anew all the same.
    expect(alone(['kneel', 'scoot', 'stretch'])).toEqual([]);
    expect(alone(['press', 'press-too', 'press'])[0]?.sentence).toBe(
      'Springs are changed for press too alone, and changed back behind it.',
    );
  });

  it('sets the machine anew three times in ten minutes at most: common practice', () => {
    const many = (slugs: string[]) => of(slugs).filter(({ key }) => key === 'many');
    expect(many(['press', 'press', 'press-too', 'press-too'])).toEqual([]);
    const [finding] = many(['press', 'press-too', 'pull', 'press', 'press-too', 'pull']);
    expect(finding?.sentence).toMatch(/^The machine is set anew 5 times; \d are the most for \d+ /);
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
