import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import { checkPlan, Plan, SCHOOL_IDS } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { reviewOrder } from '@wrenfern/core/review/review';
import { builtInCatalogue, builtInExercises } from './index.ts';

const slugs = builtInExercises.map(({ slug }) => slug);

const anyPlan = () =>
  fc
    .tuple(
      fc.array(
        fc.record({
          exercise: fc.constantFrom(...slugs),
          sides: fc.constantFrom(
            undefined,
            undefined,
            undefined,
            'left' as const,
            'right' as const,
          ),
        }),
        { minLength: 1, maxLength: 24 },
      ),
      fc.integer({ min: 1, max: 3 }),
      fc.constantFrom(900, 1800, 3300),
      fc.constantFrom(...SCHOOL_IDS),
      fc.constantFrom('mat', 'mat', 'reformer'),
    )
    .map(([entries, parts, targetS, school, machine]) => {
      const size = Math.ceil(entries.length / parts);
      const items = entries.map(({ exercise, sides }, index) => ({
        kind: 'exercise',
        id: `item-${index}`,
        exercise,
        ...(sides ? { dose: { kind: 'repetitions', count: 6, sides } } : {}),
      }));
      return Plan.parse({
        format: 'wrenfern-plan/2',
        title: 'Generated',
        targetS,
        school,
        machine,
        segments: Array.from({ length: parts }, (_, index) => ({
          id: `part-${index}`,
          name: `Part ${index}`,
          items: items.slice(index * size, (index + 1) * size),
        })),
      });
    });

const retime = (plan: Plan) => timePlan(plan, builtInCatalogue);

const review = (plan: Plan) =>
  reviewOrder({ plan, catalogue: builtInCatalogue, timeline: retime(plan), retime });

describe('every repair offered on generated plans', () => {
  it('applies, leaves a valid plan, and truly clears its finding', () => {
    let applied = 0;
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        for (const finding of review(plan)) {
          for (const repair of finding.repairs()) {
            const result = applyEdit(plan, repair.edit);
            if (!result.ok) throw new Error(`${repair.label}: ${result.reason.code}`);
            expect(Plan.safeParse(result.plan).success).toBe(true);
            expect(checkPlan(result.plan, builtInCatalogue)).toEqual([]);
            const left = review(result.plan).filter(({ rule }) => rule === finding.rule);
            expect(left.map(({ key }) => key)).not.toContain(finding.key);
            applied += 1;
          }
        }
      }),
      { numRuns: 60, seed: 20261125 },
    );
    expect(applied).toBeGreaterThan(100);
  });

  it('exists for every finding of the order rules', () => {
    let findings = 0;
    let mendable = 0;
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        for (const finding of review(plan)) {
          findings += 1;
          if (finding.repairs().length > 0) mendable += 1;
        }
      }),
      { numRuns: 60, seed: 42 },
    );
    expect(findings).toBeGreaterThan(300);
    expect(mendable).toBe(findings);
  });
});

describe('analyse', () => {
  it('never fails on a plan that fits the catalogue', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        const analysis = analyse(plan, builtInCatalogue, {
          attendees: [],
          cupboard: {},
          day: '2026-11-25',
        });
        expect(analysis.timeline.totalS).toBeGreaterThan(0);
        for (const finding of analysis.findings) {
          expect(finding.sentence).not.toMatch(/undefined|NaN/);
          expect(finding.why).not.toBe('');
        }
      }),
      { numRuns: 60, seed: 1 },
    );
  });
});
