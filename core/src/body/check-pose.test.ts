import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../movement/pose.ts';
import { faultsOf, namePart } from './check-pose.ts';
import { JOINT_LIMITS } from './joint-limits.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose, SHAPE_FAMILIES } from './shapes/index.ts';

const faults = (pose: KeyPose) => faultsOf(layOutBody(fullPose(pose)));
const sentences = (pose: KeyPose) =>
  faults(pose)
    .map(({ sentence }) => sentence)
    .join(' ');
const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));

it.each(shapes)('the shape %s has no fault', (shape) => expect(faults(shape)).toEqual([]));

describe('faultsOf', () => {
  it.each<[why: string, pose: KeyPose, says: RegExp]>([
    [
      'a knee bent the wrong way',
      { shape: 'supine-90', legs: { flex: 90, bend: -30 } },
      /knee is at -30°/,
    ],
    [
      'a knee bent too far',
      { shape: 'supine-90', legs: { flex: 90, bend: 170 } },
      /right knee is at 170°/,
    ],
    [
      'a hip past its end',
      { shape: 'standing', rightLeg: { flex: -60 } },
      /right hip: flexion is at -60°/,
    ],
    ['a broken neck', { shape: 'supine-bent', round: [0, 0, 0, 80] }, /neck: rounding is at 80°/],
    [
      'a back turned too far',
      { shape: 'sit-long', turn: [0, 60, 0, 0] },
      /middle back: turn is at 60°/,
    ],
    [
      'a hip turned too far',
      { shape: 'standing', rightLeg: { turn: 90 } },
      /right hip: turn is at 90°/,
    ],
    [
      'a wrist bent too far',
      { shape: 'standing', leftArm: { wrist: 120 } },
      /left wrist is at 120°/,
    ],
    [
      'a back whose parts are each within their range, and not all together',
      { shape: 'sit-long', round: [44, 37, 44, 0] },
      /the whole back: rounding is at 125°/,
    ],
    [
      'a foot through the floor',
      { shape: 'sit-long', legs: { flex: 60 } },
      /right foot is \d+ cm under/,
    ],
    [
      'a hand out of reach',
      { shape: 'standing', rightArm: { hand: 'floor' } },
      /hand is \d+ cm short of the floor/,
    ],
    [
      'a part that does not rest',
      { shape: 'standing', rest: { feet: 0, head: 1.5 } },
      /head should carry/,
    ],
  ])('tells of %s', (_why, pose, says) => expect(sentences(pose)).toMatch(says));

  it('names each part once', () => {
    const told = faults({ shape: 'sit-long', legs: { flex: 60 } }).map(({ sentence }) => sentence);
    expect(new Set(told).size).toBe(told.length);
  });

  it('asks nothing of the floor on a machine, which stands over it', () => {
    const low: KeyPose = { shape: 'long-box-prone', arms: { flex: 90 } };
    expect(faults(low).filter(({ kind }) => kind === 'underground')).toEqual([]);
  });
});

/** Clinic means of the American Academy of Orthopaedic Surgeons (1965), from memory. */
describe('the joint limits', () => {
  it.each<[string, readonly [number, number], number, number]>([
    ['hip', JOINT_LIMITS.hip.flex, -30, 120],
    ['knee', JOINT_LIMITS.knee, 0, 135],
    ['elbow', JOINT_LIMITS.elbow, 0, 150],
    ['wrist', JOINT_LIMITS.wrist, -80, 70],
    ['turned hip', JOINT_LIMITS.hip.turn, -45, 45],
    ['turned shoulder', JOINT_LIMITS.shoulder.turn, -70, 90],
    ['whole back', JOINT_LIMITS['whole back'].round, -25, 80],
    ['shoulder', JOINT_LIMITS.shoulder.flex, -60, 180],
    ['ankle', JOINT_LIMITS.ankle, -20, 50],
  ])('of the %s are no less than the clinic’s', (_joint, [least, most], low, high) => {
    expect(least).toBeLessThanOrEqual(low);
    expect(most).toBeGreaterThanOrEqual(high);
    // Nor more than a practised body is known to add.
    expect(most).toBeLessThanOrEqual(high + 27);
  });
});

it('says parts as they are said', () => {
  expect(namePart('feet', 'left')).toBe('the left foot');
  expect(namePart('pelvis', undefined)).toBe('the pelvis');
});
