import type { ArmPose, Curve, KeyPose, LegPose, Pose } from '../movement/pose.ts';
import { pointOf } from './check-pose.ts';
import type { BodySide } from './full-pose.ts';
import { JOINT_LIMITS } from './joint-limits.ts';
import { bendTo } from './reach.ts';
import { LENGTH } from './body-segments.ts';
import type { Body } from './body.ts';
import { ballJointAngles, hingeAngle } from './joint-angles.ts';
import { layOutBody } from './skeleton.ts';
import { fullPose } from './shapes/index.ts';
import { lowestOf } from './solids.ts';
import {
  add,
  clamp,
  cross,
  dot,
  FRONT,
  invert,
  length,
  mix,
  RIGHT,
  rotate,
  scale,
  subtract,
  toDegrees,
  type Vec3,
} from './space.ts';

/** The places of a figure that can be taken hold of. */
export const HANDLES = [
  'right hand',
  'left hand',
  'right foot',
  'left foot',
  'chest',
  'head',
  'hips',
] as const;
export type Handle = (typeof HANDLES)[number];

export function handlePlace(body: Body, handle: Handle): Vec3 {
  switch (handle) {
    case 'right hand':
      return mix(body.right.wrist, body.right.hand, 0.5);
    case 'left hand':
      return mix(body.left.wrist, body.left.hand, 0.5);
    case 'right foot':
      return body.right.ankle;
    case 'left foot':
      return body.left.ankle;
    case 'chest':
      return mix(body.highBack, body.neck, 0.5);
    case 'head':
      return body.head;
    case 'hips':
      return body.hips;
  }
}

/**
 * A pose with one handle moved by a way in the room. Limbs bend as they must; chest and head bend
 * the back and the neck; hips tip the pelvis. Angles stay within what a body can do.
 */
export function dragPose(key: KeyPose, handle: Handle, by: Vec3): Pose {
  const pose: Pose = typeof key === 'string' ? { shape: key } : key;
  const body = layOutBody(fullPose(key));
  switch (handle) {
    case 'right hand':
      return { ...pose, rightArm: armTo(body, 'right', by) };
    case 'left hand':
      return { ...pose, leftArm: armTo(body, 'left', by) };
    case 'right foot':
      return { ...pose, rightLeg: legTo(body, 'right', by) };
    case 'left foot':
      return { ...pose, leftLeg: legTo(body, 'left', by) };
    case 'chest':
      return { ...pose, ...bendBack(body, by) };
    case 'head':
      return { ...pose, ...bendNeck(body, by) };
    case 'hips':
      return { ...pose, lean: tipPelvis(body, by) };
  }
}

const whole = (degrees: number, range: readonly [number, number]): number =>
  Math.round(clamp(degrees, range[0], range[1]));

function armTo(body: Body, side: BodySide, by: Vec3): ArmPose {
  const limbs = body[side];
  const { shrug, reach, wrist } = body.pose[side].arm;
  const bow = bowOf(
    limbs.shoulder,
    limbs.elbow,
    limbs.wrist,
    scale(rotate(limbs.upperArm, FRONT), -1),
  );
  const bent = bendTo(
    limbs.shoulder,
    add(limbs.wrist, by),
    LENGTH.upperArm,
    LENGTH.forearm,
    bow,
    1,
  );
  const { flex, out, turn } = ballJointAngles(body.highTurn, bent.upper, side);
  return {
    flex: Math.round(flex),
    out: Math.round(out),
    turn: Math.round(turn),
    bend: whole(hingeAngle(bent.upper, bent.lower), JOINT_LIMITS.elbow),
    ...(wrist ? { wrist } : {}),
    ...(shrug ? { shrug } : {}),
    ...(reach ? { reach } : {}),
  };
}

function legTo(body: Body, side: BodySide, by: Vec3): LegPose {
  const limbs = body[side];
  const bow = bowOf(limbs.hip, limbs.knee, limbs.ankle, rotate(limbs.thigh, FRONT));
  const bent = bendTo(limbs.hip, add(limbs.ankle, by), LENGTH.thigh, LENGTH.shank, bow, -1);
  const { flex, out, turn } = ballJointAngles(body.pelvisTurn, bent.upper, side);
  return {
    flex: whole(flex, JOINT_LIMITS.hip.flex),
    out: whole(out, JOINT_LIMITS.hip.out),
    turn: Math.round(turn),
    bend: whole(hingeAngle(bent.upper, bent.lower), JOINT_LIMITS.knee),
    point: whole(pointOf(limbs.shank, limbs.foot), JOINT_LIMITS.ankle),
  };
}

/** Keeps a knee or elbow on the side it is bent to; a straight one bends its usual way. */
function bowOf(root: Vec3, middle: Vec3, end: Vec3, usual: Vec3): Vec3 {
  const line = subtract(end, root);
  const along = dot(subtract(middle, root), line) / Math.max(1e-9, dot(line, line));
  const bow = subtract(middle, add(root, scale(line, along)));
  return length(bow) > 0.01 ? bow : usual;
}

/** How the three joints of the back share a bend. */
const SHARES = [0.3, 0.3, 0.4] as const;

function bendBack(body: Body, by: Vec3): Pick<Pose, 'round' | 'side'> {
  const from = subtract(handlePlace(body, 'chest'), body.hips);
  const { forward, sideways } = turnsBetween(body, from, add(from, by));
  const { round, side } = body.pose;
  const limits = [
    JOINT_LIMITS['low back'],
    JOINT_LIMITS['middle back'],
    JOINT_LIMITS['upper back'],
  ];
  const share = (curve: Curve, degrees: number, which: 'round' | 'side'): Curve => {
    const [a, b, c] = SHARES.map((part, index) =>
      whole(curve[index as 0] + degrees * part, limits[index]?.[which] ?? [0, 0]),
    );
    return [a ?? 0, b ?? 0, c ?? 0, curve[3]];
  };
  return { round: share(round, forward, 'round'), side: share(side, sideways, 'side') };
}

function bendNeck(body: Body, by: Vec3): Pick<Pose, 'round' | 'side'> {
  const from = subtract(body.head, body.neck);
  const { forward, sideways } = turnsBetween(body, from, add(from, by));
  const { round, side } = body.pose;
  return {
    round: [round[0], round[1], round[2], whole(round[3] + forward, JOINT_LIMITS.neck.round)],
    side: [side[0], side[1], side[2], whole(side[3] + sideways, JOINT_LIMITS.neck.side)],
  };
}

/** Degrees forward and to the right, as the pelvis sees a part turn. */
function turnsBetween(body: Body, from: Vec3, to: Vec3): { forward: number; sideways: number } {
  const back = invert(body.pelvisTurn);
  const [a, b] = [rotate(back, from), rotate(back, to)];
  const angle = (x: number, y: number): number => toDegrees(Math.atan2(x, y));
  return {
    forward: angle(b[0], b[1]) - angle(a[0], a[1]),
    sideways: angle(b[2], b[1]) - angle(a[2], a[1]),
  };
}

/** Nearer to what the body rests on than this, the hips are what it rests on. */
const AT_REST = 0.12;
const DEGREES_A_SHARE = 110;

function tipPelvis(body: Body, by: Vec3): number {
  const [first] = body.pose.rest;
  const anchor = first ? lowestOf(body, first[0]).centre : body.hips;
  const arm = subtract(body.hips, anchor);
  const turned =
    length(arm) < AT_REST
      ? by[0] * DEGREES_A_SHARE
      : -toDegrees(dot(cross(arm, by), RIGHT) / dot(arm, arm));
  return Math.round(body.pose.lean + turned);
}
