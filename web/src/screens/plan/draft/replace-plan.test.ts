import { describe, expect, it } from 'vitest';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import { Plan } from '@wrenfern/core/plan/plan';
import { replacePlan } from './replace-plan.ts';

const planOf = (title: string, slugs: string[], change: object = {}) =>
  Plan.parse({
    format: 'wrenfern-plan/2',
    title,
    targetS: 1800,
    segments: [
      {
        id: 'build',
        name: 'Build',
        items: slugs.map((exercise) => ({ kind: 'exercise', id: exercise, exercise })),
      },
    ],
    ...change,
  });

describe('replacePlan', () => {
  const now = planOf('Evening', ['plank', 'clam'], { note: 'Bring cushions.' });
  const drafted = planOf('A new class', ['plank', 'saw'], { targetS: 2400, school: 'timed-sets' });

  it('takes parts, school and length, keeps title and note, though ids are the same', () => {
    const result = applyEdit(now, replacePlan(now, drafted));
    if (!result.ok) throw new Error(result.reason.code);
    expect(result.plan).toEqual({ ...drafted, title: 'Evening', note: 'Bring cushions.' });
  });

  it('takes series, what stands on purpose and how it is led, and leaves none of before', () => {
    const inOne = (id: string, extra: object) =>
      planOf('Sides', ['clam'], {
        brackets: [{ kind: 'series', id, first: 'left' }],
        setAside: [{ rule: 'counter', key: id, reason: 'Wanted so' }],
        ...extra,
      });
    const [old, fresh] = [inOne('one', {}), inOne('two', { style: 'slow' })];
    const result = applyEdit(old, replacePlan(old, fresh));
    if (!result.ok) throw new Error(result.reason.code);
    expect(result.plan).toEqual(fresh);
    const back = applyEdit(result.plan, result.inverse);
    expect(back.ok && back.plan).toEqual(old);
  });

  it('is undone as one', () => {
    const result = applyEdit(now, replacePlan(now, drafted));
    if (!result.ok) throw new Error(result.reason.code);
    const back = applyEdit(result.plan, result.inverse);
    expect(back.ok && back.plan).toEqual(now);
  });
});
