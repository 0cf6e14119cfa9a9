import { BODY_SIDES, type BodySide, type FullPose } from '../full-pose.ts';
import { BOX } from '../machine.ts';
import { CHAIR_SEAT } from '../plant.ts';
import { FEET_DOWN } from '../shapes/limbs.ts';

/*
 * What supports do that put a whole body on another base: hands on a chair, lying on the side, on the box, feet apart;
 * or that bend a back less over a prop. Undefined: nothing to change here. Angles in degrees, lengths in shares of
 * stature; how much is common practice.
 */

const rests = ({ rest }: FullPose, part: FullPose['rest'][number][0]) =>
  rest.some(([on]) => on === part);

/** Degrees that a body leans less with its hands on a chair. */
const LESS_LEAN = { plank: 20, allFours: 25 } as const;

/** Degrees of the hip: straighter is one line from head to heel. */
const STRAIGHT = 20;
/** Degrees: with more bend in the knee the seat goes to the heels. */
const KNEES_UNDER_MOST = 115;

/** Hands on the seat of a chair, in place of the floor. From the knees a plank would be upright on it. */
export function handsHigh(pose: FullPose): FullPose | undefined {
  if (pose.machine || pose.lean < 50 || Math.abs(pose.roll) > 45) return undefined;
  const isOnHeels = BODY_SIDES.some((side) => (pose[side].leg.bend ?? 0) > KNEES_UNDER_MOST);
  if (rests(pose, 'elbows') || isOnHeels) return undefined;
  if (rests(pose, 'toes') && rests(pose, 'hands')) {
    const isStraight = BODY_SIDES.every((side) => Math.abs(pose[side].leg.flex ?? 0) < STRAIGHT);
    return isStraight ? plankOnChair(pose) : undefined;
  }
  return rests(pose, 'knees') && !rests(pose, 'hands') ? allFoursOnChair(pose) : undefined;
}

function plankOnChair(pose: FullPose): FullPose {
  const less = LESS_LEAN.plank;
  // The arms stay upright.
  const limbs = (side: BodySide): FullPose['right'] => {
    const { arm, leg } = pose[side];
    return { arm: arm.hand === undefined ? { ...arm, flex: (arm.flex ?? 0) - less } : arm, leg };
  };
  return {
    ...pose,
    right: limbs('right'),
    left: limbs('left'),
    lean: pose.lean - less,
    rest: pose.rest.map(([part, high]) => [part, part === 'hands' ? CHAIR_SEAT : high]),
  };
}

/** Of stature, ahead of the shoulders and outwards. */
const AHEAD = [0.12, 0] as const;

/** Hands on the floor, both, under a level trunk; the knees stay, the trunk rises. */
function allFoursOnChair(pose: FullPose): FullPose | undefined {
  if (BODY_SIDES.some((side) => pose[side].arm.hand !== 'floor')) return undefined;
  const limbs = (side: BodySide): FullPose['right'] => ({
    arm: { ...pose[side].arm, hand: 'chair', at: AHEAD },
    leg:
      pose[side].leg.foot === undefined
        ? { ...pose[side].leg, flex: (pose[side].leg.flex ?? 0) - LESS_LEAN.allFours }
        : pose[side].leg,
  });
  return {
    ...pose,
    lean: pose.lean - LESS_LEAN.allFours,
    right: limbs('right'),
    left: limbs('left'),
  };
}

/** As on the side: knees bent and together, the head on the lower arm, the upper hand before the chest. */
const ON_SIDE = {
  lean: -90,
  roll: 90,
  lower: { flex: 168, out: 0, bend: 0 },
  upper: { hand: 'floor', at: [0.06, 0.12], elbow: [0.3, -0.4, 0.8] },
  leg: { flex: 48, bend: 88, point: 15 },
} as const;

/** Degrees: an arm that is lifted more is what the exercise moves. */
const ARM_LIES = 45;

