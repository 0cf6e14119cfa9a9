import type { ArmPose, LegPose } from '../../movement/pose.ts';
import type { RestPart } from '../../movement/pose.ts';
import { BODY_SIDES, type BodySide, type FullPose } from '../full-pose.ts';
import { BY_SIDE, FEET_DOWN, HOLD_THIGHS, ON_HEAD } from '../shapes/limbs.ts';

/*
 * What each support does to a key pose. Undefined: nothing to change here. Angles in degrees, lengths in shares of
 * stature; how much is common practice.
 */

type Limbed = Pick<FullPose, BodySide>;

const isSupine = ({ lean, roll }: FullPose) => lean < -75 && Math.abs(roll) < 45;
const isProneWay = ({ lean, roll }: FullPose) => lean > 50 && Math.abs(roll) < 45;
const rests = ({ rest }: FullPose, part: RestPart) => rest.some(([on]) => on === part);

/** Each limb changed by itself; undefined where none is. */
function withArms(
  pose: FullPose,
  change: (arm: ArmPose) => ArmPose | undefined,
): FullPose | undefined {
  return withLimbs(pose, (limbs) => {
    const arm = change(limbs.arm);
    return arm && { ...limbs, arm };
  });
}

function withLegs(
  pose: FullPose,
  change: (leg: LegPose) => LegPose | undefined,
): FullPose | undefined {
  return withLimbs(pose, (limbs) => {
    const leg = change(limbs.leg);
    return leg && { ...limbs, leg };
  });
}

function withLimbs(
  pose: FullPose,
  change: (limbs: FullPose['right']) => FullPose['right'] | undefined,
): FullPose | undefined {
  const changed = BODY_SIDES.flatMap((side): [BodySide, FullPose['right']][] => {
    const limbs = change(pose[side]);
    return limbs ? [[side, limbs]] : [];
  });
  if (changed.length === 0) return undefined;
  return { ...pose, ...(Object.fromEntries(changed) as Partial<Limbed>) };
}

const handOnFloor = (arm: ArmPose) => arm.hand === 'floor' || (arm.wrist ?? 0) >= 60;

/** On the side the lower arm carries the head. */
const isOnSide = ({ lean, roll }: FullPose) => Math.abs(lean) > 45 && Math.abs(roll) >= 45;

/** Arms that carry stay where they are. */
const isOnArms = (pose: FullPose) => rests(pose, 'hands') || rests(pose, 'elbows');

/** Hands on the bar of the machine. */
export function isOnBar(pose: FullPose): boolean {
  return BODY_SIDES.some((side) => pose[side].arm.hand === 'bar');
}

/** Palms on the floor under a body that looks down. */
export function isOnHands(pose: FullPose): boolean {
  return BODY_SIDES.some((side) => handOnFloor(pose[side].arm));
}

export function isOnKnees(pose: FullPose): boolean {
  return rests(pose, 'knees') || BODY_SIDES.some((side) => leansOnKnee(pose, side));
}

/** A bent knee against the shoulder rest of the machine, beside a leg that stands. */
function leansOnKnee(pose: FullPose, side: BodySide): boolean {
  const { leg } = pose[side];
  const bend = leg.bend ?? 0;
  return pose.machine !== undefined && rests(pose, 'feet') && leg.foot === undefined && bend > 60;
}

export function lyingOnBack(pose: FullPose): boolean {
  return isSupine(pose) && rests(pose, 'pelvis');
}

/** Lies with the head down and the hips down: nothing may be under a head when the hips lift. */
export function headRests(pose: FullPose): boolean {
  const isLifted = pose.round[2] > 15;
  return isSupine(pose) && rests(pose, 'pelvis') && !isLifted;
}

/** Stands or kneels. */
export function isOnOneSupport(pose: FullPose): boolean {
  const isUpright = Math.abs(pose.lean) < 45 && !isOnHands(pose);
  return isUpright && (rests(pose, 'feet') || rests(pose, 'knees'));
}

/** Degrees: knees under the hips; bent farther, the seat is back on the heels. */
const KNEES_UNDER = { least: 60, most: 115 } as const;
/** How much farther a trunk leans when the forearms take the place of the hands. */
const FOREARMS_LEAN = 26;

