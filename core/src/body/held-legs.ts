import type { ArmPose } from '../movement/pose.ts';
import type { Body } from './body.ts';
import type { BodySide } from './full-pose.ts';

type Hold = ArmPose['hand'];

/** Hands on the leg of their own side, and on the leg of the other. */
const OWN_LEG: ReadonlySet<Hold> = new Set([
  'thigh',
  'back of thigh',
  'knee',
  'shin',
  'ankle',
  'foot',
] as const);
const OTHER_LEG: ReadonlySet<Hold> = new Set(['other thigh', 'other knee', 'other foot'] as const);

/** Whether a hand holds the leg of this side. */
export function isLegInHand(body: Body, side: BodySide): boolean {
  const other = side === 'right' ? 'left' : 'right';
  return OWN_LEG.has(body.pose[side].arm.hand) || OTHER_LEG.has(body.pose[other].arm.hand);
}
