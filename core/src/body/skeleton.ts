import type { ArmPose, HandTarget, LegPose, RestPart } from '../movement/pose.ts';
import type { Body, Limbs } from './body.ts';
import { BODY_SIDES, type BodySide, type FullPose } from './full-pose.ts';
import { BALL, barPlace, BOARD_HEIGHT } from './machine.ts';
import { bendTo } from './reach.ts';
import { lowestOf, THICKNESS } from './solids.ts';
import { HALF_WIDTH, LENGTH } from './segments.ts';
import {
  about,
  add,
  clamp,
  compose,
  distance,
  dot,
  FRONT,
  fromAxes,
  invert,
  RIGHT,
  rotate,
  scale,
  subtract,
  toDegrees,
  toRadians,
  unit,
  UP,
  type Turn,
  type Vec3,
} from './space.ts';

/** Lays the body out and rests it on its surface. */
export function layOutBody(pose: FullPose): Body {
  const [first, second] = pose.rest;
  if (!first) throw new Error(`the pose "${pose.name}" rests on nothing`);
  const tip = second ? tipOnto(pose, first, second) : 0;
  const free = layOutFree(pose, tip);
  const rested = restOn(free, first, pose.along);
  return plant(bringBar(rested));
}

/** The extra lean at which both parts touch their surfaces: the secant rule from a level start. */
function tipOnto(pose: FullPose, first: [RestPart, number], second: [RestPart, number]): number {
  const gap = (tip: number): number => {
    const body = layOutFree(pose, tip);
    return (
      lowestFree(body, second[0]).height -
      second[1] -
      (lowestFree(body, first[0]).height - first[1])
    );
  };
  let [before, now] = [0, 2];
  let [gapBefore, gapNow] = [gap(before), gap(now)];
  for (let turn = 0; turn < 12 && Math.abs(gapNow) > CLOSE; turn += 1) {
    const slope = (gapNow - gapBefore) / (now - before);
    if (Math.abs(slope) < 1e-9) break;
    const next = now - clamp(gapNow / slope, -WIDEST_STEP, WIDEST_STEP);
    [before, gapBefore] = [now, gapNow];
    [now, gapNow] = [next, gap(next)];
  }
  return Math.abs(gapNow) > Math.abs(gap(0)) ? 0 : now;
}

/** A tenth of a millimetre is close enough; a step of more than this many degrees is a guess. */
const CLOSE = 5e-5;
const WIDEST_STEP = 15;

/** The lowest of a part, without limbs that are yet to be put somewhere. */
function lowestFree(body: Body, part: RestPart): { centre: Vec3; height: number } {
  const free = BODY_SIDES.filter((side) => {
    const { arm, leg } = body.pose[side];
    if (part === 'hands') return arm.hand === undefined;
    if (part === 'elbows') return arm.hand === undefined || arm.hand === 'forearm';
    return leg.foot === undefined;
  });
  const [one] = free;
  const paired = ['hands', 'elbows', 'knees', 'feet', 'toes'].includes(part);
  return lowestOf(body, part, paired && free.length === 1 ? one : undefined);
}

/** Puts the first resting part at its height and its place along the room. */
function restOn(body: Body, [part, height]: [RestPart, number], along: number): Body {
  const { centre, height: lowest } = lowestFree(body, part);
  return moveBody(body, [along - centre[0], height - lowest, 0]);
}

export function moveBody(body: Body, by: Vec3): Body {
  const go = (place: Vec3): Vec3 => add(place, by);
  const goLimbs = (limbs: Limbs): Limbs => ({
    ...limbs,
    shoulder: go(limbs.shoulder),
    elbow: go(limbs.elbow),
    wrist: go(limbs.wrist),
    hand: go(limbs.hand),
    hip: go(limbs.hip),
    knee: go(limbs.knee),
    ankle: go(limbs.ankle),
    heel: go(limbs.heel),
    toe: go(limbs.toe),
  });
  return {
    ...body,
    hips: go(body.hips),
    lowBack: go(body.lowBack),
    midBack: go(body.midBack),
    highBack: go(body.highBack),
    neck: go(body.neck),
    headBase: go(body.headBase),
    head: go(body.head),
    right: goLimbs(body.right),
    left: goLimbs(body.left),
  };
}