/** Elbows where the hands were, and the trunk lower by a forearm. */
export function onForearms(pose: FullPose): FullPose | undefined {
  const isLying = rests(pose, 'pelvis') || rests(pose, 'ribs');
  if (!isProneWay(pose) || isLying || pose.machine) return undefined;
  const changed = withArms(pose, (arm) =>
    handOnFloor(arm) ? { flex: (arm.flex ?? 73) + 10, hand: 'forearm' } : undefined,
  );
  if (!changed) return undefined;
  const isHigh = rests(pose, 'knees') && !rests(pose, 'hands');
  const isOnHeels = BODY_SIDES.some((side) => (pose[side].leg.bend ?? 0) > KNEES_UNDER.most);
  if (isHigh && isOnHeels) return undefined;
  if (!isHigh) {
    return {
      ...changed,
      rest: pose.rest.map(([part, high]) => [part === 'hands' ? 'elbows' : part, high]),
    };
  }
  const legs = withLegs(changed, (leg) =>
    leg.foot === undefined && (leg.bend ?? 0) > KNEES_UNDER.least
      ? { ...leg, flex: (leg.flex ?? 0) + FOREARMS_LEAN }
      : undefined,
  );
  return {
    ...(legs ?? changed),
    lean: pose.lean + FOREARMS_LEAN,
    rest: [...pose.rest, ['elbows', 0]],
  };
}

/** Of stature: a notch of the stopper, and how far out a carriage still is at home. */
const STOPPER = { notch: 0.08, home: 0.12 } as const;

/** Feet on the bar, lying: the carriage begins farther from it. */
export function startsFartherOut(pose: FullPose): FullPose | undefined {
  const { machine } = pose;
  if (!machine || machine.out > STOPPER.home || !isSupine(pose)) return undefined;
  const isOnBarByFeet = BODY_SIDES.some((side) => pose[side].leg.foot?.includes('bar') ?? false);
  if (!isOnBarByFeet) return undefined;
  return { ...pose, machine: { ...machine, out: machine.out + STOPPER.notch } };
}

/** A plank from the knees. */
export function kneesDown(pose: FullPose): FullPose | undefined {
  if (!isProneWay(pose) || !rests(pose, 'toes') || pose.machine) return undefined;
  if (BODY_SIDES.some((side) => pose[side].arm.hand === 'ball')) return undefined;
  const isOnElbows = rests(pose, 'elbows');
  const legs = withLegs(pose, (leg) =>
    Math.abs(leg.flex ?? 0) < 20 && (leg.bend ?? 0) < 20
      ? { flex: 2, bend: isOnElbows ? 62 : 84, point: 45 }
      : undefined,
  );
  if (!legs) return undefined;
  return {
    ...legs,
    rest: pose.rest.map(([part, high]) => [part === 'toes' ? 'knees' : part, high]),
  };
}

/** On the back: the other leg than the working one stands. */
export function footDown(pose: FullPose): FullPose | undefined {
  if (!isSupine(pose) || pose.machine || !rests(pose, 'pelvis')) return undefined;
  const { leg } = pose.left;
  if (leg.foot !== undefined || (leg.flex ?? 0) < 20) return undefined;
  return { ...pose, left: { ...pose.left, leg: FEET_DOWN } };
}

/** Curled up from lying: hands behind the head. */
export function handsCarryHead(pose: FullPose): FullPose | undefined {
  if (pose.lean > -60 || pose.round[2] <= 15 || rests(pose, 'shoulders')) return undefined;
  if (pose.machine && pose.machine.straps.includes('hand')) return undefined;
  return withArms(pose, (arm) => (arm.hand === 'head' ? undefined : ON_HEAD));
}

/** Hands that carry nothing but the head. */
const AT_HEAD: readonly string[] = ['head', 'ear', 'forehead'];

export function armsNear(pose: FullPose): FullPose | undefined {
  if (isOnArms(pose) || isOnSide(pose)) return undefined;
  return withArms(pose, (arm) => {
    const isAtHead = AT_HEAD.includes(arm.hand ?? '');
    if ((arm.hand !== undefined && !isAtHead) || handOnFloor(arm)) return undefined;
    const isNear = (arm.flex ?? 0) < 60 && Math.abs(arm.out ?? 0) < 45;
    if (isNear && !isAtHead) return undefined;
    if (isSupine(pose)) return BY_SIDE;
    return isProneWay(pose) ? { flex: 6, out: 10 } : { hand: 'other shoulder' };
  });
}

/** As high as an arm is lifted with a bent elbow. */
const BENT_ARM: ArmPose = { flex: 72, bend: 80 };

export function elbowsBent(pose: FullPose): FullPose | undefined {
  if (isOnArms(pose) || isOnSide(pose)) return undefined;
  return withArms(pose, (arm) =>
    arm.hand === undefined && !handOnFloor(arm) && (arm.flex ?? 0) > 80
      ? { ...BENT_ARM, turn: arm.turn }
      : undefined,
  );
}

