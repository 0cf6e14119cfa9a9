import { polygonHull } from 'd3-polygon';
import type { Body } from '../body.ts';
import type { ContactPart } from '../contacts.ts';
import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import { ballJointAngles, hingeAngle } from '../joint-angles.ts';
import { JOINT_LIMITS } from '../joint-limits.ts';
import { ARM_MASS, HEAD_MASS, UPPER_MASS } from '../mass.ts';
import { BODY_WEIGHT_N } from '../pulls.ts';
import {
  clamp,
  dot,
  FRONT,
  RIGHT,
  rotate,
  subtract,
  toDegrees,
  unit,
  UP,
  type Vec3,
} from '../space.ts';
import type { Statics } from '../statics.ts';
import { BACK_PARTS, trunkCurve, type BackPart, type Bend } from '../trunk-curve.ts';
import type { SideMeasure, WholeMeasure } from './measure-names.ts';

/** Undefined is unknown: what the weight could not be worked out for. */
export interface BodyMeasures {
  whole: Partial<Record<WholeMeasure, number>>;
  sides: Record<BodySide, Partial<Record<SideMeasure, number>>>;
}

/** Centimetres of a stature of 1.70 m. */
const CM = 170;
const PER_MILLE = 1000;
/** Less of the weight than this is a touch. */
const TOUCH = 0.01;
/** From this share on a part rests. */
const RESTS = 0.05;

/** A body as it is seen by every measure: its bends, and what carries it. */
interface Seen {
  body: Body;
  statics: Statics;
  back: Record<BackPart, Bend>;
  down: readonly BodySide[];
  /** How far the chest and the pelvis look up: 1 on the back, 0 upright or on the side, -1 on the front. */
  chestUp: number;
  pelvisUp: number;
  /** What of the weight rests on parts, on the ground or on the body itself; and what of it on the ground. */
  share: (parts: readonly ContactPart[], side?: BodySide) => number;
  pressed: (parts: readonly ContactPart[], side?: BodySide) => number;
}

/**
 * What a body that is laid out asks, by the model. `statics` are those of the same body; where they do not
 * balance, what is made of weight is unknown. `down` are the legs that touch something.
 */
export function measureBody(
  body: Body,
  statics: Statics,
  down: readonly BodySide[] = legsDown(statics),
): BodyMeasures {
  const sumOf =
    (supports: Statics['supports']) =>
    (parts: readonly ContactPart[], side?: BodySide): number =>
      supports.reduce(
        (sum, at) =>
          parts.includes(at.part) && (side === undefined || at.side === side)
            ? sum + at.share
            : sum,
        0,
      );
  const seen: Seen = {
    body,
    statics,
    back: trunkCurve(body),
    down,
    chestUp: rotate(body.highTurn, FRONT)[1],
    pelvisUp: rotate(body.pelvisTurn, FRONT)[1],
    share: sumOf(statics.supports),
    pressed: sumOf(statics.supports.filter(({ on }) => on !== 'body')),
  };
  const { balanced } = statics;
  return {
    whole: { ...bends(seen), ...heights(seen), ...(balanced ? weights(seen) : {}) },
    sides: {
      right: { ...angles(seen, 'right'), ...(balanced ? bearing(seen, 'right') : {}) },
      left: { ...angles(seen, 'left'), ...(balanced ? bearing(seen, 'left') : {}) },
    },
  };
}

/** A thigh bent farther than this tips the pelvis, and with straight knees in sitting earlier: degrees, share. */
const TIPS = { from: 110, by: 0.3, sittingFrom: 75, sittingBy: 0.25, straightKnee: 20 } as const;
/** Of the weight on the blades from which the upper rounding is the shelf's, not the back's. */
const ON_BLADES = 0.1;

