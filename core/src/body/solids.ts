import type { RestPart } from '../movement/pose.ts';
import type { Body } from './body.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { dot, invert, rotate, type Turn, type Vec3, UP } from './space.ts';

/** An ellipsoid of flesh: half sizes to the front, up and to the right of its own frame. */
export interface Solid {
  part: RestPart;
  side?: BodySide;
  centre: Vec3;
  turn: Turn;
  half: Vec3;
}

/** Half thicknesses of limbs, in shares of stature. */
export const THICKNESS = {
  shoulder: 0.036,
  elbow: 0.024,
  wrist: 0.018,
  hand: 0.013,
  hip: 0.056,
  knee: 0.032,
  calf: 0.034,
  ankle: 0.02,
  heel: 0.02,
  toe: 0.016,
} as const;

/** Depth, height and width of the trunk's parts and the head (halves). */
export const TRUNK = {
  pelvis: [0.06, 0.055, 0.088],
  waist: [0.048, 0.05, 0.07],
  ribs: [0.058, 0.06, 0.08],
  shoulders: [0.058, 0.055, 0.09],
  head: [0.052, 0.066, 0.045],
} as const satisfies Record<string, Vec3>;

/** The solids of one part, both sides. */
export function partSolids(body: Body, part: RestPart): Solid[] {
  const trunk = (centre: Vec3, turn: Turn, half: Vec3): Solid[] => [{ part, centre, turn, half }];
  const pair = (
    radius: number,
    centre: (side: BodySide) => Vec3,
    turn: (side: BodySide) => Turn,
  ): Solid[] =>
    BODY_SIDES.map((side) => ({
      part,
      side,
      centre: centre(side),
      turn: turn(side),
      half: [radius, radius, radius],
    }));
  switch (part) {
    case 'pelvis':
      return trunk(body.hips, body.pelvisTurn, TRUNK.pelvis);
    case 'waist':
      return trunk(middle(body.lowBack, body.midBack), body.lowTurn, TRUNK.waist);
    case 'ribs':
      return trunk(body.highBack, body.midTurn, TRUNK.ribs);
    case 'shoulders':
      return [
        ...trunk(middle(body.highBack, body.neck), body.highTurn, TRUNK.shoulders),
        ...pair(
          0.03,
          (side) => body[side].shoulder,
          (side) => body[side].upperArm,
        ),
      ];
    case 'head':
      return trunk(body.head, body.headTurn, TRUNK.head);
    case 'elbows':
      return pair(
        THICKNESS.elbow,
        (side) => body[side].elbow,
        (side) => body[side].upperArm,
      );
    case 'hands':
      return pair(
        THICKNESS.hand,
        (side) => middle(body[side].wrist, body[side].hand),
        (side) => body[side].forearm,
      );
    case 'knees':
      return pair(
        THICKNESS.knee,
        (side) => body[side].knee,
        (side) => body[side].thigh,
      );
    case 'feet':
      return BODY_SIDES.flatMap((side) => [
        {
          part,
          side,
          centre: body[side].heel,
          turn: body[side].foot,
          half: sphere(THICKNESS.heel),
        },
        { part, side, centre: body[side].toe, turn: body[side].foot, half: sphere(THICKNESS.toe) },
      ]);
    case 'toes':
      return pair(
        THICKNESS.toe,
        (side) => body[side].toe,
        (side) => body[side].foot,
      );
  }
}

const sphere = (radius: number): Vec3 => [radius, radius, radius];

const middle = (a: Vec3, b: Vec3): Vec3 => [
  (a[0] + b[0]) / 2,
  (a[1] + b[1]) / 2,
  (a[2] + b[2]) / 2,
];

/** How far an ellipsoid reaches from its centre in a direction of length one. */
export function extent({ turn, half }: Pick<Solid, 'turn' | 'half'>, direction: Vec3): number {
  if (half[0] === half[1] && half[1] === half[2]) return half[0];
  const [front, up, right] = rotate(invert(turn), direction);
  return Math.hypot(front * half[0], up * half[1], right * half[2]);
}

/** Of some solids the one that reaches least in a direction, and where it ends. */
export function lowestAlong(
  solids: readonly Solid[],
  up: Vec3,
): { centre: Vec3; height: number; solid: Solid } {
  let best: { centre: Vec3; height: number; solid: Solid } | undefined;
  for (const solid of solids) {
    const height = dot(solid.centre, up) - extent(solid, up);
    // Of two that are as low, rounding does not choose.
    if (!best || height < best.height - 1e-9) best = { centre: solid.centre, height, solid };
  }
  if (!best) throw new Error('no solids to find the lowest of');
  return best;
}

/** The lowest solid of a part: where it is and how high its underside stands. */
export function lowestOf(body: Body, part: RestPart): ReturnType<typeof lowestAlong> {
  return lowestAlong(partSolids(body, part), UP);
}
