import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { KeyPose, Pose } from '../movement/pose.ts';
import { Pose as PoseSchema } from '../movement/pose.ts';
import { dragPose, HANDLES, handlePlace, type Handle } from './drag-pose.ts';
import { JOINT_LIMITS } from './joint-limits.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose } from './shapes/index.ts';
import { distance, type Vec3 } from './space.ts';

const place = (pose: KeyPose, handle: Handle) => handlePlace(layOutBody(fullPose(pose)), handle);

describe('dragPose', () => {
  it.each<[Handle, KeyPose, Vec3]>([
    ['right hand', 'supine-90-arms-up', [-0.1, -0.08, 0]],
    ['left hand', 'all-fours', [0.1, 0.16, 0]],
    ['right foot', 'supine-90', [0.06, -0.12, 0]],
    ['left foot', 'bird-dog-leg', [0.02, 0.1, 0]],
  ])('brings the %s where it is drawn', (handle, pose, by) => {
    const before = place(pose, handle);
    const after = place(dragPose(pose, handle, by), handle);
    const wanted: Vec3 = [before[0] + by[0], before[1] + by[1], before[2] + by[2]];
    expect(distance(after, wanted)).toBeLessThan(0.05);
  });

  it('leaves the other limbs alone', () => {
    const moved = dragPose('supine-90-arms-up', 'right hand', [-0.1, -0.1, 0]);
    expect(place(moved, 'left hand')).toEqual(place('supine-90-arms-up', 'left hand'));
    expect(moved.shape).toBe('supine-90-arms-up');
  });

  it('rounds the back when the chest is drawn forward, and arches it when drawn back', () => {
    const sum = (pose: Pose) => (pose.round ?? []).slice(0, 3).reduce((a, b) => a + b, 0);
    expect(sum(dragPose('sit-long', 'chest', [0.08, 0, 0]))).toBeGreaterThan(5);
    expect(sum(dragPose('sit-long', 'chest', [-0.08, 0, 0]))).toBeLessThan(-5);
  });

  it('bends the back to the side it is drawn to', () => {
    const { side } = dragPose('sit-long', 'chest', [0, 0, 0.08]);
    expect((side ?? []).reduce((a, b) => a + b, 0)).toBeGreaterThan(5);
  });

  it('nods the head', () => {
    const { round } = dragPose('sit-long', 'head', [0.05, -0.01, 0]);
    expect(round?.[3]).toBeGreaterThan(5);
  });

  it('tips the pelvis', () => {
    expect(dragPose('kneeling', 'hips', [-0.05, 0, 0]).lean).not.toBe(0);
    expect(dragPose('sit-long', 'hips', [-0.1, 0, 0]).lean).toBeLessThan(-5);
  });

  it('moves nothing for no way at all', () => {
    for (const handle of HANDLES) {
      const still = dragPose('supine-90-arms-up', handle, [0, 0, 0]);
      expect(distance(place(still, handle), place('supine-90-arms-up', handle))).toBeLessThan(0.02);
    }
  });

  it('stays within joints and schema wherever it is drawn', () => {
    const shapes = ['supine-90', 'all-fours', 'sit-long', 'standing', 'plank', 'clam-closed'];
    const way = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.constantFrom(...HANDLES),
        fc.tuple(way, way, way),
        (shape, handle, by) => {
          const moved = dragPose(shape, handle, by);
          expect(PoseSchema.safeParse(moved).success).toBe(true);
          const { rightLeg, rightArm, round } = moved;
          expect(rightLeg?.bend ?? 0).toBeLessThanOrEqual(JOINT_LIMITS.knee[1]);
          expect(rightLeg?.flex ?? 0).toBeLessThanOrEqual(JOINT_LIMITS.hip.flex[1]);
          expect(rightArm?.bend ?? 0).toBeLessThanOrEqual(JOINT_LIMITS.elbow[1]);
          expect(round?.[3] ?? 0).toBeLessThanOrEqual(JOINT_LIMITS.neck.round[1]);
        },
      ),
      { seed: 11, numRuns: 120 },
    );
  });
});
