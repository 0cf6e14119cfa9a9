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

  it('is quiet within a minute over and five minutes under', () => {
    expect(findingsOf(totalS)).toEqual([]);
    expect(findingsOf(totalS - 60)).toEqual([]);
    expect(findingsOf(totalS + 300)).toEqual([]);
  });

  it('tells how much is left, and how much it is over, with what would mend it', () => {
    expect(findingsOf(totalS + 400)[0]?.sentence).toMatch(/^6:40 left of/);
    const [over] = findingsOf(totalS - 90);
    expect(over?.sentence).toMatch(/^1:30 over/);
    expect(over?.repairs()).toEqual(repairs());
  });

  it('says nothing of an empty class', () => {
    expect(findingsOf(1800, [[]])).toEqual([]);
  });
});
