import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../movement/pose.ts';
import { completePose, mirrorPose } from './full-pose.ts';
import { bodiesOf } from './option-body.ts';
import { weigh } from './statics.ts';

const leaning = (lean: number, wall: number): KeyPose => ({
  shape: 'standing',
  lean,
  wall,
  legs: { flex: 0, point: -lean },
  arms: { hand: 'wall' },
});
const [body] = bodiesOf({ poses: [leaning(14, 0.45)] });

describe('hands on a wall', () => {
  if (!body) throw new Error('no body');
  const { supports, centre, balanced } = weigh(body);
  const hands = supports.filter(({ on }) => on === 'wall');

  it('hold a lean that would fall without them', () => {
    expect(balanced).toBe(true);
    const [free] = bodiesOf({ poses: [{ shape: 'standing', lean: 14, legs: { point: -14 } }] });
    expect(free && weigh(free).balanced).toBe(false);
  });

  it('push with what the lever of the weight asks: a body about its toes, by hand', () => {
    // W · (centre ahead of the soles' push) = F · height of the hands.
    const feet = supports.filter(({ part }) => part === 'feet');
    const carried = feet.reduce((sum, { share }) => sum + share, 0);
    const under = feet.reduce((sum, { share, at }) => sum + share * at[0], 0) / carried;
    const height = hands.reduce((sum, { at }) => sum + at[1], 0) / hands.length;
    const push = hands.reduce((sum, { share }) => sum + share, 0);
    expect(carried).toBeCloseTo(1, 2);
    expect(push).toBeCloseTo((centre[0] - under) / height, 2);
  });

  it('stand before the wall, wherever it is, and an arm’s reach away where nobody said', () => {
    for (const { at } of hands) expect(at[0]).toBeLessThan(0.45);
    const shapes = new Map();
    expect(completePose({ arms: { hand: 'wall' } }, shapes).wall).toBeGreaterThan(0.2);
    expect(completePose({ arms: { hand: 'hip' } }, shapes).wall).toBeUndefined();
  });

  it('go to the other side with a body that stands beside the wall', () => {
    const full = completePose({ wall: 0.3, face: 90 }, new Map());
    expect(mirrorPose(full).wall).toBe(-0.3);
    expect(mirrorPose({ ...full, face: 0 }).wall).toBe(0.3);
  });
});
