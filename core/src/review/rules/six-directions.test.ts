import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue();
const of = (plan: Plan) => findingsOf('six-directions', plan, catalogue);

describe('six-directions', () => {
  it('tells left and right of one move together', () => {
    const findings = of(makePlan([['breathe', 'tilt', 'twist']]));
    expect(findings.map(({ sentence }) => sentence)).toContain(
      'Side-bending left and side-bending right are missing; 4 of six directions are met.',
    );
  });

  it('adds what is missing in the position the class is in', () => {
    const plan = makePlan([['breathe', 'tilt', 'curl'], ['lift', 'twist'], ['hug']]);
    const finding = of(plan).find(({ key }) => key.startsWith('missing'));
    expect(finding?.repairs()[0]?.label).toBe('Add side reach');
    expect(finding?.repairs()[0]?.edit).toMatchObject({
      type: 'addItem',
      segmentId: 'segment-2',
      index: 2,
    });
  });

  it('tells all that is missing as one, and asks nothing of a short class or of timed sets', () => {
    const plan = makePlan([['breathe', 'tilt']]);
    expect(of(plan)).toHaveLength(1);
    expect(of({ ...plan, targetS: 1100 })).toEqual([]);
    expect(of({ ...plan, school: 'timed-sets' })).toEqual([]);
  });

  it('names the direction that takes over three quarters, and the one with least', () => {
    const plan = makePlan([
      ['breathe', ...Array.from({ length: 14 }, () => 'curl'), 'lift', 'twist', 'side-reach'],
    ]);
    const finding = of(plan).find(({ key }) => key.startsWith('too much'));
    expect(finding?.sentence).toMatch(/^Rounding takes \d\d % of the directed time/);
  });
});
