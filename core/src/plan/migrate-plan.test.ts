import { describe, expect, it } from 'vitest';
import { makePlan } from '../testing/make-plan.ts';
import { checkSteps, migratePlan, readSchool, StoredPlan, type PlanStep } from './migrate-plan.ts';
import { SchoolRules, standingOf } from './school.ts';
import { rulesOf, SCHOOLS } from './schools.ts';

const step = (name: string, from: number, to: number): PlanStep => ({
  name,
  from,
  to,
  change: (plan) => plan,
});

describe('the list of steps', () => {
  it.each<[string, PlanStep[], number]>([
    ['a gap', [step('a', 1, 2), step('b', 3, 4)], 4],
    ['two of one name', [step('a', 1, 1), step('a', 1, 2)], 2],
    ['a step over two versions', [step('a', 1, 3)], 3],
    ['a step back', [step('a', 1, 2), step('b', 2, 1)], 1],
    ['an end that is not today', [step('a', 1, 2)], 3],
  ])('is refused with %s', (_name, steps, current) => {
    expect(() => checkSteps(steps, current)).toThrow();
  });

  it('is taken when every version is reached in turn', () => {
    expect(() => checkSteps([step('a', 1, 1), step('b', 1, 2), step('c', 2, 2)], 2)).not.toThrow();
  });
});

/** As version 0.1 wrote them; these never change. */
const OLD = {
  format: 'wrenfern-plan/1',
  title: 'Backs on Monday',
  machine: 'mat',
  targetS: 1800,
  note: '',
  segments: [{ id: 'one', name: 'One', items: [{ kind: 'exercise', id: 'a', exercise: 'plank' }] }],
};

describe('an old plan', () => {
  it('is read as it is where nothing changed since', () => {
    const plan = makePlan([['breathe']]);
    expect(StoredPlan.parse(plan)).toEqual(plan);
    expect(migratePlan(plan)).toEqual(plan);
  });

  it('has what its own school lacks filled in, and keeps what the school says', () => {
    const { load: _load, ...weights } = SCHOOLS['graded-load'].weights;
    const school = {
      ...SCHOOLS['graded-load'],
      id: 'ours',
      rules: { counter: 'off', 'of-another-time': 'must' },
      weights,
    };
    const read = rulesOf(StoredPlan.parse({ ...OLD, school }).school);
    expect(standingOf(read, { id: 'water', usually: 'should' })).toBe('should');
    expect(standingOf(read, { id: 'counter', usually: 'should' })).toBe('off');
    expect(read.weights).toMatchObject({ load: 1, jump: 2 });
    expect(SchoolRules.safeParse(readSchool(school)).success).toBe(true);
  });

  it('has ids renamed that every object answers to', () => {
    const items = [
      { kind: 'exercise', id: '__proto__', exercise: 'plank' },
      { kind: 'exercise', id: 'constructor', exercise: 'clam' },
    ];
    const plan = StoredPlan.parse({ ...OLD, segments: [{ id: 'toString', name: 'One', items }] });
    const ids = plan.segments.flatMap(({ id, items: own }) => [id, ...own.map((item) => item.id)]);
    expect(new Set(ids).size).toBe(3);
    expect(ids.every((id) => !(id in Object.prototype))).toBe(true);
  });

  it.each([
    ['a newer version', { ...OLD, format: 'wrenfern-plan/3' }],
    ['something else', { ...OLD, format: 'other/1' }],
    ['no format', { title: 'x' }],
    ['a list', []],
    ['nothing', null],
  ])('is refused in words when it is of %s', (_name, stored) => {
    expect(StoredPlan.safeParse(stored).success).toBe(false);
  });
});
