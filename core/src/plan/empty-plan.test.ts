import { describe, expect, it } from 'vitest';
import { MACHINES } from '../movement/vocabulary.ts';
import { emptyPlan, notOn } from './empty-plan.ts';
import { Plan } from './plan.ts';
import { isMixed } from './tracks.ts';

describe('an empty class', () => {
  it.each(MACHINES)('on the %s is a plan that can be saved, with parts to fill', (machine) => {
    const plan = emptyPlan({ title: 'New', machine, school: 'graded-load', targetS: 3000 });
    expect(Plan.parse(plan)).toEqual(plan);
    expect(plan.machine).toBe(machine);
    expect(plan.segments.at(0)?.name).toBe('Arrive');
    expect(plan.segments.length).toBeGreaterThan(2);
  });
});

describe('an empty class of two groups', () => {
  it('has a half at each place between what all do together', () => {
    const wanted = { title: 'Both', machine: 'mat', school: 'classic', targetS: 3300 } as const;
    const plan = emptyPlan({ ...wanted, changeOver: { durationS: 150 } });
    expect(Plan.parse(plan)).toEqual(plan);
    expect(isMixed(plan)).toBe(true);
    expect(plan.segments.map(({ station }) => station)).toEqual([
      undefined,
      'reformer',
      'mat',
      undefined,
    ]);
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
