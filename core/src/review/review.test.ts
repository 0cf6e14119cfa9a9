import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Plan } from '../plan/plan.ts';
import { SCHOOL_IDS } from '../plan/plan.ts';
import { standingOf } from '../plan/school.ts';
import { SCHOOLS } from '../plan/schools.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { reviewPlan } from '../testing/review-plan.ts';
import { RULES } from './rules.ts';

const catalogue = makeCatalogue();
const review = (plan: Plan) => reviewPlan(plan, catalogue);
const of = (plan: Plan, rule: string) => review(plan).filter((finding) => finding.rule === rule);

/** A class that every rule is content with. */
const sound = makePlan([
  ['breathe', 'tilt', 'brace', 'leg-lift'],
  ['twist', 'side-reach', 'curl', 'lift'],
  ['hug', 'final-rest', 'return-to-sitting'],
]);

const oneSided = (slug: string, sides: 'left' | 'right', count = 8): [string, object] => [
  slug,
  { dose: { kind: 'repetitions', count, sets: 1, sides, directions: 1 } },
];

describe('reviewOrder', () => {
  it('has nothing to say about a sound class', () => expect(review(sound)).toEqual([]));
  it('has nothing to say about an empty one', () => expect(review(makePlan([[], []]))).toEqual([]));
  it('has nothing to say about pauses alone', () =>
    expect(review(makePlan([[{ pauseS: 60 }]]))).toEqual([]));

  it('holds rules of different names, each with a statement and a reason', () => {
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    expect(new Set(RULES.map(({ name }) => name)).size).toBe(RULES.length);
    for (const { statement, why } of RULES) {
      expect(statement).toMatch(/\.$/);
      expect(why).toMatch(/\.$/);
    }
  });

  it('holds every rule that a school speaks of, and each is asked for by some school', () => {
    const ids = RULES.map(({ id }) => id);
    for (const id of SCHOOL_IDS) {
      expect(ids).toEqual(expect.arrayContaining(Object.keys(SCHOOLS[id].rules)));
    }
    const schoolsWith = (wanted: string) =>
      SCHOOL_IDS.filter((id) =>
        RULES.some((rule) => rule.id === wanted && standingOf(SCHOOLS[id], rule) === 'must'),
      );
    // The published order is the classic school's; sides belong together everywhere: common practice.
    expect(schoolsWith('classic-order')).toEqual(['classic']);
    expect(schoolsWith('sides-together')).toEqual(SCHOOL_IDS);
    for (const rule of RULES) {
      expect(SCHOOL_IDS.some((id) => standingOf(SCHOOLS[id], rule) !== 'off')).toBe(true);
    }
  });

  it.each([
    ['short class', makePlan([['curl', 'roll-back']])],
    ['loaded at once', makePlan([['breathe', 'fold'], ['final-rest']])],
    ['one side only', makePlan([['breathe', oneSided('leg-lift', 'left')], ['final-rest']])],
    ['rounding only', makePlan([['breathe', 'curl', 'roll-back'], ['hug']])],
    ['rest before stretch', makePlan([['breathe'], ['final-rest', 'hug']])],
  ])('offers only repairs that clear their finding: %s', (_name, plan) => {
    const findings = review(plan);
    expect(findings.length).toBeGreaterThan(0);
    for (const finding of findings) {
      expect(finding.repairs().length).toBeGreaterThan(0);
      for (const { edit } of finding.repairs()) {
        const result = applyEdit(plan, edit);
        if (!result.ok) throw new Error(result.reason.code);
        const left = of(result.plan, finding.rule).map(({ key }) => key);
        expect(left).not.toContain(finding.key);
      }
    }
  });
});
