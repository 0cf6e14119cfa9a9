import type { ArmPose, LegPose, Pose } from './pose.ts';

const arm = (upper: number, fore: ArmPose['fore'], hand?: number): ArmPose =>
  hand === undefined ? { upper, fore } : { upper, fore, hand };
const leg = (thigh: number, shank: LegPose['shank'], foot = 0): LegPose => ({ thigh, shank, foot });

const FLAT = [180, 180, 180] as const;
const TALL = [90, 90, 90] as const;

const BY_SIDE = arm(-12, -4);
const TO_CEILING = arm(90, 90);
const OVERHEAD = arm(150, 176);
const BEHIND_HEAD = arm(118, 252, 250);
const ON_RIBS = arm(-12, 146, 170);
const WIDE = arm(-16, 'floor-right');
const ON_KNEES = arm(28, 42);

const FOOT_DOWN = leg(56, 'floor-right');
const LONG = leg(-3, -2, 70);
const TABLE = leg(90, 0, 20);
const OUT = leg(32, 30, 40);

const lying = (name: string, armPose: ArmPose, legPose: LegPose, far?: Pose['far']): Pose => ({
  name,
  spine: FLAT,
  head: 178,
  near: { arm: armPose, leg: legPose },
  ...(far ? { far } : {}),
});

const CURL = { spine: [180, 174, 146], head: 118 } as const;
const BRIDGE = { spine: [212, 206, 192], head: 178 } as const;
const BRIDGE_LEG = leg(20, 'floor-right');

const FOURS = [163, 163, 163] as const;
const KNEELING_LEG = leg(-90, 0, -8);
const HAND_DOWN = arm(-92, 'floor-left', 180);
const HELD_OUT = arm(176, 180);

const onAllFours = (name: string, change: Partial<Pose> = {}): Pose => ({
  name,
  spine: FOURS,
  head: 172,
  near: { arm: HAND_DOWN, leg: KNEELING_LEG },
  ...change,
});

const PRONE_LEG = leg(0, 0, -12);
const onFront = (name: string, spine: Pose['spine'], head: number, armPose: ArmPose): Pose => ({
  name,
  spine,
  head,
  near: { arm: armPose, leg: PRONE_LEG },
});

const SIDE_ARM = arm(182, 181);
const HAND_IN_FRONT = arm(-12, 'floor-right', 0);
const onSide = (name: string, legPose: LegPose, change: Partial<Pose> = {}): Pose => ({
  name,
  spine: FLAT,
  head: 176,
  near: { arm: HAND_IN_FRONT, leg: legPose },
  far: { arm: SIDE_ARM, leg: leg(-2, -6, -4) },
  legLength: 0.8,
  ...change,
});

const CROSSED = leg(8, 192, 0);
const sitting = (
  name: string,
  armPose: ArmPose,
  legPose: LegPose,
  change: Partial<Pose> = {},
): Pose => ({
  name,
  spine: TALL,
  head: 90,
  near: { arm: armPose, leg: legPose },
  ...change,
});
const C_CURVE = { spine: [136, 112, 84], head: 66 } as const;
const HOLD_THIGH = arm(-42, 4);

const PLANK_SPINE = [161, 161, 161] as const;
const PLANK_LEG = leg(-19, 'floor-right', -62);
const STRAIGHT_ARM = arm(-92, -92, 180);

