import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHAPE_FAMILIES, fullPose } from '../../body/shapes/index.ts';
import type { ArmPose, LegPose, Pose } from '../../movement/pose.ts';
import { makeExercise } from '../../testing/make-exercise.ts';
import { buildPose } from './build-pose.ts';
import { writePoses } from './write-poses.ts';

const SHAPES = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));

describe('a pose of a file', () => {
  it('merges a limb into the one before, and keeps the other', () => {
    const pose = fullPose(
      buildPose('up', {
        up: { from: 'supine-bent', rightLeg: { turn: 20 } },
      }),
    );
    const before = fullPose('supine-bent');
    expect(pose.right.leg).toEqual({ ...before.right.leg, turn: 20 });
    expect(pose.left.leg).toEqual(before.left.leg);
  });

  it('merges what both limbs share, then what one has', () => {
    const pose = fullPose(
      buildPose('out', {
        out: { from: 'plank', legs: { turn: 5, point: 9 }, leftLeg: { turn: 15 } },
      }),
    );
    expect(pose.right.leg).toMatchObject({ turn: 5, point: 9 });
    expect(pose.left.leg).toMatchObject({ turn: 15, point: 9 });
  });

  it('lets go of a hold with null', () => {
    const pose = fullPose(
      buildPose('free', { free: { from: 'supine-bent', rightLeg: { foot: null, at: null } } }),
    );
    expect(pose.right.leg).not.toHaveProperty('foot');
    expect(pose.left.leg.foot).toBe('floor');
  });

  it('stands on another pose of the file, and that on a third', () => {
    const poses = {
      first: { from: 'plank', arms: { out: 10 } },
      second: { from: 'first', arms: { turn: 5 } },
      third: { from: 'second', name: 'the third', arms: { out: 0 } },
    };
    const full = fullPose(buildPose('third', poses));
    expect(full.name).toBe('the third');
    expect(full.right.arm).toEqual({ ...fullPose('plank').right.arm, turn: 5 });
  });

  it('merges the machine', () => {
    const pose = buildPose('far', { far: { from: 'carriage-home', machine: { out: 0.5 } } });
    expect(fullPose(pose).machine).toEqual({ ...fullPose('carriage-home').machine, out: 0.5 });
  });

  it('is a shape where the file has none of that name', () => {
    expect(buildPose('plank', {})).toBe('plank');
    expect(() => buildPose('nowhere', {})).toThrow('no pose or shape "nowhere"');
  });
});

const angle = fc.integer({ min: -90, max: 120 }).filter((degrees) => degrees !== 0);
const arm: fc.Arbitrary<ArmPose> = fc.record(
  { flex: angle, out: angle, bend: angle, hand: fc.constantFrom('floor', 'hip', 'knee') },
  { requiredKeys: [] },
);
const leg: fc.Arbitrary<LegPose> = fc.record(
  { flex: angle, turn: angle, point: angle, foot: fc.constantFrom('floor', 'toes', 'wall') },
  { requiredKeys: [] },
);
const pose: fc.Arbitrary<Pose> = fc.record(
  {
    shape: fc.constantFrom(...SHAPES),
    name: fc.string({ minLength: 1, maxLength: 12 }).filter((name) => name.trim() === name),
    lean: angle,
    roll: angle,
    round: fc.constantFrom([0, 5, 5, 0] as const, [0, 0, 0, 0] as const),
    arms: arm,
    leftArm: arm,
    legs: leg,
    rightLeg: leg,
    machine: fc.record({ out: fc.constantFrom(0.1, 0.2), straps: fc.constant('hands' as const) }),
  },
  { requiredKeys: ['name'] },
);

/** An angle of a limb that is 0 may be said or not. */
function withoutZeros(value: unknown): unknown {
  return JSON.parse(
    JSON.stringify(value, (_, field: unknown) => (field === 0 ? undefined : field)),
  );
}

describe('poses written and read', () => {
  it('give the same bodies, whatever they stand on', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(pose, { minLength: 1, maxLength: 3 }), { minLength: 2, maxLength: 4 }),
        (all) => {
          const { options } = makeExercise('any', { options: all.map((poses) => ({ poses })) });
          const { poses, names } = writePoses(options);
          const read = names.map((list) => list.map((name) => fullPose(buildPose(name, poses))));
          expect(withoutZeros(read)).toEqual(
            withoutZeros(options.map((option) => option.poses.map(fullPose))),
          );
        },
      ),
      { numRuns: 300 },
    );
  });

  it('take a name from their option, and one name only once', () => {
    const poses: Pose[] = [{ name: 'a', lean: 10 }];
    const { names } = writePoses(
      makeExercise('named', {
        options: [
          { name: 'Legs at 90/90', poses },
          { name: 'Legs at 90/90', poses: [{ name: 'b', lean: 20 }] },
          { name: '立', poses: [{ name: 'c', lean: 30 }] },
          { name: 'Again', poses },
        ],
      }).options,
    );
    expect(names).toEqual([
      ['legs-at-90-90-start'],
      ['legs-at-90-90-start-2'],
      ['option-3-start'],
      ['legs-at-90-90-start'],
    ]);
  });
});
