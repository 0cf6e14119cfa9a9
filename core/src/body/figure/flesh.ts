import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import type { Body } from '../body.ts';
import { THICKNESS, TRUNK } from '../solids.ts';
import { add, mix, mixTurns, rotate, scale, type Turn, type Vec3 } from '../space.ts';
import { ballSpot, depthOf, spotOf, type Camera, type Spot } from './camera.ts';
import { bonePath, chainPath } from './outline.ts';

export type Tone = 'far' | 'trunk' | 'near' | 'hair';

/** One part of the body as it is painted; a greater depth is nearer to the viewer. */
export interface FleshPart {
  tone: Tone;
  depth: number;
  d: string;
  /** Where a rim of paper keeps it apart from what it crosses. */
  rim?: string;
  spots: Spot[];
}

export function paintFlesh(body: Body, camera: Camera): FleshPart[] {
  const trunk = trunkPart(body, camera);
  return [
    trunk,
    ...headParts(body, camera, trunk.depth),
    ...BODY_SIDES.flatMap((side) => [
      legPart(body, side, camera, trunk.depth),
      armPart(body, side, camera, trunk.depth),
    ]),
  ];
}

interface Ring {
  centre: Vec3;
  turn: Turn;
  half: Vec3;
}

/** The trunk's thickness from the hips to the root of the neck. */
function ringsOf(body: Body): Ring[] {
  const seat = add(body.hips, rotate(body.pelvisTurn, [-0.006, -0.004, 0]));
  return [
    { centre: seat, turn: body.pelvisTurn, half: TRUNK.pelvis },
    {
      centre: body.lowBack,
      turn: mixTurns(body.pelvisTurn, body.lowTurn, 0.5),
      half: [0.052, 0.045, 0.078],
    },
    { centre: body.midBack, turn: mixTurns(body.lowTurn, body.midTurn, 0.5), half: TRUNK.waist },
    { centre: body.highBack, turn: mixTurns(body.midTurn, body.highTurn, 0.5), half: TRUNK.ribs },
    { centre: mix(body.highBack, body.neck, 0.58), turn: body.highTurn, half: TRUNK.shoulders },
    {
      centre: add(body.neck, rotate(body.highTurn, [0, -0.012, 0])),
      turn: body.highTurn,
      half: [0.036, 0.03, 0.062],
    },
  ];
}

const BETWEEN = 2;

/** The back as one curve: rings between the rings, along a Catmull-Rom spline. */
function trunkPart(body: Body, camera: Camera): FleshPart {
  const rings = ringsOf(body);
  const smooth: Ring[] = [];
  rings.forEach((ring, index) => {
    const next = rings[index + 1];
    if (!next) {
      smooth.push(ring);
      return;
    }
    const before = rings[Math.max(0, index - 1)] ?? ring;
    const after = rings[index + 2] ?? next;
    for (let step = 0; step < BETWEEN; step += 1) {
      const t = step / BETWEEN;
      smooth.push({
        centre: spline(before.centre, ring.centre, next.centre, after.centre, t),
        turn: t === 0 ? ring.turn : mixTurns(ring.turn, next.turn, t),
        half: mix(ring.half, next.half, t),
      });
    }
  });
  const spots = smooth.map((ring) => spotOf(camera, ring));
  const depth = depthOf(camera, mix(body.hips, body.neck, 0.5));
  return { tone: 'trunk', depth, d: chainPath(spots), spots };
}

function spline(a: Vec3, b: Vec3, c: Vec3, d: Vec3, t: number): Vec3 {
  const one = (i: 0 | 1 | 2): number => {
    const [p, q, r, s] = [a[i], b[i], c[i], d[i]];
    return q + 0.5 * t * (r - p + t * (2 * p - 5 * q + 4 * r - s + t * (3 * (q - r) + s - p)));
  };
  return [one(0), one(1), one(2)];
}

function headParts(body: Body, camera: Camera, trunkDepth: number): FleshPart[] {
  const at = (place: Vec3): Vec3 => add(body.head, rotate(body.headTurn, place));
  const solid = (centre: Vec3, half: Vec3) => spotOf(camera, { centre, turn: body.headTurn, half });
  const neck = [
    ballSpot(camera, mix(body.neck, body.headBase, -0.1), 0.034),
    ballSpot(camera, body.headBase, 0.029),
    ballSpot(camera, mix(body.headBase, body.head, 0.5), 0.03),
  ];
  const face = [
    solid(at([0.002, 0.004, 0]), TRUNK.head),
    solid(at([0.012, -0.026, 0]), [0.036, 0.036, 0.034]),
  ];
  const nose = [
    ballSpot(camera, at([0.04, -0.006, 0]), 0.012),
    ballSpot(camera, at([0.058, -0.013, 0]), 0.007),
  ];
  const hair = solid(at(HAIR), [0.042, 0.05, 0.047]);
  const depth = Math.max(depthOf(camera, body.head), trunkDepth) + 0.001;
  const hairBehind = depthOf(camera, at(HAIR)) < depthOf(camera, at([0.002, 0.004, 0])) - 0.006;
  return [
    {
      tone: 'trunk',
      depth,
      d: chainPath(neck) + chainPath(face) + chainPath(nose),
      rim: chainPath(face),
      spots: [...neck, ...face, ...nose],
    },
    {
      tone: 'hair',
      depth: depth + (hairBehind ? -0.0005 : 0.0005),
      d: chainPath([hair]),
      spots: [hair],
    },
  ];
}