/** How every part is turned in the room; places follow from it. */
type Stance = Pick<
  Body,
  'pelvisTurn' | 'lowTurn' | 'midTurn' | 'highTurn' | 'headTurn' | 'neckTurn'
> &
  Record<BodySide, LimbStance>;
type LimbStance = Pick<
  Limbs,
  'upperArm' | 'forearm' | 'palm' | 'thigh' | 'shank' | 'foot' | 'shrug' | 'reach'
>;

function stanceOf(pose: FullPose, tip: number): Stance {
  const pelvisTurn = compose(
    about(UP, -pose.face),
    about(RIGHT, -(pose.lean + tip)),
    about(UP, -pose.roll),
  );
  const bend = (index: 0 | 1 | 2 | 3, by = 1): Turn =>
    compose(
      about(RIGHT, -pose.round[index] * by),
      about(FRONT, pose.side[index] * by),
      about(UP, -pose.turn[index] * by),
    );
  const lowTurn = compose(pelvisTurn, bend(0));
  const midTurn = compose(lowTurn, bend(1));
  const highTurn = compose(midTurn, bend(2));
  const limbs = (side: BodySide): LimbStance => {
    const { arm, leg } = pose[side];
    const upperArm = compose(highTurn, ballJoint(side, arm.flex, arm.out, arm.turn));
    const forearm = compose(upperArm, about(RIGHT, arm.bend ?? 0));
    const thigh = compose(pelvisTurn, ballJoint(side, leg.flex, leg.out, leg.turn));
    const shank = compose(thigh, about(RIGHT, -(leg.bend ?? 0)));
    return {
      upperArm,
      forearm,
      palm: compose(forearm, about(RIGHT, arm.wrist ?? 0)),
      thigh,
      shank,
      foot: compose(shank, about(RIGHT, -(leg.point ?? 0))),
      shrug: arm.shrug ?? 0,
      reach: arm.reach ?? 0,
    };
  };
  return {
    pelvisTurn,
    lowTurn,
    midTurn,
    highTurn,
    // The neck goes half the way of the head.
    neckTurn: compose(highTurn, bend(3, 0.5)),
    headTurn: compose(highTurn, bend(3)),
    right: limbs('right'),
    left: limbs('left'),
  };
}

/** Forward kinematics: every joint's place, with the middle of the hips given. */
export function placeJoints(pose: FullPose, stance: Stance, hips: Vec3): Body {
  const lowBack = along(hips, stance.pelvisTurn, LENGTH.pelvis);
  const midBack = along(lowBack, stance.lowTurn, LENGTH.lowBack);
  const highBack = along(midBack, stance.midTurn, LENGTH.midBack);
  const neck = along(highBack, stance.highTurn, LENGTH.highBack);
  const headBase = along(neck, stance.neckTurn, LENGTH.neck);
  const head = along(headBase, stance.headTurn, LENGTH.head);
  const limbs = (side: BodySide): Limbs => {
    const own = stance[side];
    const outwards = outward(side);
    const shoulder = add(
      neck,
      rotate(stance.highTurn, [
        own.reach,
        SHOULDER_DROP + own.shrug,
        outwards * (HALF_WIDTH.shoulders - narrowing(stance.highTurn, own.upperArm)),
      ]),
    );
    const elbow = along(shoulder, own.upperArm, -LENGTH.upperArm);
    const wrist = along(elbow, own.forearm, -LENGTH.forearm);
    const hip = add(hips, rotate(stance.pelvisTurn, [0, 0, outwards * HALF_WIDTH.hips]));
    const knee = along(hip, own.thigh, -LENGTH.thigh);
    const ankle = along(knee, own.shank, -LENGTH.shank);
    return {
      ...own,
      shoulder,
      elbow,
      wrist,
      hand: along(wrist, own.palm, -LENGTH.hand),
      hip,
      knee,
      ankle,
      ...footFrom(ankle, own.foot),
      planted: { arm: false, leg: false },
      short: { arm: 0, leg: 0 },
    };
  };
  const { pelvisTurn, lowTurn, midTurn, highTurn, neckTurn, headTurn } = stance;
  return {
    pose,
    hips,
    lowBack,
    midBack,
    highBack,
    neck,
    headBase,
    head,
    pelvisTurn,
    lowTurn,
    midTurn,
    highTurn,
    neckTurn,
    headTurn,
    right: limbs('right'),
    left: limbs('left'),
  };
}

