import type { Body } from '../body.ts';
import type { ContactPart } from '../contacts.ts';
import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import { LEG, UPWARD } from '../contact-parts.ts';
import { isLegInHand } from '../held-legs.ts';
import { ballJointAngles, hingeAngle } from '../joint-angles.ts';
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
import type { Bend } from '../trunk-curve.ts';
import { marginOf } from './margin.ts';
import type { SideMeasure, WholeMeasure } from './measure-names.ts';
import { hipOf, LYING, PER_MILLE, RESTS, TOUCH, type SeenBody } from './seen-body.ts';

/** Cosine of 30 degrees: a chest that is level within so much. */
const LEVEL = 0.866;
/** From here on a bend counts as one, in degrees: the low back sooner. */
const BENT = { low: 6, other: 10 } as const;
/** What loads a bent back: weight through it, or what its joint holds with nothing resting above. */
const LOADED = { axial: 0.18, moment: 45 } as const;

const ABOVE: Record<'low' | 'mid' | 'up', readonly ContactPart[]> = {
  low: UPWARD,
  mid: UPWARD.slice(1),
  up: UPWARD.slice(2),
};

/** What is made of the weight: on hands and belly, through the back, held by neck and legs. */
export function weights(seen: SeenBody): Partial<Record<WholeMeasure, number>> {
  const { body, statics, share, chestUp, back } = seen;
  const plumb = Math.abs(rotate(body.lowTurn, UP)[1]);
  const axial = Math.abs(UPPER_MASS - share(UPWARD)) * plumb;
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
    oneLegStand:
      BODY_SIDES.some((side) => share(LEG, side) >= ON_ONE_LEG) &&
      BODY_SIDES.some((side) => share(LEG, side) <= TOUCH)
        ? 1
        : 0,
    neckFree: isHeadInHands(seen)
      ? 0
      : statics.moments.neck * PER_MILLE +
        (head <= TOUCH && lifted && back.neck.round > CURLED ? CURL : 0),
    chestLifted: lifted ? 1 : 0,
    headRests: chestUp > LYING ? seen.pressed(['head']) : 0,
    neckWeight: Math.max(0, seen.pressed(['head']) - HEAD_MASS),
    bellyPress:
      chestUp < -LYING && seen.pelvisUp < -LYING ? seen.pressed(['pelvis', 'waist', 'ribs']) : 0,
    flat: chestUp >= LEVEL ? 1 : 0,
    loadedRound: most(({ round }) => round, false),
    loadedArch: most(({ round }) => -round, false),
    loadedSide: most(({ side }) => Math.abs(side), true),
    loadedTurn: most(({ turn }) => Math.abs(turn), true),
    ...holds(seen),
    margin: marginOf(statics),
    tips: tipping(statics),
  };
}

/** Of the weight, on one leg, while the other carries none. */
const ON_ONE_LEG = 0.5;

/** A back rounded so far that it hangs forward is held by its ligaments more than by work: common practice. */
const HANGING = { fromDeg: 40, leaves: 0.4 } as const;

/** The same moment is more for the smaller muscles higher up: common practice. */
const HIGHER_UP = { mid: 1.3, up: 2.5 } as const;

/** What muscles hold at the joints, ‰; hips, knees and shoulders of both sides together. */
function holds({
  body,
  statics,
  back,
  chestUp,
  share,
}: SeenBody): Partial<Record<WholeMeasure, number>> {
  const { moments, byFront } = statics;
  // Face down, what is above a joint and rests on nothing hangs from its back.
  const hanging = (part: 'mid' | 'up', moment: number) =>
    chestUp < -LYING && share(ABOVE[part]) <= RESTS ? moment * HIGHER_UP[part] : 0;
  const round = back.low.round + back.mid.round + back.up.round;
  const hangs = round > HANGING.fromDeg && body.pose.lean >= 0;
  const both = ({ right, left }: Record<BodySide, number>) => (right + left) * PER_MILLE;
  return {
    backHold:
      PER_MILLE *
      (hangs ? HANGING.leaves : 1) *
      Math.max(
        0,
        -byFront.lowBack,
        hanging('mid', moments.midBack),
        hanging('up', moments.highBack),
      ),
    sideHold: Math.sqrt(Math.max(0, moments.lowBack ** 2 - byFront.lowBack ** 2)) * PER_MILLE,
    hipHold: both(moments.hip),
    kneeHold: both(moments.knee),
    shoulderHold: both(moments.shoulder),
  };
}

