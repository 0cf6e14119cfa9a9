import type { Limbs } from './body.ts';
import type { BodySide } from './full-pose.ts';
import { LENGTH } from './body-segments.ts';
import { THICKNESS } from './solids.ts';
import { add, rotate, type Turn, type Vec3 } from './space.ts';

/** A place at the end of a bone: so far along the turned up axis. */
export function along(from: Vec3, turn: Turn, length: number): Vec3 {
  return add(from, rotate(turn, [0, length, 0]));
}

/** 1 to the right, -1 to the left. */
export const outward = (side: BodySide): 1 | -1 => (side === 'right' ? 1 : -1);

/** Heel and ball of a foot, from its ankle. */
export function footFrom(ankle: Vec3, foot: Turn): Pick<Limbs, 'heel' | 'toe' | 'foot'> {
  const sole = -LENGTH.ankleHeight + THICKNESS.heel;
  const ball = -LENGTH.ankleHeight + THICKNESS.toe;
  return {
    foot,
    heel: add(ankle, rotate(foot, [-LENGTH.heel, sole, 0])),
    toe: add(ankle, rotate(foot, [LENGTH.forefoot, ball, 0])),
  };
}
