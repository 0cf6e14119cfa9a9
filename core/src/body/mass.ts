import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { INERTIA, LENGTH, type Build } from './body-segments.ts';
import type { Body } from './body.ts';
import { add, mix, rotate, scale, type Vec3 } from './space.ts';

/** A share of the body's mass and where it acts. */
export interface PointMass {
  mass: number;
  at: Vec3;
}

/** From the hips: the navel and the end of the breastbone, as shares of stature along the back. */
const NAVEL = 0.085;
const BREASTBONE = 0.2;
const NECK = LENGTH.pelvis + LENGTH.lowBack + LENGTH.midBack + LENGTH.highBack;

export function armMasses(body: Body, side: BodySide, build: Build): PointMass[] {
  const { shoulder, elbow, wrist, hand } = body[side];
  const part = INERTIA[build];
  return [
    { mass: part['upper arm'].mass, at: mix(shoulder, elbow, part['upper arm'].centre) },
    { mass: part.forearm.mass, at: mix(elbow, wrist, part.forearm.centre) },
    { mass: part.hand.mass, at: mix(wrist, hand, part.hand.centre * 0.8) },
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

/** What is carried above the low back's root: trunk, head. */
export function upperBodyMasses(body: Body, build: Build): PointMass[] {
  const part = INERTIA[build];
  const middle = part['middle trunk'];
  const upper = part['upper trunk'];
  return [
    { mass: middle.mass, at: placeOnBack(body, BREASTBONE - (BREASTBONE - NAVEL) * middle.centre) },
    { mass: upper.mass, at: placeOnBack(body, NECK - (NECK - BREASTBONE) * upper.centre) },
    {
      mass: part.head.mass,
      at: mix(add(body.head, rotate(body.headTurn, [0, 0.066, 0])), body.neck, part.head.centre),
    },
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