function bends(seen: Seen): Partial<Record<WholeMeasure, number>> {
  const found: Partial<Record<WholeMeasure, number>> = {};
  const onBlades =
    seen.chestUp > LYING &&
    (seen.share(['shoulders']) >= ON_BLADES || seen.pressed(['head']) > TOUCH);
  for (const part of BACK_PARTS) {
    const { round, side, turn } = seen.back[part];
    const rounding = part === 'low' ? round + tipped(seen) : round;
    found[`round ${part}`] = part === 'up' && onBlades ? 0 : Math.max(0, rounding);
    found[`arch ${part}`] = Math.max(0, -round);
    found[`side ${part}`] = Math.abs(side);
    found[`turn ${part}`] = Math.abs(turn);
  }
  return { ...found, backEnd: backEnd(seen.back), endShare: endShare(seen) };
}

/** How much the thighs tip the pelvis, and with it round the low back. */
function tipped({ body, pelvisUp }: Seen): number {
  return Math.max(
    ...BODY_SIDES.map((side) => {
      const { flex } = hipOf(body, side);
      const knee = hingeAngle(body[side].thigh, body[side].shank);
      const sitting = Math.abs(pelvisUp) < LYING && knee < TIPS.straightKnee;
      return Math.max(
        0,
        TIPS.by * (flex - TIPS.from),
        sitting ? TIPS.sittingBy * (flex - TIPS.sittingFrom) : 0,
      );
    }),
  );
}

const hipOf = (body: Body, side: BodySide) =>
  ballJointAngles(body.pelvisTurn, body[side].thigh, side);

const LIMITS: Record<
  BackPart,
  {
    round: readonly [number, number];
    side: readonly [number, number];
    turn: readonly [number, number];
  }
> = {
  low: JOINT_LIMITS['low back'],
  mid: JOINT_LIMITS['middle back'],
  up: JOINT_LIMITS['upper back'],
  neck: JOINT_LIMITS.neck,
};

function shareOfRange(value: number, [least, most]: readonly [number, number]): number {
  return value < 0 ? value / least : value / most;
}

function backEnd(back: Record<BackPart, Bend>): number {
  return Math.max(
    ...(['low', 'mid', 'up'] as const).flatMap((part) =>
      (['round', 'side', 'turn'] as const).map((way) =>
        shareOfRange(back[part][way], LIMITS[part][way]),
      ),
    ),
  );
}

function endShare({ body, back }: Seen): number {
  const neck = (['round', 'side', 'turn'] as const).map((way) =>
    shareOfRange(back.neck[way], LIMITS.neck[way]),
  );
  const limbs = BODY_SIDES.flatMap((side) => {
    const hip = hipOf(body, side);
    return [
      shareOfRange(hip.flex, JOINT_LIMITS.hip.flex),
      // An abducted thigh's lift is measured about another line.
      Math.abs(hip.flex) < 90 ? shareOfRange(hip.out, JOINT_LIMITS.hip.out) : 0,
      hingeAngle(body[side].thigh, body[side].shank) / JOINT_LIMITS.knee[1],
    ];
  });
  return Math.max(backEnd(back), ...neck, ...limbs);
}

/** The heart: the root of the upper back, five centimetres forward; a head lies level by as much. */
const HEART_FORWARD_CM = 5;

function heights({ body }: Seen): Partial<Record<WholeMeasure, number>> {
  const forward = rotate(body.highTurn, FRONT);
  const heartCm = body.highBack[1] * CM + forward[1] * HEART_FORWARD_CM;
  const thighs = BODY_SIDES.map((side) => rotate(body[side].thigh, UP));
  const [right, left] = thighs;
  return {
    headLow: Math.max(0, heartCm - body.head[1] * CM - HEART_FORWARD_CM),
    hipsHigh: Math.max(0, body.hips[1] * CM - heartCm),
    legsApart: right && left ? toDegrees(Math.acos(clamp(dot(right, left), -1, 1))) : 0,
  };
}

/** Sine of 18 degrees: what looks up more lies on its back. */
const LYING = 0.3;
/** Cosine of 30 degrees: a chest that is level within so much. */
const LEVEL = 0.866;
/** From here on a bend counts as one, in degrees: the low back sooner. */
const BENT = { low: 6, other: 10 } as const;
/** What loads a bent back: weight through it, or what its joint holds with nothing resting above. */
const LOADED = { axial: 0.18, moment: 45 } as const;

