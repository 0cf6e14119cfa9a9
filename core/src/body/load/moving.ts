import type { Body } from '../body.ts';
import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import { distance, dot, rotate, subtract, toDegrees, UP, type Vec3 } from '../space.ts';

/** What moves from one key pose to the next. */
export interface Moving {
  /** Movements that are different from each other: a pair that does the same counts once. */
  limbs: number;
  /** The most that the back bends or turns from one pose to the next, in degrees, all its joints together. */
  backDeg: number;
  /** The most that the pelvis tilts from one pose to the next, in degrees. */
  pelvisDeg: number;
}

/** A hand or foot that goes farther than this share of stature, seen from the hips, has moved. */
const MOVED = 0.08;
/** Paths of a pair that differ by less, one of them mirrored, are the same. */
const ALIKE = 0.06;

export function movingOf(bodies: readonly Body[]): Moving {
  const pairs = [
    (body: Body, side: BodySide) => body[side].hand,
    (body: Body, side: BodySide) => body[side].toe,
  ];
  return {
    limbs: pairs.reduce((sum, end) => sum + movementsOf(bodies, end), 0),
    backDeg: mostChange(bodies, bent),
    pelvisDeg: mostChange(bodies, tilted),
  };
}

function movementsOf(bodies: readonly Body[], end: (body: Body, side: BodySide) => Vec3): number {
  const [right, left] = BODY_SIDES.map((side) =>
    bodies.map((body): Vec3 => rotateBack(body, subtract(end(body, side), body.hips), side)),
  );
  if (!right || !left) return 0;
  const moves = (path: readonly Vec3[]) =>
    path.some((place) => distance(place, path[0] ?? place) > MOVED);
  const [byRight, byLeft] = [moves(right), moves(left)];
  if (!byRight || !byLeft) return Number(byRight) + Number(byLeft);
  const alike = right.every((place, index) => distance(place, left[index] ?? place) < ALIKE);
  return alike ? 1 : 2;
}

/** A place as the pelvis sees it, the left side mirrored on to the right. */
function rotateBack(body: Body, [x, y, z]: Vec3, side: BodySide): Vec3 {
  const own = (axis: Vec3) => dot([x, y, z], rotate(body.pelvisTurn, axis));
  return [own([1, 0, 0]), own(UP), own([0, 0, 1]) * (side === 'right' ? 1 : -1)];
}

function mostChange(bodies: readonly Body[], change: (from: Body, to: Body) => number): number {
  return bodies.slice(1).reduce((most, body, index) => {
    const before = bodies[index];
    return before ? Math.max(most, change(before, body)) : most;
  }, 0);
}

function bent(from: Body, to: Body): number {
  return ([0, 1, 2] as const).reduce<number>(
    (sum, index) =>
      sum +
      Math.abs(from.pose.round[index] - to.pose.round[index]) +
      Math.abs(from.pose.side[index] - to.pose.side[index]) +
      Math.abs(from.pose.turn[index] - to.pose.turn[index]),
    0,
  );
}

function tilted(from: Body, to: Body): number {
  const between = dot(rotate(from.pelvisTurn, UP), rotate(to.pelvisTurn, UP));
  return toDegrees(Math.acos(Math.max(-1, Math.min(1, between))));
}
