import { describe, expect, it } from 'vitest';
import { MACHINES } from '../movement/vocabulary.ts';
import { emptyPlan, notOn } from './empty-plan.ts';
import { Plan } from './plan.ts';

describe('an empty class', () => {
  it.each(MACHINES)('on the %s is a plan that can be saved, with parts to fill', (machine) => {
    const plan = emptyPlan({ title: 'New', machine, school: 'graded-load', targetS: 3000 });
    expect(Plan.parse(plan)).toEqual(plan);
    expect(plan.machine).toBe(machine);
    expect(plan.segments.at(0)?.name).toBe('Arrive');
    expect(plan.segments.length).toBeGreaterThan(2);
  });
});

describe('changing the machine', () => {
  it('names what is not there, each once', () => {
    const exercises = [
      { slug: 'curl', name: 'Curl', machine: 'mat' },
      { slug: 'curl', name: 'Curl', machine: 'mat' },
      { slug: 'press', name: 'Press', machine: 'reformer' },
    ] as const;
    expect(notOn('reformer', exercises)).toEqual(['Curl']);
    expect(notOn('mat', exercises)).toEqual(['Press']);
  });
});
