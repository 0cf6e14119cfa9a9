import { describe, expect, it } from 'vitest';
import { USED_SECONDS } from '../../movement/dose.ts';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const of = (plan: Plan) => findingsOf('close-soft', plan, catalogue);

describe('close-soft', () => {
  it('wants a twentieth of the class at its end, and a minute', () => {
    const plan = makePlan([
      ['breathe', 'tilt', 'curl', 'twist', 'leg-lift'],
      ['hug', 'return-to-sitting'],
    ]);
    const long = makePlan([
      ['breathe', ...Array.from({ length: 12 }, () => 'curl')],
      ['return-to-sitting'],
    ]);
    expect(of(plan).some(({ key }) => key === 'short')).toBe(false);
    const [finding] = of(long).filter(({ key }) => key === 'short');
    expect(finding?.sentence).toMatch(/^The close is \d:\d\d of \d+:\d\d/);
  });

  it('makes the rest as long as people say, and never more than is no padding: common practice', () => {
    const rests = (work: number) => {
      const plan = makePlan([
        Array.from({ length: work }, () => 'curl'),
        ['final-rest', 'return-to-sitting'],
      ]);
      const [finding] = of(plan).filter(({ key }) => key === 'short');
      return (finding?.repairs() ?? []).flatMap(({ edit }) =>
        edit.type === 'setDose' && edit.dose?.kind === 'free' ? [edit.dose.durationS] : [],
      );
    };
    expect(rests(40).length + rests(70).length).toBeGreaterThan(0);
    for (const seconds of [...rests(40), ...rests(70)]) expect(USED_SECONDS).toContain(seconds);
  });

  it('wants to end sitting or standing', () => {
    const [finding] = of(makePlan([['breathe'], ['final-rest']]));
    expect(finding?.sentence).toContain('The class ends on the back');
    expect(finding?.repairs()[0]?.label).toBe('Add return to sitting');
  });

  it('wants work before rest, and lets a long reach follow it', () => {
    const work = Array.from({ length: 10 }, () => 'curl');
    const restFirst = (slugs: string[], behind: string[] = []) =>
      of(makePlan([work, slugs, behind])).find(({ key }) => key === 'rest-first');
    expect(restFirst(['final-rest', 'curl', 'return-to-sitting'])?.itemIds).toEqual([
      'final-rest',
      'curl-11',
    ]);
    expect(restFirst(['final-rest', 'hug', 'return-to-sitting'])).toBeUndefined();
    // With half a class behind it, it was a breather.
    expect(restFirst(['final-rest'], work)).toBeUndefined();
  });

  it('takes breath and a slow turn for soft', () => {
    const work = Array.from({ length: 10 }, () => 'curl');
    const ends = (slugs: string[]) =>
      of(makePlan([work, slugs])).some(({ key }) => key === 'short');
    expect(ends(['curl'])).toBe(true);
    expect(ends(['breathe'])).toBe(false);
    expect(ends(['twist', 'side-reach'])).toBe(false);
  });
});
