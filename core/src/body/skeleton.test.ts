import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { mirrorPose } from './full-pose.ts';
import { HALF_WIDTH, LENGTH } from './body-segments.ts';
import type { Body } from './body.ts';
import { ballJointAngles, hingeAngle } from './joint-angles.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose, hasShape, SHAPE_FAMILIES } from './shapes/index.ts';
import { lowestOf } from './solids.ts';
import { distance, rotate, UP } from './space.ts';

const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));
const bodyOf = (shape: string) => layOutBody(fullPose(shape));

/** Bones of one side, and how long each must be. */
const bones = (
  body: Body,
  side: 'right' | 'left',
): [name: string, is: number, should: number][] => {
  const { shoulder, elbow, wrist, hip, knee, ankle } = body[side];
  return [
    ['upper arm', distance(shoulder, elbow), LENGTH.upperArm],
    ['forearm', distance(elbow, wrist), LENGTH.forearm],
    ['thigh', distance(hip, knee), LENGTH.thigh],
    ['shank', distance(knee, ankle), LENGTH.shank],
    ['half pelvis', distance(body.hips, hip), HALF_WIDTH.hips],
  ];
};

describe.each(shapes)('%s', (shape) => {
  it('keeps its bones as long as they are', () => {
    const body = bodyOf(shape);
    for (const side of ['right', 'left'] as const) {
      for (const [name, is, should] of bones(body, side)) {
        expect(`${name} ${is.toFixed(3)}`).toBe(`${name} ${should.toFixed(3)}`);
      }
    }
    expect(distance(body.hips, body.lowBack)).toBeCloseTo(LENGTH.pelvis, 6);
    expect(distance(body.highBack, body.neck)).toBeCloseTo(LENGTH.highBack, 6);
  });

  it('rests where it says', () => {
    const { pose } = bodyOf(shape);
    const body = bodyOf(shape);
    for (const [part, height] of pose.rest) {
      expect(Math.abs(lowestOf(body, part).height - height)).toBeLessThan(0.012);
    }
  });

  it('says what it shows', () => expect(bodyOf(shape).pose.name.length).toBeGreaterThan(8));
});

describe('the other side', () => {
  const turned = (name: string) => fullPose(name).face === 0;

  it.each(shapes.filter(turned))('of %s is its mirror image', (shape) => {
    const own = bodyOf(shape);
    const other = layOutBody(mirrorPose(fullPose(shape)));
    for (const joint of ['hand', 'elbow', 'knee', 'ankle', 'toe'] as const) {
      const [x, y, z] = own.right[joint];
      const [mx, my, mz] = other.left[joint];
      expect([mx, my, -mz].map((n) => n.toFixed(3))).toEqual([x, y, z].map((n) => n.toFixed(3)));
    }
  });

  it('of the other side is the side itself', () => {
    const pose = fullPose('sit-wide-turn-reach');
    expect(mirrorPose(mirrorPose(pose))).toEqual(pose);
  });
});

describe('joint angles', () => {
  const degrees = (least: number, most: number) => fc.integer({ min: least, max: most });

  it('of a laid-out hip are those it was laid out with', () => {
    fc.assert(
      fc.property(degrees(-20, 110), degrees(-30, 60), degrees(-40, 60), (flex, out, turn) => {
        const pose = { ...fullPose('supine-bent') };
        const leg = { flex, out, turn };
        const body = layOutBody({ ...pose, right: { ...pose.right, leg } });
        const found = ballJointAngles(body.pelvisTurn, body.right.thigh, 'right');
        expect(found.flex).toBeCloseTo(flex, 4);
        expect(found.out).toBeCloseTo(out, 4);
        expect(found.turn).toBeCloseTo(turn, 4);
      }),
      { seed: 7, numRuns: 60 },
    );
  });

  it('of a knee are those it was bent by', () => {
    fc.assert(
      fc.property(degrees(0, 140), (bend) => {
        const pose = fullPose('standing');
        const body = layOutBody({ ...pose, left: { ...pose.left, leg: { bend } } });
        expect(hingeAngle(body.left.thigh, body.left.shank)).toBeCloseTo(bend, 4);
      }),
      { seed: 7, numRuns: 30 },
    );
  });

  it('bend knees backwards and elbows forwards', () => {
    const pose = fullPose('standing');
    const body = layOutBody({
      ...pose,
      right: { arm: { bend: 60 }, leg: { bend: 60 } },
    });
    expect(body.right.ankle[0]).toBeLessThan(body.right.knee[0]);
    expect(body.right.wrist[0]).toBeGreaterThan(body.right.elbow[0]);
  });
});

describe('attitudes', () => {
  const up = (shape: string) => rotate(bodyOf(shape).pelvisTurn, UP);

  it('puts the head to the left when lying on the back', () => {
    expect(bodyOf('supine-long').head[0]).toBeLessThan(bodyOf('supine-long').right.toe[0]);
    expect(up('supine-long')[0]).toBeCloseTo(-1, 6);
  });

  it('turns the front to the viewer on the side', () => {
    const body = bodyOf('side-lying-long');
    const front = rotate(body.pelvisTurn, [1, 0, 0]);
    expect(front[2]).toBeGreaterThan(0.95);
    expect(body.left.hip[1]).toBeGreaterThan(body.right.hip[1]);
  });
});

it('knows its shapes and no others', () => {
  expect(hasShape('plank')).toBe(true);
  expect(hasShape('headstand')).toBe(false);
  expect(() => fullPose('headstand')).toThrow('no shape "headstand"');
});
