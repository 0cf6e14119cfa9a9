import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { ruleContext } from './rule-context.ts';
import { timeFindings } from './time-findings.ts';

const catalogue = makeCatalogue();
const shared = { sides: 'none' as const, directions: 1 };
const plan = (targetS: number) =>
  makePlan(
    [
      ['breathe', 'tilt', 'curl', 'twist', 'leg-lift'],
      [['lift', { dose: { kind: 'repetitions', count: 6, sets: 3, ...shared } }]],
      ['final-rest'],
    ],
    { targetS },
  );
const inTime = (of: Plan, timeline = timePlan(of, catalogue)) =>
  timeFindings(ruleContext({ plan: of, catalogue, timeline }));
const findingsOf = (targetS: number) => inTime(plan(targetS));

describe('timeFindings', () => {
  const { totalS } = timePlan(plan(1800), catalogue);

  it('is quiet within a minute over and five minutes under', () => {
    expect(findingsOf(totalS)).toEqual([]);
    expect(findingsOf(totalS - 60)).toEqual([]);
    expect(findingsOf(totalS + 300)).toEqual([]);
  });

  it('tells how much is left', () => {
    expect(findingsOf(totalS + 400)[0]?.sentence).toMatch(/^6:40 left of/);
  });

  it('tells how much it is over, and offers cuts that save exactly what they say', () => {
    const over = totalS - 300;
    const [finding] = findingsOf(over);
    expect(finding?.sentence).toMatch(/^5:00 over/);
    expect(finding?.repairs().length).toBeGreaterThan(1);
    for (const { label, edit } of finding?.repairs() ?? []) {
      const result = applyEdit(plan(over), edit);
      if (!result.ok) throw new Error(result.reason.code);
      const [, minutes = '', seconds = ''] = /saves (\d+):(\d\d)/.exec(label) ?? [];
      const saved = totalS - timePlan(result.plan, catalogue).totalS;
      expect(saved).toBe(Number(minutes) * 60 + Number(seconds));
    }
  });

  it('never cuts the release, nor below the usual least', () => {
    const [finding] = findingsOf(600);
    const labels =
      finding
        ?.repairs()
        .map(({ label }) => label)
        .join(' ') ?? '';
    expect(labels).not.toContain('final rest');
    const bare = makePlan(
      [[['curl', { dose: { kind: 'repetitions', count: 4, sets: 1, ...shared } }]]],
      {
        targetS: 300,
      },
    );
    const long = { ...timePlan(bare, catalogue), overS: 400 };
    expect(inTime(bare, long)[0]?.repairs()).toEqual([]);
  });

  it('says nothing of an empty class', () => {
    const empty = makePlan([[]]);
    expect(inTime(empty)).toEqual([]);
  });
});
