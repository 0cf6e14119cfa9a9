import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  about,
  add,
  compose,
  cross,
  dot,
  fromAxes,
  FRONT,
  invert,
  length,
  mixTurns,
  NO_TURN,
  RIGHT,
  rotate,
  scale,
  toRadians,
  unit,
  UP,
  type Vec3,
} from './space.ts';

const part = fc.double({ min: -2, max: 2, noNaN: true });
const vector = fc.tuple(part, part, part);
const axis = vector.filter((v) => length(v) > 0.1).map(unit);
const degrees = fc.double({ min: -360, max: 360, noNaN: true });

/** Rodrigues' rotation formula: v cos + (k x v) sin + k (k . v)(1 - cos). */
function rodrigues(k: Vec3, angle: number, v: Vec3): Vec3 {
  const [c, s] = [Math.cos(toRadians(angle)), Math.sin(toRadians(angle))];
  return add(add(scale(v, c), scale(cross(k, v), s)), scale(k, dot(k, v) * (1 - c)));
}

function expectNear(a: Vec3, b: Vec3): void {
  a.forEach((value, index) => expect(value).toBeCloseTo(b[index] ?? NaN, 6));
}

describe('rotations', () => {
  it('agree with Rodrigues’ formula', () => {
    fc.assert(
      fc.property(axis, degrees, vector, (k, angle, v) => {
        expectNear(rotate(about(k, angle), v), rodrigues(k, angle, v));
      }),
    );
  });

  it('compose from the last to the first, as matrices do', () => {
    fc.assert(
      fc.property(axis, degrees, axis, degrees, vector, (k, a, m, b, v) => {
        const [one, two] = [about(k, a), about(m, b)];
        expectNear(rotate(compose(one, two), v), rotate(one, rotate(two, v)));
      }),
    );
  });

  it('are undone by their inverse and keep lengths', () => {
    fc.assert(
      fc.property(axis, degrees, vector, (k, angle, v) => {
        const turn = about(k, angle);
        expectNear(rotate(invert(turn), rotate(turn, v)), v);
        expect(length(rotate(turn, v))).toBeCloseTo(length(v), 6);
      }),
    );
  });

  it('are found again from the axes they make', () => {
    fc.assert(
      fc.property(axis, degrees, vector, (k, angle, v) => {
        const turn = about(k, angle);
        const again = fromAxes(rotate(turn, FRONT), rotate(turn, UP), rotate(turn, RIGHT));
        expectNear(rotate(again, v), rotate(turn, v));
      }),
    );
  });

  it('mix half way by half the angle', () => {
    expectNear(rotate(mixTurns(NO_TURN, about(UP, 80), 0.5), FRONT), rotate(about(UP, 40), FRONT));
  });
});

describe('the room', () => {
  it('is right-handed: right is what front and up make', () => {
    expectNear(cross(FRONT, UP), RIGHT);
  });

  it('leaves the zero vector without a direction', () => {
    expect(unit([0, 0, 0])).toEqual([0, 0, 0]);
  });
});