/** Centimetres of margin that are safe, and over which safety ends; heights, in stature, of what lies and what stands. */
const TIPPING = { safeCm: 10, overCm: 12, lying: 0.06, standing: 0.3 } as const;

/** How near a body is to tipping, 0 to 1: little under it, little room to its rim, and far to fall. */
function tipping(statics: Statics): number {
  const near = clamp((TIPPING.safeCm - marginOf(statics)) / TIPPING.overCm, 0, 1);
  const high = (statics.centre[1] - TIPPING.lying) / (TIPPING.standing - TIPPING.lying);
  return near * clamp(high, 0, 1);
}

/** A neck rounded this far under a lifted chest works in front besides, by so much: degrees, ‰. */
const CURLED = 10;
const CURL = 9;

/** Curled up from lying: the low trunk rests, the blades do not. */
function isChestLifted({ pelvisUp, share, pressed }: SeenBody): boolean {
  const isDown = share(['shoulders']) > RESTS || pressed(['head']) > TOUCH;
  return pelvisUp > LYING && share(['waist', 'ribs']) > RESTS && !isDown;
}

function isLegHeld({ body, statics }: SeenBody, side: BodySide): boolean {
  return (
    isLegInHand(body, side) ||
    statics.pulls.some((pull) => pull.part === 'feet' && pull.side === side)
  );
}

/** Of a free leg, what counts while the other foot stands. Common practice. */
const OTHER_DOWN = 0.4;

function freeLegs(seen: SeenBody): number {
  const { statics, down } = seen;
  const free = BODY_SIDES.filter((side) => !down.includes(side) && !isLegHeld(seen, side));
  const pull = free.reduce((sum, side) => sum + Math.max(0, statics.byFront.hip[side]), 0);
  return pull * PER_MILLE * (free.length === 1 ? OTHER_DOWN : 1);
}

/** ‰ that the belly holds of a chest lifted from lying, less with a heavy head in the hands; of hips it lifts alone. */
const BELLY = { chest: 20, chestInHands: 10, lowCurl: 40, hips: 60 } as const;

/** Hands behind a head that faces up carry it. */
function isHeadInHands({ body, chestUp }: SeenBody): boolean {
  return chestUp > 0 && BODY_SIDES.some((side) => body.pose[side].arm.hand === 'head');
}