/** A raised arm draws its shoulder in. */
function narrowing(chest: Turn, upperArm: Turn): number {
  const raised = -dot(rotate(chest, UP), rotate(upperArm, UP));
  return 0.028 * Math.max(0, raised);
}

function layOutFree(pose: FullPose, tip: number): Body {
  return placeJoints(pose, stanceOf(pose, tip), [0, 0, 0]);
}

/** The shoulder's height under the root of the neck. */
const SHOULDER_DROP = -0.012;

function along(from: Vec3, turn: Turn, length: number): Vec3 {
  return add(from, rotate(turn, [0, length, 0]));
}

const outward = (side: BodySide): 1 | -1 => (side === 'right' ? 1 : -1);

/** A hip or shoulder: about its length, then out, then forward. */
function ballJoint(side: BodySide, flex = 0, out = 0, turn = 0): Turn {
  const sign = outward(side);
  return compose(about(RIGHT, flex), about(FRONT, -sign * out), about(UP, -sign * turn));
}

function footFrom(ankle: Vec3, foot: Turn): Pick<Limbs, 'heel' | 'toe' | 'foot'> {
  const sole = -LENGTH.ankleHeight + THICKNESS.heel;
  const ball = -LENGTH.ankleHeight + THICKNESS.toe;
  return {
    foot,
    heel: add(ankle, rotate(foot, [-LENGTH.heel, sole, 0])),
    toe: add(ankle, rotate(foot, [LENGTH.forefoot, ball, 0])),
  };
}

/** Puts hands and feet where the pose wants them: feet first, for hands may hold them. */
function plant(body: Body): Body {
  const legs: Body = { ...body, right: { ...body.right }, left: { ...body.left } };
  for (const side of BODY_SIDES) {
    const leg = body.pose[side].leg;
    if (leg.foot) Object.assign(legs[side], plantFoot(legs, side, leg));
  }
  for (const side of BODY_SIDES) {
    const arm = body.pose[side].arm;
    if (arm.hand) Object.assign(legs[side], plantHand(legs, side, arm, arm.hand));
  }
  return legs;
}

/** As long as a limb can be without locking. */
const NEARLY_STRAIGHT = 0.995;

/**
 * A carriage stands where the limbs that hold the bar let it: where the bar would be out of reach
 * the carriage comes in, and after that the body sits nearer to the bar.
 */
function bringBar(body: Body): Body {
  const machine = body.pose.machine;
  if (!machine) return body;
  const [barX, barY] = barPlace(machine);
  let excess = 0;
  for (const side of BODY_SIDES) {
    const { arm, leg } = body.pose[side];
    const { shoulder, hip } = body[side];
    const test = (root: Vec3, long: number, y: number) => {
      const level = Math.sqrt(Math.max(0, (long * NEARLY_STRAIGHT) ** 2 - (y - root[1]) ** 2));
      excess = Math.max(excess, Math.abs(barX - root[0]) - level);
    };
    if (arm.hand === 'bar') test(shoulder, ARM_TO_GRIP, barY + 0.03);
    if (leg.foot?.includes('bar')) {
      const { offset, height } = footOnBar(body, side, leg);
      test(add(hip, offset), LENGTH.thigh + LENGTH.shank, height);
    }
  }
  if (excess <= 0) return body;
  const way = machine.bar === 'ahead' ? 1 : -1;
  const home = Math.max(0, machine.out - excess);
  const nearer = excess - (machine.out - home);
  const brought = { ...machine, out: home, middle: machine.middle - way * nearer };
  return { ...body, pose: { ...body.pose, machine: brought } };
}

