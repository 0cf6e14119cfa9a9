import type { RestPart } from '../movement/pose.ts';
import type { Body, Limbs } from './body.ts';
import { along, footFrom, outward } from './bones.ts';
import { BODY_SIDES, type BodySide, type FullPose } from './full-pose.ts';
import { ballJoint } from './joint-angles.ts';
import { bringBar, plant } from './plant.ts';
import { HALF_WIDTH, LENGTH } from './body-segments.ts';
import { lowestAlong, partSolids, type Solid } from './solids.ts';
import {
  about,
  add,
  clamp,
  compose,
  dot,
  FRONT,
  RIGHT,
  rotate,
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
  const upright = layOutFree(pose, 0);
  const firsts = freeSolids(upright, first[0]);
  const seconds = freeSolids(upright, second[0]);
  const level = rotate(about(UP, -pose.face), RIGHT);
  const gap = (tip: number): number => {
    // A tip turns the whole body about a level axis; turning the room back is the same and cheaper.
    const up = rotate(about(level, tip), UP);
    return (
      lowestAlong(seconds, up).height - second[1] - (lowestAlong(firsts, up).height - first[1])
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

/** What a part is made of, without limbs that are yet to be put somewhere. */
function freeSolids(body: Body, part: RestPart): Solid[] {
  const free = BODY_SIDES.filter((side) => {
    const { arm, leg } = body.pose[side];
    if (part === 'hands') return arm.hand === undefined;
    if (part === 'elbows') return arm.hand === undefined || arm.hand === 'forearm';
    return leg.foot === undefined;
  });
  const [one] = free;
  const paired = ['hands', 'elbows', 'knees', 'feet', 'toes'].includes(part);
  return partSolids(body, part).filter(({ side }) => !paired || free.length !== 1 || side === one);
}

/** Puts the first resting part at its height and its place along the room. */
function restOn(body: Body, [part, height]: [RestPart, number], along: number): Body {
  const { centre, height: lowest } = lowestAlong(freeSolids(body, part), UP);
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
type TrunkSetting = Pick<
  Body,
  'pelvisTurn' | 'lowTurn' | 'midTurn' | 'highTurn' | 'headTurn' | 'neckTurn'
> &
  Record<BodySide, LimbSetting>;
type LimbSetting = Pick<
  Limbs,
  'upperArm' | 'forearm' | 'palm' | 'thigh' | 'shank' | 'foot' | 'shrug' | 'reach'
>;

function stanceOf(pose: FullPose, tip: number): TrunkSetting {
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
  const limbs = (side: BodySide): LimbSetting => {
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
export function placeJoints(pose: FullPose, stance: TrunkSetting, hips: Vec3): Body {
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
