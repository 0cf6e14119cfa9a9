import { describe, expect, it } from 'vitest';
import { mixBodies } from './motion.ts';
import { LENGTH } from './body-segments.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose } from './shapes/index.ts';
import { lowestOf } from './solids.ts';
import { distance } from './space.ts';

const body = (shape: string) => layOutBody(fullPose(shape));
const PAIRS = [
  ['supine-bent', 'bridge'],
  ['supine-bent', 'chest-lift'],
  ['all-fours', 'bird-dog'],
  ['sit-bent', 'sit-back'],
  ['carriage-home', 'carriage-out'],
] as const;

describe.each(PAIRS)('from %s to %s', (from, to) => {
  const [a, b] = [body(from), body(to)];

  it('begins with the one and ends with the other', () => {
    expect(mixBodies(a, b, 0)).toBe(a);
    expect(mixBodies(a, b, 1)).toBe(b);
  });

  it('keeps its bones on the way', () => {
    for (const t of [0.2, 0.5, 0.8]) {
      const { right, left } = mixBodies(a, b, t);
      expect(distance(right.hip, right.knee)).toBeCloseTo(LENGTH.thigh, 3);
      expect(distance(left.knee, left.ankle)).toBeCloseTo(LENGTH.shank, 3);
      expect(distance(right.shoulder, right.elbow)).toBeCloseTo(LENGTH.upperArm, 3);
    }
  });

  it('does not jump: a small step moves every end a little', () => {
    let before = a;
    for (let step = 1; step <= 20; step += 1) {
      const now = mixBodies(a, b, step / 20);
      for (const end of ['hand', 'toe', 'knee'] as const) {
        expect(distance(now.right[end], before.right[end])).toBeLessThan(0.09);
      }
      before = now;
    }
  });
});

it('leaves planted feet where they are while the hips rise', () => {
  const [a, b] = [body('supine-bent'), body('bridge')];
  const half = mixBodies(a, b, 0.5);
  expect(half.right.ankle[1]).toBeCloseTo(a.right.ankle[1], 3);
  expect(half.hips[1]).toBeGreaterThan(a.hips[1]);
});

it('keeps sitting on what it sits on', () => {
  const half = mixBodies(body('sit-bent'), body('sit-back'), 0.4);
  expect(lowestOf(half, 'pelvis').height).toBeCloseTo(0, 3);
});

it('moves the carriage with the legs', () => {
  const half = mixBodies(body('carriage-home'), body('carriage-out'), 0.5);
  const outs = [body('carriage-home'), half, body('carriage-out')].map(
    (each) => each.pose.machine?.out ?? 0,
  );
  expect([...outs].sort((x, y) => x - y)).toEqual(outs);
  expect(new Set(outs).size).toBe(3);
});
