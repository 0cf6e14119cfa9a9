import { describe, expect, it } from 'vitest';
import type { Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { partFindings } from './part-findings.ts';

const catalogue = makeCatalogue();

/** Two pauses, so that the seconds are known: 300 in the first part, 120 in the second. */
function found(targets: (number | undefined)[]) {
  const plain = makePlan([[{ pauseS: 300 }], [{ pauseS: 120 }]]);
  const plan: Plan = {
    ...plain,
    segments: plain.segments.map((segment, at) => {
      const targetS = targets[at];
      return targetS === undefined ? segment : { ...segment, targetS };
    }),
  };
  const asked: [string[], number][] = [];
  const findings = partFindings({
    plan,
    timeline: timePlan(plan, catalogue),
    fitPart: (ids, changeS) => {
      asked.push([[...ids], changeS]);
      return [];
    },
  });
  findings.forEach((finding) => finding.repairs());
  return { sentences: findings.map(({ sentence }) => sentence), asked };
}

describe('partFindings', () => {
  it('says nothing of parts that are meant to last no length', () => {
    expect(found([undefined, undefined]).sentences).toEqual([]);
  });

  it('is quiet within 45 s and within 15 %', () => {
    expect(found([345, 165]).sentences).toEqual([]);
    expect(found([260, 80]).sentences).toEqual([]);
  });

  it('says by how much a part is longer, and asks for what shortens it', () => {
    const { sentences, asked } = found([240, undefined]);
    expect(sentences).toEqual(['Part 1 takes 5:00, 1:00 more than the 4:00 it is meant to.']);
    expect(asked).toEqual([[['pause'], -60]]);
  });

  it('says by how much a part is shorter', () => {
    const { sentences, asked } = found([undefined, 300]);
    expect(sentences).toEqual(['Part 2 takes 2:00, 3:00 less than the 5:00 it is meant to.']);
    expect(asked).toEqual([[['pause-2'], 180]]);
  });
});
