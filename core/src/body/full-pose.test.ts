import { describe, expect, it } from 'vitest';
import type { Pose } from '../movement/pose.ts';
import { completePose, mirrorPose, poseOf } from './full-pose.ts';
import { fullPose, SHAPE_FAMILIES } from './shapes/index.ts';

const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));
const own = new Map<string, Pose>([
  ['low', { name: 'low', lean: -90, arms: { flex: 10 }, legs: { flex: 45, bend: 90 } }],
  ['lower', { shape: 'low', name: 'lower', rightLeg: { flex: 80 } }],
  ['ride', { name: 'ride', machine: { out: 0.3 } }],
]);

describe('completePose', () => {
  it('takes what is not said from the shape, and from that shape’s shape', () => {
    const pose = completePose('lower', own);
    expect(pose.lean).toBe(-90);
    expect(pose.left.leg).toEqual({ flex: 45, bend: 90 });
    expect(pose.name).toBe('lower');
  });

  it('replaces a limb that is named as a whole', () => {
    expect(completePose('lower', own).right.leg).toEqual({ flex: 80 });
    const pose = completePose({ shape: 'low', arms: { hand: 'head' } }, own);
    expect(pose.right.arm).toEqual({ hand: 'head' });
    expect(pose.left.arm).toEqual({ hand: 'head' });
  });

  it('lets one side speak over both', () => {
    const pose = completePose({ shape: 'low', legs: { flex: 1 }, leftLeg: { flex: 2 } }, own);
    expect([pose.right.leg.flex, pose.left.leg.flex]).toEqual([1, 2]);
  });

  it('changes a machine only where it is said', () => {
    const pose = completePose({ shape: 'ride', machine: { box: 'long' } }, own);
    expect(pose.machine).toMatchObject({ out: 0.3, box: 'long', bar: 'ahead' });
  });

  it('says which shape is missing', () => {
    expect(() => completePose('nowhere', own)).toThrow('no shape "nowhere"');
  });
});

describe.each(shapes)('%s', (shape) => {
  it('is itself again when mirrored twice', () => {
    const pose = fullPose(shape);
    // Adding nought makes no difference between nought and minus nought.
    const plain = (value: unknown): unknown =>
      JSON.parse(JSON.stringify(value, (_, part: unknown) => (part === 0 ? 0 : part)));
    expect(plain(mirrorPose(mirrorPose(pose)))).toEqual(plain(pose));
  });

  it('survives being written out and read again', () => {
    const pose = fullPose(shape);
    expect(fullPose(poseOf(pose))).toEqual(pose);
  });
});
