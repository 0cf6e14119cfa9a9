import { describe, expect, it } from 'vitest';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { coverDirections } from './coverage.ts';

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
