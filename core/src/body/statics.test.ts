import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../movement/pose.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose, SHAPE_FAMILIES } from './shapes/index.ts';
import { toNewtonMetres, weigh } from './statics.ts';

const statics = (pose: KeyPose) => weigh(layOutBody(fullPose(pose)));
const leg = (flex: number, bend = 0): KeyPose => ({
  shape: 'supine-long',
  rightLeg: { flex, bend, point: 0 },
});
const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));

/*
 * By hand, for a woman, in shares of weight times stature. Thigh 0.245 long, 14.78 % of the mass at
 * 36.12 % of it; shank 0.246, 4.81 % at 44.16 %; foot 1.29 %, its centre 0.020 ahead of the ankle
 * and 0.021 beyond it. Levers from the hip: thigh 0.0885, shank 0.245 + 0.1086 = 0.3536, foot
 * 0.491 + 0.021 = 0.512.
 */
const THIGH = 0.1478 * 0.0885;
const SHANK = 0.0481 * 0.3536;
const FOOT = 0.0129;

describe('a straight leg raised from lying, about the hip', () => {
  it('level: thigh, shank and foot at their full levers', () => {
    const byHand = THIGH + SHANK + FOOT * 0.512;
    expect(byHand).toBeCloseTo(0.0367, 4);
    // Held a hair over the mat, so that the heel carries nothing.
    expect(statics(leg(6)).moments.hip.right).toBeCloseTo(byHand * Math.cos(0.105), 2);
  });

  it('at 45°: the levers shorten by the cosine', () => {
    const byHand = (THIGH + SHANK + FOOT * (0.512 - 0.02)) * Math.SQRT1_2;
    expect(statics(leg(45)).moments.hip.right).toBeCloseTo(byHand, 3);
  });

  it('at 90°: only the foot is ahead of the hip', () => {
    expect(statics(leg(90)).moments.hip.right).toBeCloseTo(FOOT * 0.02, 3);
  });

  it('at 90/90: the shank alone, and the foot beyond it', () => {
    const byHand = 0.0481 * 0.1086 + FOOT * (0.246 + 0.021);
    expect(statics(leg(90, 90)).moments.hip.right).toBeCloseTo(byHand, 3);
  });

  it('is told in newton metres for a person', () => {
    // 0.0367 x 65 kg x 9.81 m/s2 x 1.70 m
    expect(toNewtonMetres(0.0367, 65, 1.7)).toBeCloseTo(39.8, 1);
  });
});

/**
 * Share of body weight on the hands. Suprak, Dawes, Stephenson, J Strength Cond Res 25 (2011), from
 * memory: about 64-69 % in the upper position on the toes, about 49-54 % on the knees.
 */
describe('planks', () => {
  it.each([
    ['plank', 0.62, 0.7],
    ['plank-knees', 0.47, 0.56],
  ])('%s carries %d to %d on the hands', (shape, least, most) => {
    const { onHands, balanced } = statics(shape);
    expect(balanced).toBe(true);
    expect(onHands).toBeGreaterThan(least);
    expect(onHands).toBeLessThan(most);
  });

  it('carry more on the hands low in a push up than high', () => {
    expect(statics('push-up-low').onHands).toBeGreaterThan(statics('plank').onHands);
  });

  it('load the low back less from the knees than from the toes', () => {
    const { lowBack } = statics('plank-knees').moments;
    expect(lowBack).toBeLessThan(statics('plank').moments.lowBack);
  });
});

describe('a body at rest', () => {
  it.each(['supine-bent', 'supine-long', 'child', 'sit-cross'])('%s stands by itself', (shape) => {
    expect(statics(shape).balanced).toBe(true);
  });

  it('has next to no lever about the knees when it stands', () => {
    const { hip, knee, lowBack } = statics('standing').moments;
    expect(Math.max(hip.right, hip.left, knee.right, knee.left)).toBeLessThan(0.02);
    expect(lowBack).toBeLessThan(0.01);
  });

  it('is weighed alike on both sides when it is alike on both', () => {
    for (const shape of ['plank', 'v-sit', 'bridge', 'all-fours']) {
      const { hip, shoulder } = statics(shape).moments;
      expect(hip.right).toBeCloseTo(hip.left, 6);
      expect(shoulder.right).toBeCloseTo(shoulder.left, 6);
    }
  });
});

describe.each(shapes)('%s', (shape) => {
  it('shares out the whole weight, and nothing pulls', () => {
    const { supports, balanced, centre } = statics(shape);
    expect(supports.every(({ share }) => share >= -1e-9)).toBe(true);
    if (!balanced) return;
    const sum = (of: (at: (typeof supports)[number]) => number) =>
      supports.reduce((total, at) => (at.on === 'body' ? total : total + of(at)), 0);
    expect(sum(({ share }) => share)).toBeCloseTo(1, 1);
    expect(sum(({ share, at }) => share * (at[0] - centre[0]))).toBeCloseTo(0, 1);
    expect(sum(({ share, at }) => share * (at[2] - centre[2]))).toBeCloseTo(0, 1);
  });
});
