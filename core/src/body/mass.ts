import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { INERTIA, LENGTH, type Build } from './body-segments.ts';
import type { Body } from './body.ts';
import { add, mix, rotate, scale, type Vec3 } from './space.ts';

/** A share of the body's mass and where it acts. */
export interface PointMass {
  mass: number;
  at: Vec3;
}

/**
 * From the hips along the back, in shares of stature: the navel and the end of the breastbone. De Leva
 * (1996), table 4, women, from memory: navel 0.105, breastbone's end 0.223 and its notch 0.305 over the
 * hips; drawn are 0.295 to the root of the neck, which is the notch.
 */
const NAVEL = 0.101;
const BREASTBONE = 0.216;

/** The seventh neck vertebra over the root of the neck, and behind it: 0.354 over the hips (the same table). */
const SEVENTH_UP = 0.048;
const SEVENTH_BEHIND = -0.025;

/** The crown of the head over its middle. */
const CROWN = 0.066;

/** From the wrist: 78 mm to the knuckles, of which 74.74 %, on women of 1.735 m (the same table). */
const HAND_CENTRE = 0.0336;

const { woman } = INERTIA;
/** Shares of the body's mass: an arm, the head, and all that is above the low back. Women. */
export const ARM_MASS = woman['upper arm'].mass + woman.forearm.mass + woman.hand.mass;
export const HEAD_MASS = woman.head.mass;
export const UPPER_MASS =
  woman['middle trunk'].mass + woman['upper trunk'].mass + HEAD_MASS + 2 * ARM_MASS;

export function armMasses(body: Body, side: BodySide, build: Build): PointMass[] {
  const { shoulder, elbow, wrist, hand } = body[side];
  const part = INERTIA[build];
  return [
    { mass: part['upper arm'].mass, at: mix(shoulder, elbow, part['upper arm'].centre) },
    { mass: part.forearm.mass, at: mix(elbow, wrist, part.forearm.centre) },
    { mass: part.hand.mass, at: mix(wrist, hand, HAND_CENTRE / LENGTH.hand) },
  ];
}

export function legMasses(body: Body, side: BodySide, build: Build): PointMass[] {
  const { hip, knee, ankle, heel, toe } = body[side];
  const part = INERTIA[build];
  return [
    { mass: part.thigh.mass, at: mix(hip, knee, part.thigh.centre) },
    { mass: part.shank.mass, at: mix(knee, ankle, part.shank.centre) },
    { mass: part.foot.mass, at: mix(heel, toe, part.foot.centre) },
  ];
}

/** Pelvis and belly under the navel. */
function lowerTrunkMass(body: Body, build: Build): PointMass {
  const { mass, centre } = INERTIA[build]['lower trunk'];
  return { mass, at: placeOnBack(body, NAVEL * (1 - centre)) };
}

/** What is carried above the low back's root: belly, chest, head. Those of the chest and head run from C7. */
export function upperBodyMasses(
  body: Body,
  build: Build,
): [belly: PointMass, chest: PointMass, head: PointMass] {
  const part = INERTIA[build];
  const middle = part['middle trunk'];
  const upper = part['upper trunk'];
  const seventh = add(body.neck, rotate(body.highTurn, [SEVENTH_BEHIND, SEVENTH_UP, 0]));
  const crown = add(body.head, rotate(body.headTurn, [0, CROWN, 0]));
  return [
    { mass: middle.mass, at: placeOnBack(body, BREASTBONE - (BREASTBONE - NAVEL) * middle.centre) },
    { mass: upper.mass, at: mix(seventh, placeOnBack(body, BREASTBONE), upper.centre) },
    { mass: part.head.mass, at: mix(crown, seventh, part.head.centre) },
  ];
}

function placeOnBack(body: Body, along: number): Vec3 {
  const joints: [Vec3, number][] = [
    [body.hips, LENGTH.pelvis],
    [body.lowBack, LENGTH.lowBack],
    [body.midBack, LENGTH.midBack],
    [body.highBack, LENGTH.highBack],
  ];
  let left = along;
  for (const [index, [joint, long]] of joints.entries()) {
    const next = joints[index + 1]?.[0] ?? body.neck;
    if (left <= long) return mix(joint, next, left / long);
    left -= long;
  }
  return body.neck;
}

export function bodyMasses(body: Body, build: Build): PointMass[] {
  return [
    lowerTrunkMass(body, build),
    ...upperBodyMasses(body, build),
    ...BODY_SIDES.flatMap((side) => [
      ...armMasses(body, side, build),
      ...legMasses(body, side, build),
    ]),
  ];
}

/** The common centre of masses. */
export function centreOf(masses: readonly PointMass[]): Vec3 {
  let sum: Vec3 = [0, 0, 0];
  let total = 0;
  for (const { mass, at } of masses) {
    sum = add(sum, scale(at, mass));
    total += mass;
  }
  return scale(sum, 1 / total);
}