const ARM_TO_GRIP = LENGTH.upperArm + LENGTH.forearm + LENGTH.hand * 0.45;
/** How a sole stands on the bar or the board: heel or ball of the foot, and the ankle from there. */
function footOnBar(
  body: Body,
  side: BodySide,
  leg: LegPose,
): { sole: Turn; offset: Vec3; height: number; point: number } {
  const board = body.pose.machine?.board ?? false;
  const onToes = leg.foot === 'toes on bar' || board;
  const lean = board ? 76 : onToes ? 70 : 62;
  const turn = -outward(side) * (leg.turn ?? 0);
  const sole = compose(about(RIGHT, lean), about(UP, turn));
  const reach = onToes ? LENGTH.forefoot : -0.01;
  const point = onToes && !board ? (leg.point ?? 0) : 0;
  const [, barY] = barPlace(body.pose.machine);
  return {
    sole,
    offset: rotate(sole, [reach, -LENGTH.ankleHeight, 0]),
    height: board ? BOARD_HEIGHT : barY,
    point,
  };
}

/** Which way the body faces along the floor; a lying body's feet point where its head does not. */
function headingOf(body: Body): Vec3 {
  return rotate(about(UP, -body.pose.face), FRONT);
}

/** Knees bend to the front, and up rather than down. */
const KNEES_UP = 0.6;

/** A shift in the room from how far ahead and how far outwards. */
function offsetOf(body: Body, side: BodySide, at: readonly [number, number] = [0, 0]): Vec3 {
  return rotate(about(UP, -body.pose.face), [at[0], 0, outward(side) * at[1]]);
}

function plantFoot(body: Body, side: BodySide, leg: LegPose): Partial<Limbs> {
  const { hip } = body[side];
  const sign = outward(side);
  const heading = headingOf(body);
  const turned = rotate(about(UP, -sign * (leg.turn ?? 0)), heading);
  const target = footTarget(body, side, leg, add(hip, offsetOf(body, side, leg.at)));
  const pole = leg.knee
    ? rotate(body.pelvisTurn, [leg.knee[0], leg.knee[1], sign * leg.knee[2]])
    : add(
        rotate(body.pelvisTurn, [1, 0.1, sign * Math.sin(toRadians(leg.turn ?? 0))]),
        scale(UP, KNEES_UP),
      );
  const { middle, end, upper, lower } = bendTo(
    hip,
    target.ankle,
    LENGTH.thigh,
    LENGTH.shank,
    pole,
    -1,
  );
  const flat = leg.foot === 'lying' ? lower : (target.sole ?? fromHeading(turned, UP));
  const foot = compose(flat, about(RIGHT, -(target.point ?? 0)));
  return {
    knee: middle,
    ankle: end,
    thigh: upper,
    shank: lower,
    ...footFrom(end, foot),
    planted: { ...body[side].planted, leg: true },
    short: { ...body[side].short, leg: distance(end, target.ankle) },
  };
}

interface FootPlace {
  ankle: Vec3;
  /** How the sole is turned, where it is not flat on the floor. */
  sole?: Turn;
  point?: number;
}

function footTarget(body: Body, side: BodySide, leg: LegPose, below: Vec3): FootPlace {
  const point = leg.point ?? 0;
  const other = body[side === 'right' ? 'left' : 'right'];
  const sign = outward(side);
  switch (leg.foot) {
    case 'lying':
      return { ankle: [below[0], 0.042, below[2]], point };
    case 'toes': {
      const lift = toDegreesUp(point === 0 ? 45 : point);
      return { ankle: [below[0], lift.height, below[2]], point: lift.degrees };
    }
    case 'ball':
      return { ankle: [below[0], BALL.height + LENGTH.ankleHeight, below[2]] };
    case 'wall':
      return {
        ankle: [below[0], below[1], below[2]],
        sole: fromHeading(UP, [-1, 0, 0]),
      };
    case 'bar':
    case 'toes on bar': {
      const { sole, offset, height, point: pointed } = footOnBar(body, side, leg);
      const [barX] = barPlace(body.pose.machine);
      const contact: Vec3 = [barX, height, below[2]];
      return { ankle: subtract(contact, offset), sole, point: pointed };
    }
    case 'other calf':
      return {
        ankle: add(mixPlaces(other.knee, other.ankle, 0.6), [0, 0.02, sign * 0.03]),
        point: 40,
      };
    case 'other knee':
      return {
        ankle: add(mixPlaces(other.hip, other.knee, 0.86), rotate(body.pelvisTurn, [0.05, 0, 0])),
        point: 0,
      };
    default:
      return { ankle: [below[0], LENGTH.ankleHeight, below[2]] };
  }
}