function bellyOf(seen: SeenBody, legs: number, lifted: boolean): number {
  const { statics, share, back, pelvisUp } = seen;
  const hangs = share(['waist', 'ribs', 'shoulders']) <= RESTS;
  const held = hangs ? Math.max(0, statics.byFront.lowBack * PER_MILLE) : 0;
  const low = back.mid.round + back.up.round < BELLY.lowCurl;
  const chest = lifted ? (isHeadInHands(seen) && low ? BELLY.chestInHands : BELLY.chest) : 0;
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

/** Degrees: a hand that pushes on a bar is bent back as far as this, however it is drawn. Common practice. */
const BENT_ON_BAR = 60;

function wristOf({ body, pressed }: SeenBody, side: BodySide): number {
  const { elbow, wrist, hand } = body[side];
  const bentBack = toDegrees(
    Math.acos(clamp(dot(unit(subtract(wrist, elbow)), unit(subtract(hand, wrist))), -1, 1)),
  );
  const bend = body.pose[side].arm.hand === 'bar' ? Math.max(bentBack, BENT_ON_BAR) : bentBack;
  return pressed(['hands'], side) * clamp((bend - WRIST.free) / WRIST.over, 0, 1);
}

/** Of the weight, from which a leg or an arm carries. */
const CARRIES = 0.1;
/** Degrees: an arm that is out so far is out to the side. */
const OUT_TO_SIDE = 45;
/** Sine of 60 degrees: a trunk rolled onto its side. */
const ON_SIDE = 0.866;

/** Of the weight, on a trunk that lies. */
const LIES = 0.2;

function liesOnFront({ chestUp, pressed }: SeenBody): boolean {
  return chestUp < -LYING && pressed(['pelvis', 'waist', 'ribs']) > LIES;
}

/** The front of the knee, between those of thigh and shank, looks down. */
function isOnKneecap(body: Body, side: BodySide): boolean {
  const { thigh, shank } = body[side];
  return rotate(thigh, FRONT)[1] + rotate(shank, FRONT)[1] < -LYING;
}

/** Of stature: a heel that is so much higher than the ball of its foot stands on the toes. */
const HEEL_UP = 0.03;

function isOnToes(body: Body, side: BodySide): boolean {
  const { heel, toe } = body[side];
  const { foot } = body.pose[side].leg;
  return foot === 'toes on bar' || (foot !== 'bar' && heel[1] - toe[1] > HEEL_UP);
}

/** Of stature: hips lower than this sit on the floor or near it. */
const LOW_SEAT = 0.2;

/** Cosine of 45 degrees: a pelvis that stands. */
const UPRIGHT = 0.7;

/** Degrees: legs that are longer than this, or more open, keep a stiff hip from sitting tall; knees that are up do not. */
const SITS = { knee: 60, open: 25 } as const;

function isSittingLow({ body, pressed }: SeenBody, side: BodySide): boolean {
  const { thigh, shank } = body[side];
  const isLongOrOpen = hingeAngle(thigh, shank) < SITS.knee || hipOf(body, side).out > SITS.open;
  if (!isLongOrOpen) return false;
  const isUpright = rotate(body.pelvisTurn, UP)[1] > UPRIGHT;
  return isUpright && body.hips[1] < LOW_SEAT && pressed(['pelvis']) > CARRIES;
}

/** What one side carries. */
export function bearing(seen: SeenBody, side: BodySide): Partial<Record<SideMeasure, number>> {
  const { body, statics, share, pressed } = seen;
  const limbs = body[side];
  const onSide = (turn: Body['highTurn']) => Math.abs(rotate(turn, RIGHT)[1]) > ON_SIDE;
  const under = (place: Vec3, other: Vec3) => place[1] < other[1];
  const other = body[side === 'right' ? 'left' : 'right'];
  const carries =
    share(['feet', 'toes', 'knees'], side) >= CARRIES ||
    statics.pulls.some((pull) => pull.part === 'feet' && pull.side === side);
  // An upper arm that lies on the ground is lain on; hand and forearm prop.
  const onArm = Math.max(0, pressed(['elbows', 'hands'], side) - ARM_MASS);
  const rests = share(['upper arms', 'elbows', 'hands'], side) >= ARM_MASS / 2;
  const elevation = toDegrees(
    Math.acos(clamp(dot(rotate(limbs.upperArm, UP), rotate(body.highTurn, UP)), -1, 1)),
  );
  const shoulder = ballJointAngles(body.highTurn, limbs.upperArm, side);
  const strap = statics.pulls.find((pull) => pull.part === 'hands' && pull.side === side);
  const force = strap ? Math.hypot(...strap.force) * BODY_WEIGHT_N : 0;
  return {
    elbows: pressed(['elbows'], side),
    toes: isOnToes(body, side) ? pressed(['feet', 'toes'], side) : 0,
    hipOutLifted: seen.down.includes(side) ? 0 : Math.max(0, hipOf(body, side).out),
    // Under somebody who lies on the front a knee lies too, and is not knelt on.
    kneecaps: isOnKneecap(body, side) && !liesOnFront(seen) ? pressed(['knees'], side) : 0,
    sideShoulder:
      onSide(body.highTurn) && under(limbs.shoulder, other.shoulder)
        ? pressed(['shoulders', 'upper arms'])
        : 0,
    sideHip: onSide(body.pelvisTurn) && under(limbs.hip, other.hip) ? pressed(['pelvis']) : 0,
    kneeBendLoaded: carries ? hingeAngle(limbs.thigh, limbs.shank) : 0,
    armHigh: !rests || onArm >= CARRIES ? elevation : 0,
    armBehindLoaded: onArm >= CARRIES / 2 || strap ? Math.max(0, -shoulder.flex) : 0,
    sittingBend: isSittingLow(seen, side) ? Math.max(0, hipOf(body, side).flex) : 0,
    armTurnedIn:
      !rests && shoulder.out >= OUT_TO_SIDE && shoulder.turn < 0 ? Math.min(elevation, 120) : 0,
    shoulderLoad: onArm,
    hang: strap
      ? Math.max(0, dot(strap.force, unit(subtract(limbs.hand, limbs.shoulder)))) * BODY_WEIGHT_N
      : 0,
    grip: force,
  };
}
