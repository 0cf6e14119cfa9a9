import { describe, expect, it } from 'vitest';
import { makeCatalogue } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { timePlan } from './time-plan.ts';
import type { Timeline } from './timeline.ts';

const catalogue = makeCatalogue();
const plan = makePlan([
  [{ pauseS: 60 }, 'breathe', 'tilt', 'curl'],
  ['twist', 'side-reach', 'leg-lift', 'roll-back', 'lift'],
  ['hug', 'final-rest', 'return-to-sitting'],
]);

/** Standard normal numbers by Box and Muller (1958), from a seeded generator. */
function normals(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 1) / 4294967297;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

/**
 * Plays the class many times by the model's own spreads: how quick this teacher works and talks is drawn once a class,
 * each item's work and words once an item. (Breath open: half as much again and more.)
 */
function play({ items }: Timeline, times: number): number[] {
  const normal = normals(20261125);
  return Array.from({ length: times }, () => {
    const [works, talks, clock] = [normal(), normal(), normal()];
    let total = 0;
    for (const { parts } of items) {
      const own = normal();
      let wordsS = 0;
      for (const { varies, durationS } of parts) {
        if (varies === 'words') wordsS += durationS;
        total += durationS;
        if (varies === 'work') total += durationS * (0.1 * works + 0.35 * own);
        else if (varies === 'open work') total += durationS * (0.25 * works + 0.4 * own);
        else if (varies === 'words') total += durationS * 0.3 * talks;
        else total += durationS * 0.03 * clock;
      }
      total += Math.sqrt(6 * wordsS) * normal();
    }
    return total;
  }).sort((a, b) => a - b);
}

describe('likelyRange', () => {
  const timeline = timePlan({ ...plan, style: 'steady' }, catalogue);

  it('holds four in five of twenty thousand simulated classes', () => {
    const totals = play(timeline, 20_000);
    const inside = totals.filter(
      (total) => total >= timeline.likely.lowS && total <= timeline.likely.highS,
    ).length;
    expect(inside / totals.length).toBeGreaterThan(0.785);
    expect(inside / totals.length).toBeLessThan(0.815);
  });

  it('agrees with the 10th and 90th percentile of the simulation within 1 %', () => {
    const totals = play(timeline, 20_000);
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