function toDegreesUp(degrees: number): { degrees: number; height: number } {
  const raised = Math.sin((degrees * Math.PI) / 180) * (LENGTH.forefoot - 0.01);
  return { degrees, height: LENGTH.ankleHeight + raised };
}

function mixPlaces(a: Vec3, b: Vec3, t: number): Vec3 {
  return add(scale(a, 1 - t), scale(b, t));
}

function fromHeading(front: Vec3, up: Vec3): Turn {
  const right: Vec3 = [
    front[1] * up[2] - front[2] * up[1],
    front[2] * up[0] - front[0] * up[2],
    front[0] * up[1] - front[1] * up[0],
  ];
  return fromAxes(front, up, right);
}

function plantHand(body: Body, side: BodySide, arm: ArmPose, target: HandTarget): Partial<Limbs> {
  const limbs = body[side];
  const planted = { ...limbs.planted, arm: true };
  if (target === 'forearm') return { ...layForearm(body, side, arm), planted };
  const sign = outward(side);
  const place = handTarget(body, side, arm, target);
  const pole = arm.elbow
    ? rotate(body.highTurn, [arm.elbow[0], arm.elbow[1], sign * arm.elbow[2]])
    : rotate(body.highTurn, elbowPole(target, sign));
  const grip = place.flat ? LENGTH.forearm : LENGTH.forearm + LENGTH.hand * 0.45;
  const { middle, end, upper, lower } = bendTo(
    limbs.shoulder,
    place.at,
    LENGTH.upperArm,
    grip,
    pole,
    1,
  );
  const wrist = place.flat ? end : along(middle, lower, -LENGTH.forearm);
  const hand = place.flat
    ? add(wrist, scale(place.flat, LENGTH.hand))
    : along(wrist, lower, -LENGTH.hand);
  const palm = place.flat ? fromHeading(UP, scale(place.flat, -1)) : lower;
  return {
    elbow: middle,
    wrist,
    hand,
    upperArm: upper,
    forearm: lower,
    palm,
    planted,
    short: { ...limbs.short, arm: distance(end, place.at) },
  };
}

function elbowPole(target: HandTarget, sign: 1 | -1): Vec3 {
  switch (target) {
    case 'head':
    case 'ear':
    case 'forehead':
      return [0.25, 0.1, sign];
    case 'floor':
    case 'ball':
    case 'bar':
      return [-0.7, -0.2, sign * 0.5];
    default:
      return [-0.5, -0.2, sign * 0.8];
  }
}

/** The elbow stays where its angles put it; the forearm is laid down ahead of it. */
function layForearm(body: Body, side: BodySide, arm: ArmPose): Partial<Limbs> {
  const { elbow } = body[side];
  const heading = unit(offsetOf(body, side, arm.at ?? [1, 0]));
  const drop = clamp(elbow[1] - 0.022, -0.05, 0.05);
  const wrist = add(elbow, add(scale(heading, LENGTH.forearm), [0, -drop, 0]));
  const d = unit(subtract(wrist, elbow));
  const forearm = fromHeading(UP, scale(d, -1));
  return {
    wrist,
    hand: add(wrist, scale(heading, LENGTH.hand)),
    forearm,
    palm: fromHeading(UP, scale(heading, -1)),
  };
}

interface HandPlace {
  at: Vec3;
  /** The way the fingers lie, for a hand that is flat on something. */
  flat?: Vec3;
}

const PALM = 0.016;
/** A small ball under a hand, a little pressed in. */
const SMALL_BALL = 0.1;

