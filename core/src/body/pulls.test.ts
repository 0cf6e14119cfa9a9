import { describe, expect, it } from 'vitest';
import { fullPose } from './shapes/index.ts';
import { layOutBody } from './skeleton.ts';
import { BODY_WEIGHT_N, pullsOf } from './pulls.ts';
import { springForceN } from './springs.ts';
import { weigh } from './statics.ts';

const body = (shape: string) => layOutBody(fullPose(shape));
const springs = { springs: { heavy: 1, medium: 1 } };
const newtons = (force: readonly number[]) => Math.hypot(...force) * BODY_WEIGHT_N;

describe('straps and bar', () => {
  it('pull nothing without springs, and nobody on the mat', () => {
    expect(pullsOf(body('straps-arms'), undefined)).toEqual([]);
    expect(pullsOf(body('supine-bent'), springs)).toEqual([]);
  });

  /** Free-body of the carriage: each strap holds it where it is fixed and by the rider's hand. */
  it('a strap carries a quarter of the springs to a rider on the carriage', () => {
    const laid = body('straps-arms');
    const out = (laid.pose.machine?.out ?? NaN) * 1.7;
    const pulls = pullsOf(laid, springs);
    expect(pulls).toHaveLength(2);
    for (const { force } of pulls)
      expect(newtons(force)).toBeCloseTo(springForceN(springs, out) / 4, 3);
  });

  it('one strap alone carries half', () => {
    const one = layOutBody(fullPose({ shape: 'straps-arms', machine: { straps: 'left hand' } }));
    const [pull, ...others] = pullsOf(one, springs);
    const out = (one.pose.machine?.out ?? NaN) * 1.7;
    expect(others).toEqual([]);
    expect(pull?.side).toBe('left');
    expect(newtons(pull?.force ?? [])).toBeCloseTo(springForceN(springs, out) / 2, 3);
  });

  it('a carriage at home stands on its stops, and nobody feels the springs', () => {
    expect(pullsOf(body('carriage-home'), springs)).toEqual([]);
  });

  it('two feet on the bar share the whole of it, away from the bar', () => {
    const laid = body('carriage-out');
    const pulls = pullsOf(laid, springs);
    const out = (laid.pose.machine?.out ?? NaN) * 1.7;
    expect(pulls.map(({ by }) => by)).toEqual(['bar', 'bar']);
    const sum = pulls.reduce((all, { force }) => all + newtons(force), 0);
    expect(sum).toBeCloseTo(springForceN(springs, out), 3);
  });

  it('straps that come from above take weight off what carries the legs', () => {
    const held = weigh(body('straps-feet-down'), springs).byFront.hip.right;
    const free = weigh(body('straps-feet-down')).byFront.hip.right;
    expect(held).toBeLessThan(free);
  });

  it('leave the body in balance', () => {
    const { supports, pulls } = weigh(body('straps-arms'), springs);
    const down = supports.reduce((sum, { on, share }) => (on === 'body' ? sum : sum + share), 0);
    const up = pulls.reduce((sum, { force }) => sum + force[1], 0);
    expect(down + up).toBeCloseTo(1, 2);
  });
});
