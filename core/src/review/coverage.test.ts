import { describe, expect, it } from 'vitest';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { secondsOf } from '../plan/timing/timeline.ts';
import { coverClass, coverDirections } from './coverage.ts';
import { ruleContext } from './rule-context.ts';

const catalogue = makeCatalogue();
const cover = (segments: Parameters<typeof makePlan>[0]) =>
  coverDirections(timePlan(makePlan(segments), catalogue));

describe('coverDirections', () => {
  it('counts no direction for a still spine', () => {
    expect(cover([['breathe', 'leg-lift']]).directedS).toBe(0);
  });

  it('shares the time of two moves evenly', () => {
    const { seconds } = cover([['tilt']]);
    expect(seconds.round).toBeGreaterThan(0);
    expect(seconds.round).toBe(seconds.arch);
  });

  it('counts each side on its own', () => {
    const { seconds } = cover([['twist']]);
    expect(seconds['turn-left']).toBeGreaterThan(0);
    expect(seconds['turn-right']).toBeGreaterThan(0);
    expect(seconds['side-left']).toBe(0);
  });

  it('counts one side only when only one is done', () => {
    const dose = {
      kind: 'repetitions' as const,
      count: 4,
      sets: 1,
      sides: 'left' as const,
      directions: 1,
    };
    const { seconds } = cover([[['side-reach', { dose }]]]);
    expect(seconds['side-left']).toBeGreaterThan(0);
    expect(seconds['side-right']).toBe(0);
  });

  it('splits what is done in turn between the sides', () => {
    const dose = {
      kind: 'repetitions' as const,
      count: 4,
      sets: 1,
      sides: 'alternating' as const,
      directions: 1,
    };
    const { seconds } = cover([[['twist', { dose }]]]);
    expect(seconds['turn-left']).toBe(seconds['turn-right']);
  });

  it('adds up to the directed seconds', () => {
    const { seconds, directedS } = cover([['tilt', 'curl', 'twist', 'side-reach', 'lift']]);
    const sum = Object.values(seconds).reduce((total, each) => total + each, 0);
    expect(sum).toBeCloseTo(directedS, 9);
  });
});

describe('coverClass', () => {
  const plan = makePlan([['breathe', 'curl', 'twist', 'lift'], ['final-rest']], { targetS: 2400 });
  const retime = (of: typeof plan) => timePlan(of, catalogue);
  const timeline = retime(plan);
  const lines = coverClass(ruleContext({ plan, catalogue, timeline }));
  const secondsIn = (group: string) =>
    lines.filter((line) => line.group === group).reduce((sum, { seconds }) => sum + seconds, 0);

  it('counts each second of every item in one position and one class of load', () => {
    expect(secondsIn('positions')).toBe(timeline.totalS);
    const work = timeline.items.reduce((sum, item) => sum + secondsOf(item, 'work'), 0);
    expect(secondsIn('spine load')).toBe(work);
  });

  it('agrees with the directions', () => {
    expect(secondsIn('directions')).toBeCloseTo(coverDirections(timeline).directedS, -1);
  });

  it('has a target for each body part that a long class touches, none in a short one', () => {
    const wanted = (targetS: number) => {
      const of = { ...plan, targetS };
      return coverClass(ruleContext({ plan: of, catalogue, timeline })).filter(
        ({ group, leastS }) => group === 'body parts' && leastS,
      ).length;
    };
    expect(wanted(2400)).toBe(8);
    expect(wanted(1800)).toBe(0);
  });

  it('allows less heavy load where the school is careful', () => {
    const heavy = (school: 'graded-load' | 'classic') => {
      const of = { ...plan, school };
      return coverClass(ruleContext({ plan: of, catalogue, timeline })).find(({ name }) =>
        name.startsWith('4'),
      )?.mostS;
    };
    expect(heavy('graded-load')).toBeLessThan(heavy('classic') ?? 0);
  });
});