function handTarget(body: Body, side: BodySide, arm: ArmPose, target: HandTarget): HandPlace {
  const limbs = body[side];
  const other = body[side === 'right' ? 'left' : 'right'];
  const sign = outward(side);
  const heading = headingOf(body);
  const [ahead, , aside] = offsetOf(body, side, arm.at);
  const chest = (f: number, u: number, out: number): Vec3 =>
    add(body.highBack, rotate(body.highTurn, [f, u, sign * out]));
  const pelvis = (f: number, u: number, out: number): Vec3 =>
    add(body.hips, rotate(body.pelvisTurn, [f, u, sign * out]));
  const head = (f: number, u: number, out: number): Vec3 =>
    add(body.head, rotate(body.headTurn, [f, u, sign * out]));
  const near = (place: Vec3, turn: Turn, f: number, out = 0): Vec3 =>
    add(place, rotate(turn, [f, 0, sign * out]));
  const at = (place: Vec3): HandPlace => ({ at: add(place, [ahead, 0, aside]) });
  switch (target) {
    case 'floor':
      return {
        at: [limbs.shoulder[0] + ahead, PALM, limbs.shoulder[2] + aside],
        flat: heading,
      };
    case 'small ball':
      return {
        at: [limbs.shoulder[0] + ahead, SMALL_BALL + PALM, limbs.shoulder[2] + aside],
        flat: heading,
      };
    case 'ball':
      return {
        at: [limbs.shoulder[0] + ahead, BALL.height + PALM, limbs.shoulder[2] + aside],
        flat: heading,
      };
    case 'bar': {
      const [x, y] = barPlace(body.pose.machine);
      return { at: [x, y + 0.03, limbs.shoulder[2] * 0.9 + aside] };
    }
    case 'head':
      return at(head(-0.045, 0.02, 0.018));
    case 'forehead':
      return at(head(0.06, 0.02, 0.01));
    case 'ear':
      return at(head(0, 0, 0.058));
    case 'shoulder':
      return at(add(limbs.shoulder, rotate(body.highTurn, [0.09, 0.05, 0])));
    case 'other shoulder':
      return at(add(other.shoulder, rotate(body.highTurn, [0.04, 0, 0])));
    case 'chest':
      return at(chest(0.075, 0.05, 0.02));
    case 'ribs':
      return at(chest(0.06, -0.03, 0.05));
    case 'belly':
      return at(pelvis(0.07, 0.08, 0.03));
    case 'low back':
      return at(pelvis(-0.07, 0.03, 0.05));
    case 'hip':
      return at(pelvis(0.035, 0.06, 0.085));
    case 'thigh':
      return at(near(mixPlaces(limbs.hip, limbs.knee, 0.62), limbs.thigh, 0.055));
    case 'other thigh':
      return at(near(mixPlaces(other.hip, other.knee, 0.8), other.thigh, 0.05));
    case 'back of thigh':
      return at(near(mixPlaces(limbs.hip, limbs.knee, 0.72), limbs.thigh, -0.055));
    case 'knee':
      return at(near(mixPlaces(limbs.hip, limbs.knee, 0.97), limbs.thigh, 0.045));
    case 'other knee':
      return at(near(mixPlaces(other.hip, other.knee, 0.97), other.thigh, 0.045));
    case 'shin':
      return at(near(mixPlaces(limbs.knee, limbs.ankle, 0.35), limbs.shank, 0.035, 0.01));
    case 'ankle':
      return at(near(mixPlaces(limbs.knee, limbs.ankle, 0.92), limbs.shank, 0.01, 0.03));
    case 'foot':
      return at(add(limbs.toe, rotate(limbs.foot, [-0.03, 0.03, sign * 0.015])));
    case 'other foot':
      return at(add(other.toe, rotate(other.foot, [-0.02, 0.02, -sign * 0.025])));
    case 'forearm':
      throw new Error('a forearm is laid down, not reached');
  }
}

/** Angles of a hip or shoulder as they stand, in the words of a pose. */
export function ballJointAngles(
  parent: Turn,
  child: Turn,
  side: BodySide,
): { flex: number; out: number; turn: number } {
  const local = compose(invert(parent), child);
  const sign = outward(side);
  const axis = rotate(local, [0, -1, 0]);
  const out = toDegrees(Math.asin(clamp(sign * axis[2], -1, 1)));
  const flex = toDegrees(Math.atan2(axis[0], -axis[1]));
  const unturned = compose(about(RIGHT, flex), about(FRONT, -sign * out));
  const rest = compose(invert(unturned), local);
  const front = rotate(rest, FRONT);
  const turn = toDegrees(Math.atan2(sign * front[2], front[0]));
  return { flex, out, turn };
}

/** The bend of an elbow or knee, 0 when straight. */
export function hingeAngle(upper: Turn, lower: Turn): number {
  const a = rotate(upper, UP);
  const b = rotate(lower, UP);
  return toDegrees(Math.acos(clamp(dot(a, b), -1, 1)));
}
