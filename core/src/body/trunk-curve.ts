import type { Body } from './body.ts';
import {
  clamp,
  compose,
  about,
  FRONT,
  invert,
  RIGHT,
  rotate,
  toDegrees,
  UP,
  type Turn,
} from './space.ts';

/** How a part of the back is bent against the one below, in degrees and in the words of a pose. */
export interface Bend {
  round: number;
  side: number;
  turn: number;
}

export const BACK_PARTS = ['low', 'mid', 'up', 'neck'] as const;
export type BackPart = (typeof BACK_PARTS)[number];

/** The bends of a body as it lies in the room; a body between two poses is bent as its parts are turned. */
export function trunkCurve(body: Body): Record<BackPart, Bend> {
  return {
    low: bendBetween(body.pelvisTurn, body.lowTurn),
    mid: bendBetween(body.lowTurn, body.midTurn),
    up: bendBetween(body.midTurn, body.highTurn),
    neck: bendBetween(body.highTurn, body.headTurn),
  };
}

/** Undoes what laying out does: rounding about the left-right axis, then the side-bend, then the turn. */
function bendBetween(below: Turn, above: Turn): Bend {
  const local = compose(invert(below), above);
  const up = rotate(local, UP);
  const side = toDegrees(Math.asin(clamp(up[2], -1, 1)));
  const round = toDegrees(Math.atan2(up[0], up[1]));
  const untwisted = compose(about(RIGHT, -round), about(FRONT, side));
  const front = rotate(compose(invert(untwisted), local), FRONT);
  return { round, side, turn: toDegrees(Math.atan2(front[2], front[0])) };
}
