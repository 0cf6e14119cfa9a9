import type { Curve } from '../movement/pose.ts';
import { REST_PARTS } from '../movement/rest-parts.ts';
import { BODY_SIDES, type FullPose } from './full-pose.ts';
import { bendTo } from './reach.ts';
import { LENGTH } from './body-segments.ts';
import type { Body, Limbs } from './body.ts';
import { moveBody, placeJoints } from './skeleton.ts';
import { lowestOf } from './solids.ts';
import { add, FRONT, mix, mixTurns, rotate, scale, subtract } from './space.ts';

/**
 * A body between two key poses, `t` from 0 to 1: parts turn the short way, what is planted in both
 * stays planted (or slides from place to place), and the part that both rest on does not drift.
 */
export function mixBodies(a: Body, b: Body, t: number): Body {
  if (t <= 0) return a;
  if (t >= 1) return b;
  const blended = placeJoints(
    mixPoses(a.pose, b.pose, t),
    {
      pelvisTurn: mixTurns(a.pelvisTurn, b.pelvisTurn, t),
      lowTurn: mixTurns(a.lowTurn, b.lowTurn, t),
      midTurn: mixTurns(a.midTurn, b.midTurn, t),
      highTurn: mixTurns(a.highTurn, b.highTurn, t),
      neckTurn: mixTurns(a.neckTurn, b.neckTurn, t),
      headTurn: mixTurns(a.headTurn, b.headTurn, t),
      right: mixLimbs(a.right, b.right, t),
      left: mixLimbs(a.left, b.left, t),
    },
    mix(a.hips, b.hips, t),
  );
  return replant(setDown(blended, a, b, t), a, b, t);
}

function mixLimbs(a: Limbs, b: Limbs, t: number): Parameters<typeof placeJoints>[1]['right'] {
  return {
    upperArm: mixTurns(a.upperArm, b.upperArm, t),
    forearm: mixTurns(a.forearm, b.forearm, t),
    palm: mixTurns(a.palm, b.palm, t),
    thigh: mixTurns(a.thigh, b.thigh, t),
    shank: mixTurns(a.shank, b.shank, t),
    foot: mixTurns(a.foot, b.foot, t),
    shrug: a.shrug + (b.shrug - a.shrug) * t,
    reach: a.reach + (b.reach - a.reach) * t,
  };
}

function mixPoses(a: FullPose, b: FullPose, t: number): FullPose {
  const curve = (one: Curve, other: Curve): Curve => [
    one[0] + (other[0] - one[0]) * t,
    one[1] + (other[1] - one[1]) * t,
    one[2] + (other[2] - one[2]) * t,
    one[3] + (other[3] - one[3]) * t,
  ];
  const bent = {
    ...a,
    round: curve(a.round, b.round),
    side: curve(a.side, b.side),
    turn: curve(a.turn, b.turn),
  };
  const { machine } = a;
  if (!machine) return bent;
  const out = machine.out + ((b.machine?.out ?? machine.out) - machine.out) * t;
  const middle = machine.middle + ((b.machine?.middle ?? machine.middle) - machine.middle) * t;
  return { ...bent, machine: { ...machine, out, middle } };
}

/** What both rest on does not drift; where that changes, the lowest of the body goes from ground to ground. */
function setDown(body: Body, a: Body, b: Body, t: number): Body {
  const part = a.pose.rest[0]?.[0];
  if (!part || part !== b.pose.rest[0]?.[0]) {
    const [from, to, now] = [lowestPoint(a), lowestPoint(b), lowestPoint(body)];
    return moveBody(body, [0, from + (to - from) * t - now, 0]);
  }
  const place = (each: Body) => {
    const { centre, height } = lowestOf(each, part);
    return [centre[0], height, 0] as const;
  };
  return moveBody(body, subtract(mix(place(a), place(b), t), place(body)));
}

function lowestPoint(body: Body): number {
  return Math.min(...REST_PARTS.map((part) => lowestOf(body, part).height));
}

function replant(body: Body, a: Body, b: Body, t: number): Body {
  const planted: Body = { ...body, right: { ...body.right }, left: { ...body.left } };
  for (const side of BODY_SIDES) {
    const limbs = planted[side];
    if (a[side].planted.leg && b[side].planted.leg) {
      const ankle = mix(a[side].ankle, b[side].ankle, t);
      const pole = rotate(limbs.thigh, FRONT);
      const bent = bendTo(limbs.hip, ankle, LENGTH.thigh, LENGTH.shank, pole, -1);
      const shift = subtract(bent.end, limbs.ankle);
      Object.assign(limbs, {
        knee: bent.middle,
        ankle: bent.end,
        thigh: bent.upper,
        shank: bent.lower,
        heel: add(limbs.heel, shift),
        toe: add(limbs.toe, shift),
      });
    }
    if (a[side].planted.arm && b[side].planted.arm) {
      const wrist = mix(a[side].wrist, b[side].wrist, t);
      const pole = scale(rotate(limbs.upperArm, FRONT), -1);
      const bent = bendTo(limbs.shoulder, wrist, LENGTH.upperArm, LENGTH.forearm, pole, 1);
      const shift = subtract(bent.end, limbs.wrist);
      Object.assign(limbs, {
        elbow: bent.middle,
        wrist: bent.end,
        upperArm: bent.upper,
        forearm: bent.lower,
        hand: add(limbs.hand, shift),
      });
    }
  }
  return planted;
}