export function palmsUp(pose: FullPose): FullPose | undefined {
  return withArms(pose, (arm) =>
    arm.hand === undefined && (arm.out ?? 0) >= 45 && (arm.turn ?? 0) <= 0
      ? { ...arm, turn: 40 }
      : undefined,
  );
}

/** Degrees: a pelvis that leans less sits. */
const UPRIGHT = 15;

/** A folded blanket, and what it takes from hip and low back: stature, degrees. */
const BLANKET = { height: 0.06, hip: 7, low: 10 } as const;

/** The floor is farther away: hands that lay there lie on the thighs. */
function handsOffFloor(pose: FullPose): FullPose {
  const moved = withArms(pose, (arm) => (arm.hand === 'floor' ? { hand: 'thigh' } : undefined));
  return moved ?? pose;
}

/** Sitting on the mat, higher. */
export function seatRaised(pose: FullPose): FullPose | undefined {
  if (Math.abs(pose.lean) > UPRIGHT) return undefined;
  const seat = pose.rest.find(([part]) => part === 'pelvis');
  if (!seat || (seat[1] > 0.02 && !pose.machine) || (pose.machine?.box ?? 'none') !== 'none')
    return undefined;
  const low = pose.round[0] > 0 ? Math.max(0, pose.round[0] - BLANKET.low) : pose.round[0];
  const raised: FullPose = {
    ...pose,
    rest: pose.rest.map(([part, high]) => [part, part === 'pelvis' ? high + BLANKET.height : high]),
    round: [low, pose.round[1], pose.round[2], pose.round[3]],
  };
  const legs = withLegs(handsOffFloor(raised), (leg) =>
    leg.foot === undefined && (leg.flex ?? 0) > 70
      ? { ...leg, flex: (leg.flex ?? 0) - BLANKET.hip }
      : undefined,
  );
  return legs ?? handsOffFloor(raised);
}

const CUSHION = { knee: 22, hip: 15 } as const;

/** Sitting back on the heels, less far. */
export function seatBetweenHeels(pose: FullPose): FullPose | undefined {
  if (!rests(pose, 'knees')) return undefined;
  return withLegs(pose, (leg) =>
    leg.foot === undefined && (leg.bend ?? 0) > 125
      ? { ...leg, bend: (leg.bend ?? 0) - CUSHION.knee, flex: (leg.flex ?? 0) - CUSHION.hip }
      : undefined,
  );
}

/** What a cushion takes from an arch, and the arch for which it is too little: degrees; its height: of stature. */
const PILLOW = { rounds: 7, most: 13, height: 0.03 } as const;

export function hipsOnPillow(pose: FullPose): FullPose | undefined {
  if (pose.lean < 75 || !rests(pose, 'pelvis') || pose.machine) return undefined;
  const [low, mid, up, neck] = pose.round;
  if (-low > PILLOW.most) return undefined;
  return {
    ...pose,
    rest: pose.rest.map(([part, high]) => [part, part === 'pelvis' ? high + PILLOW.height : high]),
    round: [low + PILLOW.rounds, mid, up, neck],
  };
}

const TILT_ROUNDS = 3;

export function flatFirst(pose: FullPose): FullPose | undefined {
  const [low, mid, up, neck] = pose.round;
  if (!isSupine(pose) || !rests(pose, 'pelvis') || low >= 0) return undefined;
  // The pelvis tips under a trunk that stays where it lies.
  return { ...pose, lean: pose.lean + low - TILT_ROUNDS, round: [TILT_ROUNDS, mid, up, neck] };
}

/** Leaning back in sitting: the hands carry. */
export function handsOnThighs(pose: FullPose): FullPose | undefined {
  const isLeaning = pose.lean < -10 && pose.lean > -85 && rests(pose, 'pelvis');
  if (!isLeaning || pose.machine) return undefined;
  return withArms(pose, (arm) => (arm.hand === undefined ? HOLD_THIGHS : undefined));
}

const SOFT_KNEE = 25;
/** Degrees: legs that are farther apart are wide. */
const OPEN = 12;

export function kneesSoft(pose: FullPose): FullPose | undefined {
  return withLegs(pose, (leg) =>
    leg.foot === undefined && (leg.bend ?? 0) < 20 && (leg.flex ?? 0) > 50
      ? { ...leg, bend: SOFT_KNEE }
      : undefined,
  );
}

export function legsTogether(pose: FullPose): FullPose | undefined {
  // One leg that opens by itself is the exercise.
  if (BODY_SIDES.some((side) => (pose[side].leg.out ?? 0) <= OPEN)) return undefined;
  return withLegs(pose, (leg) => (leg.foot === undefined ? { ...leg, out: 0 } : undefined));
}
