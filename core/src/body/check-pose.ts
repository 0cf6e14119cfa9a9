import { STATURE_M } from './body-segments.ts';
import type { ContactPart } from './contacts.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { JOINT_LIMITS, type JointRange } from './joint-limits.ts';
import type { Body } from './body.ts';
import { ballJointAngles, hingeAngle } from './joint-angles.ts';
import { REST_PARTS } from '../movement/rest-parts.ts';
import { extent, lowestOf, partSolids } from './solids.ts';
import { compose, dot, invert, rotate, toDegrees, UP, type Turn } from './space.ts';

/** Something about a pose that a body could not do or a picture should not show. */
export interface PoseFault {
  kind: 'joint' | 'underground' | 'unreached' | 'unrested';
  sentence: string;
}

/** Two centimetres on a middle body. */
const TOLERANCE = 0.012;
/** An arm out to the side by more than this has its lift measured about another line: that is not checked. */
const LIFTED_ASIDE_DEG = 60;

export function faultsOf(body: Body): PoseFault[] {
  return [
    ...jointFaults(body),
    ...undergroundFaults(body),
    ...reachFaults(body),
    ...restFaults(body),
  ];
}

const WAY_WORDS = { round: 'rounding', side: 'side-bend', turn: 'turn' } as const;

function jointFaults(body: Body): PoseFault[] {
  const faults: PoseFault[] = [];
  const test = (name: string, range: JointRange, degrees: number) => {
    const [least, most] = range;
    if (degrees >= least - 1 && degrees <= most + 1) return;
    faults.push({
      kind: 'joint',
      sentence: `${name} is at ${degrees.toFixed(0)}°; a body goes from ${least}° to ${most}°.`,
    });
  };
  const { pose } = body;
  const back = ['low back', 'middle back', 'upper back', 'neck'] as const;
  back.forEach((name, index) => {
    const limit = JOINT_LIMITS[name];
    test(`${name}: rounding`, limit.round, pose.round[index as 0]);
    test(`${name}: side-bend`, limit.side, pose.side[index as 0]);
    test(`${name}: turn`, limit.turn, pose.turn[index as 0]);
  });
  const whole = JOINT_LIMITS['whole back'];
  for (const way of ['round', 'side', 'turn'] as const) {
    const [low, middle, upper] = pose[way];
    test(`the whole back: ${WAY_WORDS[way]}`, whole[way], low + middle + upper);
  }
  for (const side of BODY_SIDES) {
    const limbs = body[side];
    // Turns are read from the pose: seen from outside, a limb that points sideways has none of its own.
    test(`${side} hip: turn`, JOINT_LIMITS.hip.turn, pose[side].leg.turn ?? 0);
    test(`${side} shoulder: turn`, JOINT_LIMITS.shoulder.turn, pose[side].arm.turn ?? 0);
    test(`${side} wrist`, JOINT_LIMITS.wrist, pose[side].arm.wrist ?? 0);
    const hip = ballJointAngles(body.pelvisTurn, limbs.thigh, side);
    test(`${side} hip: flexion`, JOINT_LIMITS.hip.flex, hip.flex);
    test(`${side} hip: opening`, JOINT_LIMITS.hip.out, hip.out);
    test(`${side} knee`, JOINT_LIMITS.knee, signedHinge(limbs.thigh, limbs.shank, -1));
    test(`${side} elbow`, JOINT_LIMITS.elbow, hingeAngle(limbs.upperArm, limbs.forearm));
    test(`${side} ankle`, JOINT_LIMITS.ankle, pointOf(limbs.shank, limbs.foot));
    const arm = ballJointAngles(body.highTurn, limbs.upperArm, side);
    if (Math.abs(arm.out) < LIFTED_ASIDE_DEG)
      test(`${side} shoulder: lift`, JOINT_LIMITS.shoulder.flex, fold(arm.flex));
  }
  return faults;
}

/** Overhead and a little beyond is the same as far behind: count it as forward lift. */
function fold(degrees: number): number {
  return degrees < -90 ? degrees + 360 : degrees;
}

/** The bend of a hinge, negative where it goes the wrong way. */
function signedHinge(upper: Turn, lower: Turn, way: 1 | -1): number {
  const local = rotate(compose(invert(upper), lower), [0, -1, 0]);
  return toDegrees(Math.atan2(way * local[0], -local[1]));
}

/** How far a foot is pointed: 0 square to the shank. */
export function pointOf(shank: Turn, foot: Turn): number {
  const front = rotate(foot, [1, 0, 0]);
  const down = rotate(shank, [0, -1, 0]);
  return toDegrees(Math.asin(Math.max(-1, Math.min(1, dot(front, down)))));
}

/** One part of one side, as it is said. */
const ONE_OF: Partial<Record<ContactPart, string>> = {
  thighs: 'thigh',
  calves: 'calf',
  'upper arms': 'upper arm',
  feet: 'foot',
  toes: 'ball of the foot',
  hands: 'hand',
  knees: 'knee',
  elbows: 'elbow',
  shoulders: 'shoulder',
};

export function namePart(part: ContactPart, side: BodySide | undefined): string {
  return side ? `the ${side} ${ONE_OF[part] ?? part}` : `the ${part}`;
}

function undergroundFaults(body: Body): PoseFault[] {
  if (body.pose.machine) return [];
  const faults: PoseFault[] = [];
  for (const part of REST_PARTS) {
    // The feet's solids hold the toes.
    if (part === 'toes') continue;
    for (const solid of partSolids(body, part)) {
      const low = solid.centre[1] - extent(solid, UP);
      if (low >= -TOLERANCE) continue;
      const depth = Math.round(-low * STATURE_M * 100);
      const sentence = `${namePart(part, solid.side)} is ${depth} cm under the floor.`;
      if (faults.some((fault) => fault.sentence === sentence)) continue;
      faults.push({
        kind: 'underground',
        sentence,
      });
    }
  }
  return faults;
}

/** A hand or foot that was to be put somewhere and does not get there. */
function reachFaults(body: Body): PoseFault[] {
  const faults: PoseFault[] = [];
  for (const side of BODY_SIDES) {
    const { arm, leg } = body.pose[side];
    const limbs = body[side];
    const test = (what: string, target: string | undefined, away: number) => {
      if (!target || away <= TOLERANCE) return;
      faults.push({
        kind: 'unreached',
        sentence: `the ${side} ${what} is ${Math.round(away * STATURE_M * 100)} cm short of the ${target}.`,
      });
    };
    test('hand', arm.hand, limbs.short.arm);
    test('foot', leg.foot, limbs.short.leg);
  }
  return faults;
}

/** A part that is said to carry the body and does not touch what it should. */
function restFaults(body: Body): PoseFault[] {
  return body.pose.rest.flatMap(([part, height]) => {
    const away = lowestOf(body, part).height - height;
    if (Math.abs(away) <= TOLERANCE) return [];
    return [
      {
        kind: 'unrested' as const,
        sentence: `the ${part} should carry the body; ${Math.abs(Math.round(away * STATURE_M * 100))} cm ${away > 0 ? 'are missing' : 'too low'}.`,
      },
    ];
  });
}