const HAIR: Vec3 = [-0.018, 0.027, 0];

/** Where joints stand among the spots of a limb made denser; rims begin a little down the limb. */
const KNEE = 10;
const THIGH_RIM = 5;
const ELBOW = 7;
const WRIST = 13;
const UPPER_ARM_RIM = 3;

/** Spots between the spots of a limb: straight along the bones, the thickness as one curve. */
function denser(spots: readonly Spot[]): Spot[] {
  const between = [1 / 3, 2 / 3];
  return spots.flatMap((spot, index) => {
    const next = spots[index + 1];
    if (!next) return [spot];
    const radii = [spots[index - 1] ?? spot, spot, next, spots[index + 2] ?? next].map(({ xx }) =>
      Math.sqrt(xx),
    );
    const [a = 0, b = 0, c = 0, d = 0] = radii;
    const inner = between.map((t): Spot => {
      const radius =
        b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
      return {
        x: spot.x + (next.x - spot.x) * t,
        y: spot.y + (next.y - spot.y) * t,
        xx: radius * radius,
        xy: 0,
        yy: radius * radius,
      };
    });
    return [spot, ...inner];
  });
}

/** A limb is far when it lies clearly behind the trunk. */
const BEHIND = 0.02;

function toneOf(depth: number, trunkDepth: number): Tone {
  return depth < trunkDepth - BEHIND ? 'far' : 'near';
}

function legPart(body: Body, side: BodySide, camera: Camera, trunkDepth: number): FleshPart {
  const limbs = body[side];
  const at = (from: Vec3, to: Vec3, t: number, radius: number, turn?: Turn, f = 0): Spot => {
    const centre = mix(from, to, t);
    return ballSpot(camera, turn ? add(centre, rotate(turn, [f, 0, 0])) : centre, radius);
  };
  const { hip, knee, ankle, heel, toe, thigh, shank, foot } = limbs;
  const leg = [
    at(hip, knee, 0, THICKNESS.hip),
    at(hip, knee, 0.3, 0.052, thigh, 0.004),
    at(hip, knee, 0.65, 0.042, thigh, 0.004),
    at(hip, knee, 1, THICKNESS.knee),
    at(knee, ankle, 0.3, THICKNESS.calf, shank, -0.008),
    at(knee, ankle, 0.62, 0.026, shank, -0.003),
    at(knee, ankle, 1, THICKNESS.ankle),
  ];
  const sole = [
    ballSpot(camera, heel, THICKNESS.heel),
    ballSpot(camera, mix(ankle, toe, 0.45), 0.02),
    ballSpot(camera, toe, THICKNESS.toe),
    ballSpot(camera, add(toe, rotate(foot, [0.034, -0.003, 0])), 0.011),
  ];
  const ankleSpot = leg.at(-1);
  const heelSpot = sole[0];
  const instep = ankleSpot && heelSpot ? chainPath([ankleSpot, heelSpot]) : '';
  const depth = depthOf(camera, mix(mix(hip, knee, 0.5), mix(knee, ankle, 0.5), 0.5));
  const low = [...leg.slice(-1), ...sole.slice(1)];
  const flesh = denser(leg);
  const [thighPath, shankPath] = [bonePath(flesh.slice(0, KNEE)), bonePath(flesh.slice(KNEE - 1))];
  const footPath = chainPath(sole) + instep + chainPath(low);
  return {
    tone: toneOf(depth, trunkDepth),
    depth,
    d: thighPath + shankPath + footPath,
    rim: bonePath(flesh.slice(THIGH_RIM, KNEE)) + shankPath + footPath,
    spots: [...leg, ...sole],
  };
}

function armPart(body: Body, side: BodySide, camera: Camera, trunkDepth: number): FleshPart {
  const { shoulder, elbow, wrist, hand, forearm } = body[side];
  const ball = (from: Vec3, to: Vec3, t: number, radius: number, shift: Vec3 = [0, 0, 0]): Spot =>
    ballSpot(camera, add(mix(from, to, t), shift), radius);
  const palm = scale(rotate(forearm, [1, 0, 0]), 0.004);
  const arm = [
    ball(shoulder, elbow, 0, THICKNESS.shoulder),
    ball(shoulder, elbow, 0.4, 0.029),
    ball(shoulder, elbow, 1, THICKNESS.elbow),
    ball(elbow, wrist, 0.28, 0.025),
    ball(elbow, wrist, 1, THICKNESS.wrist - 0.002),
    ball(wrist, hand, 0.35, 0.0175, palm),
    ball(wrist, hand, 0.65, 0.0155, palm),
    ball(wrist, hand, 0.95, 0.011),
  ];
  const flesh = denser(arm);
  const below = bonePath(flesh.slice(ELBOW - 1, WRIST)) + chainPath(arm.slice(4));
  const depth = depthOf(camera, mix(mix(shoulder, elbow, 0.6), mix(elbow, wrist, 0.6), 0.5));
  return {
    tone: toneOf(depth, trunkDepth),
    depth,
    d: bonePath(flesh.slice(0, ELBOW)) + below,
    rim: bonePath(flesh.slice(UPPER_ARM_RIM, ELBOW)) + below,
    spots: arm,
  };
}