const FROM_LOW: readonly ContactPart[] = [
  'waist',
  'ribs',
  'shoulders',
  'head',
  'upper arms',
  'elbows',
  'hands',
];
const ABOVE: Record<'low' | 'mid' | 'up', readonly ContactPart[]> = {
  low: FROM_LOW,
  mid: FROM_LOW.slice(1),
  up: FROM_LOW.slice(2),
};

function weights(seen: Seen): Partial<Record<WholeMeasure, number>> {
  const { body, statics, share, chestUp, back } = seen;
  const plumb = Math.abs(rotate(body.lowTurn, UP)[1]);
  const axial = Math.abs(UPPER_MASS - share(FROM_LOW)) * plumb;
  const lifted = isChestLifted(seen);
  const moments = {
    low: statics.moments.lowBack,
    mid: statics.moments.midBack,
    up: statics.moments.highBack,
  };
  const loaded = (part: 'low' | 'mid' | 'up', orLifted: boolean): boolean =>
    axial >= LOADED.axial ||
    (orLifted && lifted) ||
    (share(ABOVE[part]) <= RESTS && moments[part] * PER_MILLE >= LOADED.moment);
  const most = (bendOf: (bend: Bend) => number, orLifted: boolean): number =>
    Math.max(
      0,
      ...(['low', 'mid', 'up'] as const).map((part) => {
        const bend = bendOf(back[part]);
        const isBent = bend >= (part === 'low' ? BENT.low : BENT.other);
        return isBent && loaded(part, orLifted) ? bend : 0;
      }),
    );
  const legs = freeLegs(seen);
  const [right, left] = BODY_SIDES.map((side) => share(LEG, side));
  const head = share(['head']);
  return {
    wrist: BODY_SIDES.reduce((sum, side) => sum + wristOf(seen, side), 0),
    axial,
    legs,
    belly: bellyOf(seen, legs, lifted),
    legUneven: Math.abs((right ?? 0) - (left ?? 0)),
    neckFree:
      statics.moments.neck * PER_MILLE +
      (head <= TOUCH && lifted && back.neck.round > CURLED ? CURL : 0),
    neckWeight: Math.max(0, seen.pressed(['head']) - HEAD_MASS),
    bellyPress:
      chestUp < -LYING && seen.pelvisUp < -LYING ? seen.pressed(['pelvis', 'waist', 'ribs']) : 0,
    flat: chestUp >= LEVEL ? 1 : 0,
    loadedRound: most(({ round }) => round, false),
    loadedArch: most(({ round }) => -round, false),
    loadedSide: most(({ side }) => Math.abs(side), true),
    loadedTurn: most(({ turn }) => Math.abs(turn), true),
    margin: marginOf(statics),
  };
}

/** A neck rounded this far under a lifted chest works in front besides, by so much: degrees, ‰. */
const CURLED = 10;
const CURL = 9;

const LEG: readonly ContactPart[] = ['thighs', 'knees', 'calves', 'feet', 'toes'];

/** Curled up from lying: the low trunk rests, the blades do not. */
function isChestLifted({ pelvisUp, share, pressed }: Seen): boolean {
  const isDown = share(['shoulders']) > RESTS || pressed(['head']) > TOUCH;
  return pelvisUp > LYING && share(['waist', 'ribs']) > RESTS && !isDown;
}

/** The legs that touch something, however little it carries. */
export function legsDown({ supports }: Statics): BodySide[] {
  return BODY_SIDES.filter((side) =>
    supports.some((at) => at.side === side && LEG.includes(at.part)),
  );
}

const HELD_LEG: ReadonlySet<string> = new Set([
  'thigh',
  'back of thigh',
  'knee',
  'shin',
  'ankle',
  'foot',
]);
const HELD_OTHER: ReadonlySet<string> = new Set(['other thigh', 'other knee', 'other foot']);

