import { outward } from './bones.ts';
import type { BodySide } from './full-pose.ts';
import {
  about,
  clamp,
  compose,
  dot,
  FRONT,
  invert,
  RIGHT,
  rotate,
  toDegrees,
  UP,
  type Turn,
} from './space.ts';

/** A hip or shoulder: about its length, then out, then forward. */
export function ballJoint(side: BodySide, flex = 0, out = 0, turn = 0): Turn {
  const sign = outward(side);
  return compose(about(RIGHT, flex), about(FRONT, -sign * out), about(UP, -sign * turn));
}

/** Angles of a hip or shoulder as they stand, in the words of a pose. */
export function ballJointAngles(
  parent: Turn,
  child: Turn,
  side: BodySide,
): { flex: number; out: number; turn: number } {
  const local = compose(invert(parent), child);
  const sign = outward(side);
  const axis = rotate(local, [0, -1, 0]);
  const out = toDegrees(Math.asin(clamp(sign * axis[2], -1, 1)));
  const flex = toDegrees(Math.atan2(axis[0], -axis[1]));
  const unturned = compose(about(RIGHT, flex), about(FRONT, -sign * out));
  const rest = compose(invert(unturned), local);
  const front = rotate(rest, FRONT);
  const turn = toDegrees(Math.atan2(sign * front[2], front[0]));
  return { flex, out, turn };
}

/** The bend of an elbow or knee, 0 when straight. */
export function hingeAngle(upper: Turn, lower: Turn): number {
  const a = rotate(upper, UP);
  const b = rotate(lower, UP);
  return toDegrees(Math.acos(clamp(dot(a, b), -1, 1)));
}
