import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../../movement/pose.ts';
import { fullPose } from '../shapes/index.ts';
import { layOutBody } from '../skeleton.ts';
import { weigh } from '../statics.ts';
import { measureBody } from './measure-body.ts';

/*
 * Bodies as flat chains, weighed by hand: masses and centres of women after de Leva (1996), from memory, in shares of
 * weight and stature; thousandths of weight times stature for moments. Distances run along the body from the ankle.
 */
const MASS = {
  ...{ head: 0.0668, chest: 0.1545, belly: 0.1465, pelvis: 0.1247 },
  ...{ arm: 0.0449, thigh: 0.1478, shank: 0.0481, foot: 0.0129 },
};
const AT = {
  ...{ shank: 0.137, knee: 0.246, thigh: 0.4025, hip: 0.491, pelvis: 0.541, belly: 0.655 },
  ...{ chest: 0.77, shoulder: 0.794, arm: 0.774, head: 0.904 },
};
/** A straight leg held level from the hip; see statics.test.ts. */
const LEVEL_LEG = 36.7;

const cos = (degrees: number) => Math.cos((degrees * Math.PI) / 180);
const poseOf = (pose: KeyPose) => {
  const body = layOutBody(fullPose(pose));
  const weighed = weigh(body);
  return { weighed, measures: measureBody(body, weighed) };
};

/** The share of weight on a support at a place of the straight body, turned about another. */
function shareAt(support: number, about: number, masses: readonly (readonly [number, number])[]) {
  return masses.reduce((sum, [mass, at]) => sum + mass * (at - about), 0) / (support - about);
}

const TRUNK: readonly (readonly [number, number])[] = [
  [MASS.pelvis, AT.pelvis],
  [MASS.belly, AT.belly],
  [MASS.chest, AT.chest],
  [MASS.head, AT.head],
  [2 * MASS.arm, AT.arm],
];
const LEGS: readonly (readonly [number, number])[] = [
  [2 * MASS.thigh, AT.thigh],
  [2 * MASS.shank, AT.shank],
];

/** What hands and forearms carry, or the feet. */
const shareOn = (pose: KeyPose, parts: readonly string[], side?: 'right' | 'left') =>
  poseOf(pose)
    .weighed.supports.filter((at) => parts.includes(at.part) && (!side || at.side === side))
    .reduce((sum, { share }) => sum + share, 0);
const ARMS = ['hands', 'elbows'];

describe('a body on two supports is a beam', () => {
  it.each([
    ['plank', 0],
    // A forearm reaches so much past the shoulder.
    ['side-plank', 0.03],
  ])('%s: about the feet', (shape, past) => {
    const byHand = shareAt(AT.shoulder + past, 0, [...TRUNK, ...LEGS]);
    expect(byHand).toBeGreaterThan(0.65);
    expect(Math.abs(shareOn(shape, ARMS) - byHand)).toBeLessThan(0.03);
  });

  it.each([
    // Shanks that stand up behind the knees weigh the other way.
    ['plank-knees', 0, [2 * (MASS.shank + MASS.foot), AT.knee - 0.1]],
    ['side-plank-knees', 0.04, [2 * (MASS.shank + MASS.foot), AT.knee]],
  ] as const)('%s: about the knees', (shape, past, shanks) => {
    const byHand = shareAt(AT.shoulder + past, AT.knee, [
      ...TRUNK,
      [2 * MASS.thigh, AT.thigh],
      shanks,
    ]);
    expect(byHand).toBeCloseTo(0.545, 1);
    expect(Math.abs(shareOn(shape, ARMS) - byHand)).toBeLessThan(0.06);
  });

  /** The lower tips of the shoulder blades, 0.2 of stature from the hip; the head and arms lie by themselves. */
  const BLADES = AT.hip + 0.2;
  /** Feet a little past the knees. */
  const FEET = AT.knee - 0.1;
  const bridge = [
    [MASS.pelvis, AT.pelvis],
    [MASS.belly, AT.belly],
    [MASS.chest, AT.chest],
    [2 * MASS.thigh, AT.thigh],
  ] as const;

  it('bridge: what the feet carry, about the shoulder blades', () => {
    const byHand = shareAt(FEET, BLADES, [
      ...bridge,
      [2 * MASS.shank, AT.knee - 0.05],
      [2 * MASS.foot, FEET],
    ]);
    expect(byHand).toBeCloseTo(0.29, 2);
    expect(Math.abs(shareOn('bridge', ['feet']) - byHand)).toBeLessThan(0.04);
  });

  it('bridge on one foot: that foot carries all of it', () => {
    const byHand = shareAt(FEET, BLADES, [
      ...bridge,
      [MASS.shank, AT.knee - 0.05],
      [MASS.foot, FEET],
      [MASS.shank, AT.shank],
      [MASS.foot, -0.021],
    ]);
    expect(byHand).toBeGreaterThan(0.29);
    expect(Math.abs(shareOn('bridge-one-long', ['feet'], 'left') - byHand)).toBeLessThan(0.06);
    expect(shareOn('bridge-one-long', ['feet'], 'right')).toBe(0);
    expect(poseOf('bridge-one-long').measures.whole.legUneven).toBeGreaterThan(0.2);
  });
});

describe('legs held in the air', () => {
  it('V-sit: trunk 36° back, hips bent 92°: legs 38° over level', () => {
    const byHand = 2 * LEVEL_LEG * cos(36 + 92 - 90);
    const { legs } = poseOf('v-sit').measures.whole;
    expect(Math.abs((legs ?? NaN) - byHand)).toBeLessThan(3);
  });

  it('rolled over: past level by 11°, so the backs of the hips hold them, not the fronts', () => {
    const byHand = 2 * LEVEL_LEG * cos(192 + 89 - 270);
    const { legs, hipHold } = poseOf('legs-overhead').measures.whole;
    expect(legs).toBe(0);
    expect(Math.abs((hipHold ?? NaN) - byHand)).toBeLessThan(4);
  });
});

describe('a trunk that leans back', () => {
  /** All that is above the low back, 0.05 over the hips, about it: belly, chest, head, arms along the trunk. */
  const above = TRUNK.slice(1).reduce((sum, [mass, at]) => sum + 1000 * mass * (at - AT.pelvis), 0);

  it.each([20, 40])('straight at %i°: the belly holds what the lean asks', (lean) => {
    const byHand = above * Math.sin((lean * Math.PI) / 180);
    const { belly } = poseOf({
      shape: 'sit-bent-hold',
      lean: -lean,
      round: [0, 0, 0, 0],
      arms: { flex: 0 },
    }).measures.whole;
    expect(Math.abs((belly ?? NaN) - byHand) / byHand).toBeLessThan(0.15);
  });
});
