import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

type Settings = NonNullable<Parameters<typeof makeExercise>[1]>['options'];
const facing = (slug: string, way: string) =>
  makeExercise(slug, {
    machine: 'reformer',
    options: [{ settings: { facing: way } }, { settings: { facing: way } }] as Settings,
  });
const catalogue = makeCatalogue([
  makeExercise('face-down', { position: 'prone' }),
  facing('feet', 'feet to bar'),
  facing('head', 'head to bar'),
]);
const known = new Set(['lift', 'curl']);
const of = (slugs: string[]) =>
  findingsOf('face-the-room', makePlan([slugs]), catalogue, { familiar: known });

describe('face-the-room', () => {
  it('sees something new taught while everyone lies on the front', () => {
    expect(of(['lift', 'face-down'])[0]?.sentence).toContain('new to this group');
    expect(of(['face-down', 'lift'])).toHaveLength(1);
  });

  it('is content where it can be shown first, or is known', () => {
    expect(of(['curl', 'face-down'])).toEqual([]);
    expect(of(['lift', 'lift'])).toEqual([]);
  });

  it('puts a moment to watch before it', () => {
    const plan = makePlan([['lift', 'face-down']]);
    const [finding] = findingsOf('face-the-room', plan, catalogue, { familiar: known });
    const after = repaired(plan, finding, /^Pause after lift/);
    expect(findingsOf('face-the-room', after, catalogue, { familiar: known })).toEqual([]);
  });

  it('counts turns on a machine', () => {
    const turning = ['feet', 'head', 'feet', 'head', 'feet', 'head', 'feet', 'head', 'feet'];
    const plan = makePlan([turning], { machine: 'reformer' });
    expect(findingsOf('face-the-room', plan, catalogue)[0]?.sentence).toBe(
      'People turn round 8 times on the machine.',
    );
    const calm = makePlan([turning.slice(0, 8)], { machine: 'reformer' });
    expect(findingsOf('face-the-room', calm, catalogue)).toEqual([]);
  });
});
