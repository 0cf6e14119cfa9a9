import { describe, expect, it } from 'vitest';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { exerciseItemsOf } from '../plan/plan.ts';
import { fitTime } from './fit-time.ts';

const catalogue = makeCatalogue();
const context = { catalogue, attendees: [], day: '2026-11-25', timing: {} };
const slugs = ['breathe', 'tilt', 'curl', 'lift', 'twist', 'side-reach', 'leg-lift'];
const usual = timePlan(makePlan([slugs]), catalogue).totalS;

describe('fitTime', () => {
  it.each([0.85, 0.95, 1, 1.1, 1.2])('brings a class to %f of its usual length', (share) => {
    const plan = makePlan([slugs], { targetS: Math.round(usual * share) });
    const fitted = fitTime(plan, context, 20);
    expect(Math.abs(timePlan(fitted, catalogue).overS)).toBeLessThanOrEqual(20);
  });

  it('goes no further than what is usual', () => {
    for (const targetS of [300, 3600]) {
      const fitted = fitTime(makePlan([slugs], { targetS }), context, 20);
      for (const { exercise, dose } of exerciseItemsOf(fitted)) {
        if (dose?.kind !== 'repetitions' && dose?.kind !== 'breaths') continue;
        const { least, most } = catalogue.require(exercise).usual;
        expect(dose.count).toBeGreaterThanOrEqual(least);
        expect(dose.count).toBeLessThanOrEqual(most);
      }
    }
  });

  it('leaves a class that fits as it is', () => {
    const plan = makePlan([slugs], { targetS: usual });
    expect(fitTime(plan, context, 20)).toEqual(plan);
  });
});