/** What is done lying on the back with still limbs: breath, small bends of the back, squeezes. */
export function onTheSide(pose: FullPose): FullPose | undefined {
  const isSupine = pose.lean < -75 && Math.abs(pose.roll) < 45 && rests(pose, 'pelvis');
  const isLevel =
    pose.round[2] < 10 && [...pose.turn, ...pose.side].every((bend) => Math.abs(bend) < 5);
  const isStill = BODY_SIDES.every((side) => {
    const { arm, leg } = pose[side];
    const lies = arm.hand !== undefined || (arm.flex ?? 0) < ARM_LIES;
    return lies && leg.foot === 'floor';
  });
  if (!isSupine || !isLevel || !isStill || pose.machine) return undefined;
  const [low, mid] = pose.round;
  return {
    ...pose,
    lean: ON_SIDE.lean,
    roll: ON_SIDE.roll,
    round: [low, mid, 0, 0],
    side: [0, 0, 0, 4],
    rest: [
      ['pelvis', 0],
      ['shoulders', 0],
    ],
    right: { arm: ON_SIDE.lower, leg: ON_SIDE.leg },
    left: { arm: ON_SIDE.upper, leg: ON_SIDE.leg },
  };
}

/** Sitting on the carriage with the legs long: on the box, feet down before it. */
export function onTheBox(pose: FullPose): FullPose | undefined {
  if (!pose.machine || pose.machine.box !== 'none' || Math.abs(pose.lean) > 15) return undefined;
  const areLong = BODY_SIDES.every((side) => {
    const { flex = 0, bend = 0, foot } = pose[side].leg;
    return foot === undefined && flex > 60 && bend < 30;
  });
  if (!rests(pose, 'pelvis') || !areLong) return undefined;
  return {
    ...pose,
    rest: pose.rest.map(([part, high]) => [part, part === 'pelvis' ? BOX.height : high]),
    machine: { ...pose.machine, box: 'short', middle: 0 },
    right: { ...pose.right, leg: FEET_DOWN },
    left: { ...pose.left, leg: FEET_DOWN },
  };
}

/** Of stature: a short step ahead, and a little wider. */
const STEP = 0.06;
const STEP_OUT = 0.05;

/** Standing on both feet and on nothing else: one ahead of the other. */
export function feetSplit(pose: FullPose): FullPose | undefined {
  const isUpright = Math.abs(pose.lean) < 20 && rests(pose, 'feet') && !pose.machine;
  const areStraight = BODY_SIDES.every((side) => {
    const { arm, leg } = pose[side];
    const isBent = Math.abs(leg.flex ?? 0) >= 6 || (leg.bend ?? 0) >= 6;
    return leg.foot === undefined && !isBent && arm.hand !== 'wall';
  });
  if (!isUpright || !areStraight) return undefined;
  const stepped = (side: BodySide, ahead: number): FullPose['right'] => ({
    ...pose[side],
    leg: { ...pose[side].leg, foot: 'floor', at: [ahead, STEP_OUT] },
  });
  return { ...pose, right: stepped('right', STEP), left: stepped('left', -STEP) };
}

/** Lying with the feet standing: where they could slide. */
export function feetStandLying(pose: FullPose): boolean {
  const isSupine = pose.lean < -60 && Math.abs(pose.roll) < 45;
  return isSupine && !pose.machine && BODY_SIDES.some((side) => pose[side].leg.foot === 'floor');
}

/** Of an arch over a prop, so much is left when it is lower. */
const LEFT_OF_ARCH = 0.6;
/** A ball with less air, a cushion fewer. */
const LEFT_OF_HEIGHT = 0.7;

/** A back bent over a prop that is lower. */
export function archesLess(pose: FullPose): FullPose | undefined {
  const less = (bend: number) => (bend < 0 ? bend * LEFT_OF_ARCH : bend);
  const [low, mid, up, neck] = pose.round;
  if (low >= 0 && mid >= 0 && up >= 0) return undefined;
  return {
    ...pose,
    // What lies on the prop comes down with it.
    rest: pose.rest.map(([part, high]) => [part, high > 0 ? high * LEFT_OF_HEIGHT : high]),
    round: [less(low), less(mid), less(up), neck],
  };
}

/** The arch goes up with the prop: the low back is long. */
export function archesHigher(pose: FullPose): FullPose | undefined {
  const [low, mid, up, neck] = pose.round;
  if (low >= 0 && mid >= 0) return undefined;
  return { ...pose, round: [Math.max(0, low), Math.min(0, mid / 2), up, neck] };
}
