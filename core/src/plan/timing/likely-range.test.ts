import { describe, expect, it } from 'vitest';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { playClass } from '../../testing/play-class.ts';
import { timePlan } from './time-plan.ts';
import type { Timeline } from './timeline.ts';

const catalogue = makeCatalogue();
const plan = makePlan([
  [{ pauseS: 60 }, 'breathe', 'tilt', 'curl'],
  ['twist', 'side-reach', 'leg-lift', 'roll-back', 'lift'],
  ['hug', 'final-rest', 'return-to-sitting'],
]);

describe('likelyRange', () => {
  const timeline = timePlan({ ...plan, style: 'steady' }, catalogue);

  it('holds four in five of twenty thousand simulated classes', () => {
    const totals = playClass(timeline, 20_000);
    const inside = totals.filter(
      (total) => total >= timeline.likely.lowS && total <= timeline.likely.highS,
    ).length;
    expect(inside / totals.length).toBeGreaterThan(0.785);
    expect(inside / totals.length).toBeLessThan(0.815);
  });

  it('agrees with the 10th and 90th percentile of the simulation within 1 %', () => {
    const totals = playClass(timeline, 20_000);
    const at = (share: number) => totals[Math.floor(share * totals.length)] ?? 0;
    expect(Math.abs(timeline.likely.lowS - at(0.1)) / timeline.totalS).toBeLessThan(0.01);
    expect(Math.abs(timeline.likely.highS - at(0.9)) / timeline.totalS).toBeLessThan(0.01);
  });

  it('contains the total and says how it was made', () => {
    expect(timeline.likely.lowS).toBeLessThan(timeline.totalS);
    expect(timeline.likely.highS).toBeGreaterThan(timeline.totalS);
    expect(timeline.likely.reason).toMatch(/Four classes in five/);
  });

  const widthOf = ({ likely, totalS }: Timeline) => (likely.highS - likely.lowS) / totalS;

  it('is wider where the plan does not say whether it is breathed, and says what would help', () => {
    const open = timePlan(plan, catalogue);
    expect(widthOf(open)).toBeGreaterThan(1.2 * widthOf(timeline));
    expect(open.likely.reason).toMatch(/Say how the class is led/);
    expect(timeline.likely.reason).not.toMatch(/Say how the class is led/);
  });

  it('is twice as wide for a lesson', () => {
    const lesson = makePlan([[['curl', { explainS: 300, options: [1] }]]], { style: 'steady' });
    const short = makePlan([[['curl', { explainS: 10, options: [1] }]]], { style: 'steady' });
    const [long, brief] = [timePlan(lesson, catalogue), timePlan(short, catalogue)];
    expect(long.likely.standardDeviationS).toBeGreaterThan(1.9 * brief.likely.standardDeviationS);
  });

  it('is narrow for a class that the clock runs', () => {
    const dose = {
      kind: 'free' as const,
      durationS: 300,
      sets: 1,
      sides: 'none' as const,
      directions: 1,
    };
    const clocked = timePlan(makePlan([[['hug', { dose, teaching: 'none' }]]]), catalogue);
    const width = clocked.likely.highS - clocked.likely.lowS;
    expect(width / clocked.totalS).toBeLessThan(0.12);
  });

  it('grows less than the class does: items are independent', () => {
    const width = (copies: number) => {
      const long = timePlan(makePlan(Array.from({ length: copies }, () => ['curl'])), catalogue);
      return (long.likely.highS - long.likely.lowS) / long.totalS;
    };
    expect(width(16)).toBeLessThan(width(1));
  });
});
