import type { ArmPose, HandTarget, LegPose } from '../movement/pose.ts';
import type { Body, Limbs } from './body.ts';
import { along, footFrom, outward } from './bones.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { BALL, barPlace, BOARD_HEIGHT } from './machine.ts';
import { bendTo } from './reach.ts';
import { LENGTH } from './body-segments.ts';
import { THICKNESS } from './solids.ts';
import {
  about,
  add,
  clamp,
  compose,
  distance,
  FRONT,
  fromAxes,
  mix,
  RIGHT,
  rotate,
  scale,
  subtract,
  toRadians,
  unit,
  UP,
  type Turn,
  type Vec3,
} from './space.ts';

/** Puts hands and feet where the pose wants them: feet first, for hands may hold them. */
export function plant(body: Body): Body {
  const legs: Body = { ...body, right: { ...body.right }, left: { ...body.left } };
  // A foot on the other leg comes after that leg.
  const onOther = (side: BodySide) =>
    Number(body.pose[side].leg.foot?.startsWith('other') ?? false);
  for (const side of [...BODY_SIDES].sort((a, b) => onOther(a) - onOther(b))) {
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
export function bringBar(body: Body): Body {
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
  // A foot that lies, on the floor or on the other, goes on from its shank.
  const lies = leg.foot === 'lying' || leg.foot === 'other foot';
  const flat = lies ? lower : (target.sole ?? fromHeading(turned, UP));
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
        ankle: add(mix(other.knee, other.ankle, 0.6), [0, 0.02, sign * 0.03]),
        point: 40,
      };
    case 'other foot':
      return { ankle: add(other.ankle, [0, 2 * THICKNESS.ankle, 0]), point };
    case 'other knee':
      return {
        ankle: add(mix(other.hip, other.knee, 0.86), rotate(body.pelvisTurn, [0.05, 0, 0])),
        point: 0,
      };
    default:
      return { ankle: [below[0], LENGTH.ankleHeight, below[2]] };
  }
}

function toDegreesUp(degrees: number): { degrees: number; height: number } {
  const raised = Math.sin(toRadians(degrees)) * (LENGTH.forefoot - 0.01);
  return { degrees, height: LENGTH.ankleHeight + raised };
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
    case 'wall':
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
const BLOCK = 0.06;
/** The seat of a chair: 45 cm on a middle body. */
export const CHAIR_SEAT = 0.26;

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
    case 'block':
      return {
        at: [limbs.shoulder[0] + ahead, BLOCK + PALM, limbs.shoulder[2] + aside],
        flat: heading,
      };
    case 'chair':
      return {
        at: [limbs.shoulder[0] + ahead, CHAIR_SEAT + PALM, limbs.shoulder[2] + aside],
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
    case 'wall':
      return {
        at: [wallOf(body), limbs.shoulder[1] + ahead, limbs.shoulder[2] + aside],
        flat: UP,
      };
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
      return at(near(mix(limbs.hip, limbs.knee, 0.62), limbs.thigh, 0.055));
    case 'other thigh':
      return at(near(mix(other.hip, other.knee, 0.8), other.thigh, 0.05));
    case 'back of thigh':
      return at(near(mix(limbs.hip, limbs.knee, 0.72), limbs.thigh, -0.055));
    case 'knee':
      return at(near(mix(limbs.hip, limbs.knee, 0.97), limbs.thigh, 0.045));
    case 'other knee':
      return at(near(mix(other.hip, other.knee, 0.97), other.thigh, 0.045));
    case 'shin':
      return at(near(mix(limbs.knee, limbs.ankle, 0.35), limbs.shank, 0.035, 0.01));
    case 'ankle':
      return at(near(mix(limbs.knee, limbs.ankle, 0.92), limbs.shank, 0.01, 0.03));
    case 'foot':
      return at(add(limbs.toe, rotate(limbs.foot, [-0.03, 0.03, sign * 0.015])));
    case 'other foot':
      return at(add(other.toe, rotate(other.foot, [-0.02, 0.02, -sign * 0.025])));
    case 'forearm':
      throw new Error('a forearm is laid down, not reached');
  }
}

/** Where a palm on the wall is along the room. */
function wallOf({ pose: { wall = 0 } }: Body): number {
  return wall - Math.sign(wall) * PALM;
}
