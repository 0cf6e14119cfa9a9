import { describe, expect, it } from 'vitest';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { ruleContext } from './rule-context.ts';
import { timeFindings } from './time-findings.ts';

const catalogue = makeCatalogue();
const repairs = () => [{ label: 'a cut', edit: { type: 'together' as const, edits: [] } }];

const PARTS = [['breathe', 'tilt', 'curl', 'curl', 'curl', 'curl'], ['final-rest']];

function findingsOf(targetS: number, parts = PARTS) {
  const plan = makePlan(parts, { targetS });
  const timeline = timePlan(plan, catalogue);
  return timeFindings(ruleContext({ plan, catalogue, timeline }), repairs);
}

describe('timeFindings', () => {
  const { totalS } = timePlan(makePlan(PARTS), catalogue);

  const { lowS, highS } = timePlan(makePlan(PARTS), catalogue).likely;

  it('is quiet inside the likely range', () => {
    for (const targetS of [lowS, totalS, highS]) expect(findingsOf(targetS)).toEqual([]);
  });

  it('tells how much is left, and how much it is over, with what would mend it', () => {
    const [under] = findingsOf(highS + 1);
    expect(under?.sentence).toMatch(/^\d:\d\d left of \d+:\d\d \(likely /);
    const [over] = findingsOf(lowS - 1);
    expect(over?.sentence).toMatch(/^\d:\d\d over \d+:\d\d \(likely /);
    expect(over?.repairs()).toEqual(repairs());
  });

  it('says nothing of an empty class', () => {
    expect(findingsOf(1800, [[]])).toEqual([]);
  });
});
