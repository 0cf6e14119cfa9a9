import type {
  ArmPose,
  Curve,
  KeyPose,
  LegPose,
  MachinePose,
  Pose,
  RestPart,
} from '../movement/pose.ts';

export type BodySide = 'right' | 'left';
export const BODY_SIDES = ['right', 'left'] as const;

/** A pose with nothing left open. */
export interface FullPose {
  name: string;
  lean: number;
  roll: number;
  face: number;
  round: Curve;
  side: Curve;
  turn: Curve;
  right: { arm: ArmPose; leg: LegPose };
  left: { arm: ArmPose; leg: LegPose };
  /** One or two parts with their heights, the one that stays first. */
  rest: [RestPart, number][];
  along: number;
  /** Where a wall stands in the room, along the way that the body faces. */
  wall: number | undefined;
  machine: MachinePose | undefined;
}

const MACHINE_AT_REST: MachinePose = {
  bar: 'ahead',
  height: 'middle',
  out: 0,
  middle: 0,
  straps: 'none',
  box: 'none',
  board: false,
  platform: false,
};

const NONE: Curve = [0, 0, 0, 0];

const STANDING: FullPose = {
  name: 'standing tall',
  lean: 0,
  roll: 0,
  face: 0,
  round: NONE,
  side: NONE,
  turn: NONE,
  right: { arm: {}, leg: {} },
  left: { arm: {}, leg: {} },
  rest: [['feet', 0]],
  along: 0,
  wall: undefined,
  machine: undefined,
};

/** Fills a pose from the shape it starts with. Throws where a shape does not exist. */
export function completePose(key: KeyPose, shapes: ReadonlyMap<string, Pose>): FullPose {
  const pose: Pose = typeof key === 'string' ? { shape: key } : key;
  const { shape, ...change } = pose;
  if (shape === undefined) return applyChange(STANDING, change);
  const base = shapes.get(shape);
  if (!base) throw new Error(`no shape "${shape}"`);
  return applyChange(completePose(base, shapes), change);
}

/** Of stature: an arm’s reach ahead, where a hand is on a wall and nobody said where that stands. */
const WALL_AHEAD = 0.3;

function applyChange(base: FullPose, change: Pose): FullPose {
  const arm = (own: ArmPose | undefined, before: ArmPose) => own ?? change.arms ?? before;
  const leg = (own: LegPose | undefined, before: LegPose) => own ?? change.legs ?? before;
  const [right, left] = [
    { arm: arm(change.rightArm, base.right.arm), leg: leg(change.rightLeg, base.right.leg) },
    { arm: arm(change.leftArm, base.left.arm), leg: leg(change.leftLeg, base.left.leg) },
  ];
  const isOnWall = right.arm.hand === 'wall' || left.arm.hand === 'wall';
  return {
    name: change.name ?? base.name,
    lean: change.lean ?? base.lean,
    roll: change.roll ?? base.roll,
    face: change.face ?? base.face,
    round: change.round ?? base.round,
    side: change.side ?? base.side,
    turn: change.turn ?? base.turn,
    right,
    left,
    rest: change.rest ? (Object.entries(change.rest) as [RestPart, number][]) : base.rest,
    along: change.along ?? base.along,
    wall: change.wall ?? base.wall ?? (isOnWall ? WALL_AHEAD : undefined),
    machine: change.machine
      ? { ...(base.machine ?? MACHINE_AT_REST), ...change.machine }
      : base.machine,
  };
}

/** The same pose on the other side: limbs change places, bends and turns change their way. */
export function mirrorPose(pose: FullPose): FullPose {
  const flip = ([a, b, c, d]: Curve): Curve => [-a, -b, -c, -d];
  return {
    ...pose,
    roll: -pose.roll,
    side: flip(pose.side),
    turn: flip(pose.turn),
    right: pose.left,
    left: pose.right,
    // A wall beside the body comes to the other side, one ahead stays.
    wall: isAcross(pose.face) && pose.wall !== undefined ? -pose.wall : pose.wall,
    machine: pose.machine && { ...pose.machine, straps: OTHER_STRAP[pose.machine.straps] },
  };
}

/** Faces along the depth of the picture: what is ahead in the room is beside it. */
function isAcross(face: number): boolean {
  return Math.abs(Math.sin((face * Math.PI) / 180)) > Math.SQRT1_2;
}

const OTHER_STRAP: Record<MachinePose['straps'], MachinePose['straps']> = {
  none: 'none',
  hands: 'hands',
  feet: 'feet',
  'right hand': 'left hand',
  'left hand': 'right hand',
  'right foot': 'left foot',
  'left foot': 'right foot',
};

/** A full pose written out again, standing on no shape. */
export function poseOf(full: FullPose): Pose {
  const { right, left, rest, machine, wall, ...trunk } = full;
  return {
    ...trunk,
    rightArm: right.arm,
    leftArm: left.arm,
    rightLeg: right.leg,
    leftLeg: left.leg,
    rest: Object.fromEntries(rest),
    ...(wall === undefined ? {} : { wall }),
    ...(machine ? { machine } : {}),
  };
}
