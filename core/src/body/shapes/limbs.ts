import type { ArmPose, LegPose } from '../../movement/pose.ts';

/** Arms and legs that many shapes share. */
export const BY_SIDE: ArmPose = { flex: -9, out: 12, bend: 10 };
export const TO_CEILING: ArmPose = { flex: 90 };
export const OVERHEAD: ArmPose = { flex: 172, out: 8 };
export const WIDE: ArmPose = { flex: -8, out: 86 };
export const FORWARD: ArmPose = { flex: 88 };
export const ON_HEAD: ArmPose = { hand: 'head' };
export const ON_RIBS: ArmPose = { hand: 'ribs' };
export const ON_HIPS: ArmPose = { hand: 'hip' };
export const ON_KNEES: ArmPose = { hand: 'knee' };
export const HOLD_THIGHS: ArmPose = { hand: 'back of thigh' };
export const HANDS_DOWN: ArmPose = { hand: 'floor' };
export const FOREARMS_DOWN: ArmPose = { flex: 82, hand: 'forearm' };

export const FEET_DOWN: LegPose = { foot: 'floor', at: [0.3, 0] };
export const LONG: LegPose = { flex: -1, point: 35, turn: 8 };
export const TABLE: LegPose = { flex: 90, bend: 90, point: 25 };
export const OUT: LegPose = { flex: 38, point: 45 };
export const KNEE_IN: LegPose = { flex: 118, bend: 125, point: 25 };
export const CROSSED: LegPose = {
  foot: 'lying',
  at: [0.17, -0.13],
  knee: [0.5, 0.08, 1],
  point: 35,
};
