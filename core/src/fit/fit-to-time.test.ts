import { describe, expect, it } from 'vitest';
import { analyse, fitClass } from '../analyse.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { inOneGo } from './fit-to-time.ts';

const catalogue = makeCatalogue();
const context = { attendees: [], cupboard: {}, day: '2026-11-29' };
const plan = makePlan([
  [{ pauseS: 120 }, 'breathe', 'tilt', 'curl', ['twist', { restS: 30 }]],
  ['side-reach', 'leg-lift', 'roll-back', 'lift', 'hug'],
  ['final-rest', 'return-to-sitting'],
]);
const totalOf = (of: Plan) => timePlan(of, catalogue).totalS;
const fit = (of: Plan, byS: number) => fitClass(of, catalogue, context, totalOf(of) + byS);

function after(of: Plan, edits: Parameters<typeof inOneGo>[0]): Plan {
  const result = applyEdit(of, inOneGo(edits));
  if (!result.ok) throw new Error(result.reason.code);
  return result.plan;
}

describe('fitToTime', () => {
  it.each([-240, -120, -60, 60, 120, 240])('comes within half a minute of %i s', (byS) => {
    const { together, toS, targetS } = fit(plan, byS);
    expect(Math.abs(toS - targetS)).toBeLessThanOrEqual(30);
    expect(totalOf(after(plan, together))).toBe(toS);
  });

  it('says of each what it does by itself', () => {
    for (const byS of [-200, 200]) {
      for (const edit of fit(plan, byS).ranked) {
        expect(totalOf(after(plan, [edit])) - totalOf(plan)).toBe(edit.seconds);
        expect(Math.sign(edit.seconds)).toBe(Math.sign(byS));
        expect(edit.why).not.toBe('');
      }
    }
  });

  it('offers a round more or less, between two and four', () => {
    const inRounds = (times: number): Plan => ({
      ...makePlan([
        ['breathe', ['curl', { bracket: 'turns' }], ['lift', { bracket: 'turns' }]],
        ['final-rest'],
      ]),
      brackets: [{ kind: 'rounds', id: 'turns', times }],
    });
    const offered = (times: number, byS: number) =>
      fit(inRounds(times), byS).ranked.flatMap(({ edit, label }) =>
        edit.type === 'setBracket' ? [label] : [],
      );
    expect(offered(3, -100)).toEqual(['curl and lift: 2 rounds in place of 3']);
    expect(offered(3, 100)).toEqual(['curl and lift: 4 rounds in place of 3']);
    expect(offered(2, -100)).toEqual([]);
    expect(offered(4, 100)).toEqual([]);
  });

  it('leaves a class alone that fits, and one that is empty', () => {
    expect(fit(plan, 10)).toMatchObject({ together: [], ranked: [] });
    expect(fitClass(makePlan([[]]), catalogue, context, 1800)).toMatchObject({ ranked: [] });
  });

  it('keeps the arrival and the close, and never goes below what is usual', () => {
    const cut = after(plan, fit(plan, -1000).together);
    const kept = cut.segments.flatMap(({ items }) => items.map(({ id }) => id));
    for (const id of ['breathe', 'final-rest', 'return-to-sitting']) expect(kept).toContain(id);
    for (const item of cut.segments.flatMap(({ items }) => items)) {
      if (item.kind === 'pause' || item.dose?.kind !== 'repetitions') continue;
      expect(item.dose.count).toBeGreaterThanOrEqual(catalogue.require(item.exercise).usual.least);
    }
  });

  it('does less to each the less is wanted', () => {
    const costOf = (byS: number) =>
      fit(plan, byS).together.reduce((sum, { cost }) => sum + cost, 0);
    expect(costOf(-60)).toBeLessThanOrEqual(costOf(-120));
    expect(costOf(-120)).toBeLessThanOrEqual(costOf(-240));
  });

  it('breaks no rule that must hold', () => {
    const binding = (of: Plan) =>
      analyse(of, catalogue, context)
        .findings.filter(({ binding: must, rule }) => must && rule !== 'fits-the-hour')
        .map(({ rule, key }) => `${rule} ${key}`);
    for (const byS of [-400, -200, 200]) {
      const before = new Set(binding(plan));
      for (const finding of binding(after(plan, fit(plan, byS).together))) {
        expect([byS, finding, before.has(finding)]).toEqual([byS, finding, true]);
      }
    }
  });
});