/** Key poses by name. The options of an exercise point at these. */
export const SHAPES = {
  'supine-bent': lying('lying on the back, knees bent', BY_SIDE, FOOT_DOWN),
  'supine-hands-ribs': lying('lying, knees bent, hands on the ribs', ON_RIBS, FOOT_DOWN),
  'supine-hands-knees': lying('lying, hands on the knees', ON_KNEES, leg(72, 'floor-right')),
  'supine-hands-head': lying('lying, knees bent, hands behind the head', BEHIND_HEAD, FOOT_DOWN),
  'supine-long': lying('lying, legs long', BY_SIDE, LONG),
  'supine-long-arms-over': lying('lying, legs long, arms overhead', OVERHEAD, LONG),
  'supine-tilt': {
    ...lying('lying, knees bent, tail curled under', BY_SIDE, leg(60, 'floor-right')),
    spine: [192, 180, 180],
  },
  'supine-arms-up': lying('lying, knees bent, arms to the ceiling', TO_CEILING, FOOT_DOWN),
  'supine-arm-over': lying('lying, knees bent, one arm overhead', OVERHEAD, FOOT_DOWN, {
    arm: TO_CEILING,
  }),
  'supine-arms-over': lying('lying, knees bent, arms overhead', OVERHEAD, FOOT_DOWN),
  'supine-t': lying('lying, knees bent, arms wide', WIDE, FOOT_DOWN),
  'supine-one-90': lying('lying, one leg at 90/90', BY_SIDE, TABLE, { leg: FOOT_DOWN }),
  'supine-90': lying('lying, both legs at 90/90', BY_SIDE, TABLE),
  'supine-90-arms-up': lying('lying, legs at 90/90, arms to the ceiling', TO_CEILING, TABLE),
  'supine-90-out': lying('lying, one leg at 90/90, the other reaching', BY_SIDE, OUT, {
    leg: TABLE,
  }),
  'supine-90-over': lying('lying, legs at 90/90 swaying to one side', WIDE, leg(62, -14, 0), {
    leg: leg(74, -8, 0),
  }),
  'supine-one-long': lying('lying, one knee bent, one leg sliding long', BY_SIDE, LONG, {
    leg: FOOT_DOWN,
  }),
  'supine-one-out': lying('lying, one foot down, the other leg reaching', BY_SIDE, OUT, {
    leg: FOOT_DOWN,
  }),
  'supine-one-knee-in': lying('lying, one knee drawn in', arm(24, 30), leg(124, -32, -10), {
    leg: FOOT_DOWN,
  }),
  'supine-knees-over': lying('lying, both knees swayed to one side', WIDE, leg(26, 'floor-right'), {
    leg: leg(38, 'floor-right'),
  }),
  'supine-legs-up': lying('lying, legs straight up', BY_SIDE, leg(88, 88, 60)),
  'dead-bug': lying('lying, opposite arm and leg reaching', OVERHEAD, TABLE, {
    arm: TO_CEILING,
    leg: OUT,
  }),
  'knees-to-chest': lying('lying, both knees drawn in', arm(24, 30), leg(126, -30, -10)),
  'figure-four-down': lying(
    'lying, ankle crossed on the other thigh, foot down',
    ON_KNEES,
    leg(62, -6, -60),
    { leg: leg(58, 'floor-right') },
  ),
  'figure-four': lying(
    'lying, ankle crossed on the other thigh, leg drawn in',
    arm(26, 34),
    leg(100, -22, -70),
    { leg: leg(112, -8, 10) },
  ),
  'leg-up': lying('lying, one leg straight up with a band', arm(24, 60), leg(86, 86, 20), {
    leg: FOOT_DOWN,
  }),
  'leg-up-bent': lying('lying, one leg up, hands behind the thigh', arm(24, 34), leg(96, 66, 20), {
    leg: FOOT_DOWN,
  }),
  'leg-up-long': lying(
    'lying, one leg up with a band, the other long',
    arm(24, 60),
    leg(86, 86, 20),
    { leg: LONG },
  ),
  'over-ball': {
    ...lying('lying over a ball, hands behind the head', BEHIND_HEAD, FOOT_DOWN),
    spine: [168, 182, 206],
    head: 206,
  },
  'chest-lift-low': {
    name: 'head and shoulders lifted a little, hands behind the head',
    spine: [180, 178, 160],
    head: 140,
    near: { arm: arm(104, 238, 255), leg: FOOT_DOWN },
  },
  'chest-lift': {
    name: 'head and chest lifted, hands behind the head',
    ...CURL,
    near: { arm: arm(84, 226, 250), leg: FOOT_DOWN },
  },
  'chest-lift-reach': {
    name: 'head and chest lifted, arms reaching',
    ...CURL,
    near: { arm: arm(2, 4), leg: FOOT_DOWN },
  },
  'chest-lift-90': {
    name: 'head and chest lifted, legs at 90/90',
    ...CURL,
    near: { arm: arm(84, 226, 250), leg: TABLE },
  },
  'chest-lift-90-out': {
    name: 'head and chest lifted, one leg reaching',
    ...CURL,
    near: { arm: arm(84, 226, 250), leg: OUT },
    far: { leg: TABLE },
  },
  'bridge-low': {
    name: 'hips lifted a little, knees bent',
    spine: [192, 190, 186],
    head: 178,
    near: { arm: BY_SIDE, leg: leg(42, 'floor-right') },
  },
  bridge: {
    name: 'hips lifted to a long line, knees bent',
    ...BRIDGE,
    near: { arm: BY_SIDE, leg: BRIDGE_LEG },
  },
  'bridge-arms-over': {
    name: 'hips lifted, arms overhead',
    ...BRIDGE,
    near: { arm: arm(176, 182), leg: BRIDGE_LEG },
  },
  'recline-low': {
    ...lying('lying back over a cushion', arm(-50, 'floor-right'), FOOT_DOWN),
    spine: [166, 168, 190],
    head: 186,
  },
  recline: {
    ...lying('lying back over two cushions', arm(-56, 'floor-right'), FOOT_DOWN),
    spine: [156, 162, 192],
    head: 192,
  },
  'recline-arms-over': {
    ...lying('lying back over cushions, arms overhead', arm(170, 204), FOOT_DOWN),
    spine: [156, 162, 192],
    head: 192,
  },

  'sit-cross': sitting('sitting tall, legs crossed', arm(-76, -40), CROSSED),
  'sit-cross-t': sitting('sitting tall, arms wide, turning', arm(2, 2), CROSSED, {
    far: { arm: arm(178, 178) },
  }),
  'sit-long': sitting('sitting tall, legs long', arm(-84, -70), leg(0, 0, 82)),
  'sit-long-t': sitting('sitting tall, legs long, arms wide, turning', arm(2, 2), leg(0, 0, 82), {
    far: { arm: arm(178, 178) },
  }),
  'sit-long-reach': {
    name: 'sitting, legs long, reaching over them',
    spine: [84, 62, 30],
    head: 4,
    near: { arm: arm(-6, 0), leg: leg(0, 0, 82) },
  },
  'sit-bent': sitting('sitting tall, knees bent, arms forward', arm(0, 2), leg(44, 'floor-right')),
  'sit-bent-hold': sitting(
    'sitting tall, hands behind the thighs',
    HOLD_THIGH,
    leg(44, 'floor-right'),
  ),
  'sit-back': {
    name: 'rolled back behind the sit bones, arms forward',
    ...C_CURVE,
    near: { arm: arm(2, 4), leg: leg(40, 'floor-right') },
  },
  'sit-back-hold': {
    name: 'rolled back, hands behind the thighs',
    ...C_CURVE,
    near: { arm: arm(-18, -6), leg: leg(40, 'floor-right') },
  },
  'sit-back-arms-up': {
    name: 'rolled back, arms lifting',
    ...C_CURVE,
    near: { arm: arm(62, 74), leg: leg(40, 'floor-right') },
  },
  'sit-side': {
    name: 'sitting, bending to one side, one arm over',
    spine: [86, 66, 40],
    head: 34,
    near: { arm: arm(62, 22), leg: CROSSED },
    far: { arm: arm(-60, 'floor-right', 0), leg: leg(172, -12, 0) },
  },

  prone: onFront('lying on the front, forehead down', FLAT, 184, arm(196, 168, 150)),
  'prone-lift-low': onFront(
    'lying on the front, forehead hovering',
    [180, 178, 170],
    172,
    arm(204, 168),
  ),
  'prone-lift': onFront(
    'lying on the front, upper back lifted',
    [180, 172, 154],
    156,
    arm(222, 150),
  ),
  'prone-lift-reach': onFront(
    'lying on the front, upper back lifted, arms long',
    [180, 172, 156],
    160,
    arm(172, 174),
  ),
  'prone-lift-arms-back': onFront(
    'lying on the front, upper back lifted, arms back',
    [180, 172, 156],
    160,
    arm(-12, -4),
  ),
  'prone-forearms': onFront(
    'lying on the front, propped on the forearms',
    [176, 158, 132],
    128,
    arm(-100, 180, 180),
  ),
  'prone-press': onFront(
    'lying on the front, pressed up on the hands',
    [168, 142, 112],
    108,
    arm(-96, 'floor-left', 180),
  ),

  'all-fours': onAllFours('on hands and knees'),
  'all-fours-back': onAllFours('on hands and knees, hips behind the knees', {
    spine: [170, 168, 168],
    near: { arm: arm(-118, 'floor-left', 180), leg: leg(-62, 0, -8) },
  }),
  'all-fours-round': onAllFours('on hands and knees, back rounded', {
    spine: [128, 168, 202],
    head: 226,
  }),
  'all-fours-arch': onAllFours('on hands and knees, breastbone forward', {
    spine: [190, 170, 140],
    head: 134,
  }),
  'forearms-kneeling': onAllFours('on forearms and knees', {
    spine: [180, 183, 184],
    near: { arm: arm(-92, 180, 180), leg: KNEELING_LEG },
  }),
  'forearms-leg': onAllFours('on forearms and knees, one leg long behind', {
    spine: [180, 183, 184],
    near: { arm: arm(-92, 180, 180), leg: leg(-36, 'floor-right', -60) },
    far: { leg: KNEELING_LEG },
  }),
  'bird-dog-leg': onAllFours('on hands and one knee, one leg long behind', {
    near: { arm: HAND_DOWN, leg: leg(-4, -2, -20) },
    far: { leg: KNEELING_LEG },
  }),
  'bird-dog': onAllFours('on one hand and the other knee, opposite arm and leg long', {
    near: { arm: HAND_DOWN, leg: leg(-4, -2, -20) },
    far: { arm: HELD_OUT, leg: KNEELING_LEG },
  }),
  bear: onAllFours('on hands and toes, knees just off the floor', {
    spine: [172, 172, 172],
    near: { arm: STRAIGHT_ARM, leg: leg(-86, 'floor-right', -60) },
  }),
  child: {
    name: 'hips on the heels, folded forward, arms long',
    spine: [178, 190, 202],
    head: 206,
    near: { arm: arm(192, 188), leg: leg(-152, 2, 0) },
  },
  'thread-open': onAllFours('on one hand and the knees, the other arm opening to the ceiling', {
    near: { arm: arm(92, 92), leg: KNEELING_LEG },
    far: { arm: HAND_DOWN },
  }),
  'thread-under': onAllFours('on the knees, one arm threaded under, shoulder near the floor', {
    spine: [196, 206, 214],
    head: 196,
    near: { arm: arm(-30, 'floor-right', 0), leg: KNEELING_LEG },
    far: { arm: arm(170, 'floor-left', 180) },
  }),

  plank: {
    name: 'in a plank on hands and toes',
    spine: PLANK_SPINE,
    head: 164,
    near: { arm: STRAIGHT_ARM, leg: PLANK_LEG },
  },
  'plank-knees': {
    name: 'in a plank on hands and knees, hips forward',
    spine: [146, 146, 146],
    head: 152,
    near: { arm: STRAIGHT_ARM, leg: leg(-34, 10, 20) },
  },
  'plank-forearm-knees': {
    name: 'in a plank on forearms and knees',
    spine: [163, 163, 163],
    head: 166,
    near: { arm: arm(-92, 180, 180), leg: leg(-17, 10, 20) },
  },
  'plank-knee-in': {
    name: 'in a plank, one knee drawn in',
    spine: PLANK_SPINE,
    head: 164,
    near: { arm: STRAIGHT_ARM, leg: leg(-158, -14, -40) },
    far: { leg: PLANK_LEG },
  },
  'side-plank-knees': {
    name: 'on one forearm and the knees, hips lifted',
    spine: [160, 160, 160],
    head: 160,
    near: { arm: arm(-40, -20), leg: leg(-22, -2, 0) },
    far: { arm: arm(-92, 180, 180) },
  },
  'side-plank': {
    name: 'on one forearm and the feet, hips lifted',
    spine: [168, 168, 168],
    head: 168,
    near: { arm: arm(-20, -12), leg: leg(-10, 'floor-right', 0) },
    far: { arm: arm(-92, 180, 180) },
  },
  'side-plank-arm': {
    name: 'on one hand and the feet, other arm up',
    spine: [160, 160, 160],
    head: 160,
    near: { arm: arm(84, 84), leg: leg(-18, 'floor-right', 0) },
    far: { arm: STRAIGHT_ARM },
  },

  'side-lying-long': onSide('lying on the side, legs long', leg(4, 2, -4), { legLength: 1 }),
  'side-lying-bent': onSide('lying on the side, bottom knee bent, top leg long', leg(4, 2, -4), {
    far: { arm: SIDE_ARM, leg: leg(-4, 168, 0) },
    legLength: 1,
  }),
  'side-leg-up': onSide('lying on the side, top leg lifted', leg(34, 33, 20), { legLength: 1 }),
  'side-leg-up-bent': onSide(
    'lying on the side, top leg lifted, bottom knee bent',
    leg(34, 33, 20),
    { far: { arm: SIDE_ARM, leg: leg(-4, 168, 0) }, legLength: 1 },
  ),
  'clam-closed': onSide('lying on the side, knees bent and together', leg(4, -14, -4), {
    far: { arm: SIDE_ARM, leg: leg(-4, -6, 0) },
    legLength: 0.62,
  }),
  'clam-open': onSide('lying on the side, knees bent, top knee opened', leg(52, -56, -4), {
    far: { arm: SIDE_ARM, leg: leg(-4, -6, 0) },
    legLength: 0.62,
  }),
  'clam-lifted': onSide('lying on the side, feet lifted, top knee opened', leg(52, -8, 0), {
    far: { arm: SIDE_ARM, leg: leg(-4, 30, 0) },
    legLength: 0.62,
  }),
  'arm-open': onSide('lying on the side, top arm opening to the ceiling', leg(4, -14, -4), {
    near: { arm: arm(104, 112), leg: leg(4, -14, -4) },
    far: { arm: SIDE_ARM, leg: leg(-4, -6, 0) },
    legLength: 0.62,
  }),
  'arm-open-short': onSide(
    'lying on the side, hand on the shoulder, elbow opening',
    leg(4, -14, -4),
    {
      near: { arm: arm(100, 260), leg: leg(4, -14, -4) },
      far: { arm: SIDE_ARM, leg: leg(-4, -6, 0) },
      legLength: 0.62,
    },
  ),
  standing: {
    name: 'standing tall',
    spine: TALL,
    head: 90,
    near: { arm: arm(-88, -84), leg: leg(-90, -90, 0) },
  },
} as const satisfies Record<string, Pose>;

export type ShapeName = keyof typeof SHAPES;

export function isShapeName(name: string): name is ShapeName {
  return Object.hasOwn(SHAPES, name);
}

export function shapeOf(name: string): Pose {
  if (!isShapeName(name)) throw new Error(`no shape "${name}"`);
  return SHAPES[name];
}