function isLegHeld({ body, statics }: Seen, side: BodySide): boolean {
  const other = side === 'right' ? 'left' : 'right';
  return (
    HELD_LEG.has(body.pose[side].arm.hand ?? '') ||
    HELD_OTHER.has(body.pose[other].arm.hand ?? '') ||
    statics.pulls.some((pull) => pull.part === 'feet' && pull.side === side)
  );
}

/** Of a free leg, what counts while the other foot stands. Common practice. */
const OTHER_DOWN = 0.4;

function freeLegs(seen: Seen): number {
  const { statics, down } = seen;
  const free = BODY_SIDES.filter((side) => !down.includes(side) && !isLegHeld(seen, side));
  const pull = free.reduce((sum, side) => sum + Math.max(0, statics.byFront.hip[side]), 0);
  return pull * PER_MILLE * (free.length === 1 ? OTHER_DOWN : 1);
}

/** ‰ that the belly holds of a chest lifted from lying, less with a heavy head in the hands; of hips it lifts alone. */
const BELLY = { chest: 20, chestInHands: 10, lowCurl: 40, hips: 60 } as const;

function bellyOf(seen: Seen, legs: number, lifted: boolean): number {
  const { statics, share, back, pelvisUp, body } = seen;
  const hangs = share(['waist', 'ribs', 'shoulders']) <= RESTS;
  const held = hangs ? Math.max(0, statics.byFront.lowBack * PER_MILLE) : 0;
  const inHands = BODY_SIDES.some((side) => body.pose[side].arm.hand === 'head');
  const low = back.mid.round + back.up.round < BELLY.lowCurl;
  const chest = lifted ? (inHands && low ? BELLY.chestInHands : BELLY.chest) : 0;
  const hips =
    pelvisUp > LYING &&
    share(['shoulders']) > RESTS &&
    share(['pelvis', ...LEG]) <= TOUCH &&
    !BODY_SIDES.some((side) => isLegHeld(seen, side))
      ? BELLY.hips
      : 0;
  return Math.max(held, legs, chest, hips);
}

/** Degrees of a palm bent back that a wrist takes without asking, and those over which that ends. */
const WRIST = { free: 30, over: 60 } as const;

function wristOf({ body, pressed }: Seen, side: BodySide): number {
  const { elbow, wrist, hand } = body[side];
  const bentBack = toDegrees(
    Math.acos(clamp(dot(unit(subtract(wrist, elbow)), unit(subtract(hand, wrist))), -1, 1)),
  );
  return pressed(['hands'], side) * clamp((bentBack - WRIST.free) / WRIST.over, 0, 1);
}

/** Half widths of what stands, in cm: along and across would need the foot's turn, so the smaller of both. */
const RIM_CM: Partial<Record<ContactPart, number>> = { feet: 4.5, toes: 4.5, hands: 4, knees: 3 };

/** From the plumb point of the weight to the rim of what carries it; negative outside. */
function marginOf({ supports, centre }: Statics): number {
  const points = supports
    .filter(({ share, on }) => share > TOUCH && on !== 'body')
    .flatMap(({ at, part }): [number, number][] => {
      const [x, z] = [(at[0] - centre[0]) * CM, (at[2] - centre[2]) * CM];
      const rim = RIM_CM[part] ?? 2;
      return [
        [x - rim, z - rim],
        [x - rim, z + rim],
        [x + rim, z - rim],
        [x + rim, z + rim],
      ];
    });
  const hull = polygonHull(points);
  if (!hull) return 0;
  const edges = hull.map((from, index) => {
    const to = hull[(index + 1) % hull.length] ?? from;
    const [dx, dz] = [to[0] - from[0], to[1] - from[1]];
    return (dz * from[0] - dx * from[1]) / Math.max(Math.hypot(dx, dz), 1e-9);
  });
  const inside = Math.abs(edges.reduce((sum, edge) => sum + Math.sign(edge), 0)) === edges.length;
  const nearest = Math.min(...edges.map(Math.abs));
  return inside ? nearest : -nearest;
}

