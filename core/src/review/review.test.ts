import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import { RULE_IDS } from '../plan/school.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { reviewPlan } from '../testing/review-plan.ts';
import { RULES } from './review.ts';

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

  it('holds every rule that a school can speak of, each with a statement and a reason', () => {
    expect(RULES.map(({ id }) => id)).toEqual(RULE_IDS);
    for (const { statement, why } of RULES) {
      expect(statement).toMatch(/\.$/);
      expect(why).toMatch(/\.$/);
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
