import type { Body } from '../body.ts';
import type { ContactPart } from '../contacts.ts';
import { LEG } from '../contact-parts.ts';
import { STATURE_M } from '../body-segments.ts';
import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import { ballJointAngles } from '../joint-angles.ts';
import { FRONT, rotate } from '../space.ts';
import type { Statics } from '../statics.ts';
import { trunkCurve, type BackPart, type Bend } from '../trunk-curve.ts';

/** Centimetres of a share of stature. */
export const CM = STATURE_M * 100;
export const PER_MILLE = 1000;
/** Less of the weight than this is a touch. */
export const TOUCH = 0.01;
/** From this share on a part rests. */
export const RESTS = 0.05;

/** A body as it is seen by every measure: its bends, and what carries it. */
export interface SeenBody {
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

/** Sine of 18 degrees: what looks up more lies on its back. */
export const LYING = 0.3;

/** The legs that touch something, however little it carries. */
export function legsDown({ supports }: Statics): BodySide[] {
  return BODY_SIDES.filter((side) =>
    supports.some((at) => at.side === side && LEG.includes(at.part)),
  );
}

/** `down` are the legs that touch something. */
export function seeBody(body: Body, statics: Statics, down: readonly BodySide[]): SeenBody {
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
  return {
    body,
    statics,
    back: trunkCurve(body),
    down,
    chestUp: rotate(body.highTurn, FRONT)[1],
    pelvisUp: rotate(body.pelvisTurn, FRONT)[1],
    share: sumOf(statics.supports),
    pressed: sumOf(statics.supports.filter(({ on }) => on !== 'body')),
  };
}

/** The thigh against the pelvis. */
export function hipOf(body: Body, side: BodySide): ReturnType<typeof ballJointAngles> {
  return ballJointAngles(body.pelvisTurn, body[side].thigh, side);
}