/** Degrees that a foot pulled up and a rounded back add along the back of the leg, and from where. */
const NERVE = { straightKnee: 20, footUp: -10, footAdds: 15, rounded: 20, roundAdds: 20 } as const;
/** Degrees: from here an arm out to the side is open. */
const OPEN_FROM = 70;

function angles(seen: Seen, side: BodySide): Partial<Record<SideMeasure, number>> {
  const { body, back } = seen;
  const limbs = body[side];
  const hip = hipOf(body, side);
  const shoulder = ballJointAngles(body.highTurn, limbs.upperArm, side);
  const knee = hingeAngle(limbs.thigh, limbs.shank);
  const footUp = (body.pose[side].leg.point ?? 0) < NERVE.footUp;
  const rounded = back.low.round + back.mid.round >= NERVE.rounded;
  const straight = knee < NERVE.straightKnee;
  return {
    hipBend: Math.max(0, hip.flex),
    hipBack: Math.max(0, -hip.flex),
    hipAcross: Math.max(0, -hip.out),
    hipTurnIn: Math.max(0, -hip.turn),
    hipTurnOut: Math.max(0, hip.turn),
    kneeBend: knee,
    armBehind: Math.max(0, -shoulder.flex),
    armOpen: shoulder.out >= OPEN_FROM && shoulder.turn > 0 ? shoulder.out : 0,
    legNerve: straight
      ? Math.max(0, hip.flex) + (footUp ? NERVE.footAdds : 0) + (rounded ? NERVE.roundAdds : 0)
      : 0,
  };
}

/** Of the weight on a leg from which its knee carries. */
const KNEE_CARRIES = 0.1;
/** Sine of 60 degrees: a trunk rolled onto its side. */
const ON_SIDE = 0.866;

/** The front of the knee, between those of thigh and shank, looks down. */
function isOnKneecap(body: Body, side: BodySide): boolean {
  const { thigh, shank } = body[side];
  return rotate(thigh, FRONT)[1] + rotate(shank, FRONT)[1] < -LYING;
}

function bearing(seen: Seen, side: BodySide): Partial<Record<SideMeasure, number>> {
  const { body, statics, share, pressed } = seen;
  const limbs = body[side];
  const onSide = (turn: Body['highTurn']) => Math.abs(rotate(turn, RIGHT)[1]) > ON_SIDE;
  const under = (place: Vec3, other: Vec3) => place[1] < other[1];
  const other = body[side === 'right' ? 'left' : 'right'];
  const carries =
    share(['feet', 'toes', 'knees'], side) >= KNEE_CARRIES ||
    statics.pulls.some((pull) => pull.part === 'feet' && pull.side === side);
  // An upper arm that lies on the ground is lain on; hand and forearm prop.
  const onArm = Math.max(0, pressed(['elbows', 'hands'], side) - ARM_MASS);
  const rests = share(['upper arms', 'elbows', 'hands'], side) >= ARM_MASS / 2;
  const elevation = toDegrees(
    Math.acos(clamp(dot(rotate(limbs.upperArm, UP), rotate(body.highTurn, UP)), -1, 1)),
  );
  const strap = statics.pulls.find((pull) => pull.part === 'hands' && pull.side === side);
  const force = strap ? Math.hypot(...strap.force) * BODY_WEIGHT_N : 0;
  return {
    elbows: pressed(['elbows'], side),
    kneecaps: isOnKneecap(body, side) ? pressed(['knees'], side) : 0,
    sideShoulder:
      onSide(body.highTurn) && under(limbs.shoulder, other.shoulder)
        ? pressed(['shoulders', 'upper arms'])
        : 0,
    sideHip: onSide(body.pelvisTurn) && under(limbs.hip, other.hip) ? pressed(['pelvis']) : 0,
    kneeBendLoaded: carries ? hingeAngle(limbs.thigh, limbs.shank) : 0,
    armHigh: !rests || onArm >= KNEE_CARRIES ? elevation : 0,
    shoulderLoad: onArm,
    hang: strap
      ? Math.max(0, dot(strap.force, unit(subtract(limbs.hand, limbs.shoulder)))) * BODY_WEIGHT_N
      : 0,
    grip: force,
  };
}
