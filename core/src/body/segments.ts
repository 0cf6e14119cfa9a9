/**
 * Segment lengths as shares of stature, for drawing. After Drillis and Contini (1966) as tabled in
 * Winter, Biomechanics and Motor Control of Human Movement (from memory); the trunk from hip to
 * shoulder is cut into three equal parts so that it can bend.
 */
export const LENGTH = {
  spinePart: 0.096,
  neck: 0.085,
  upperArm: 0.172,
  forearm: 0.157,
  hand: 0.055,
  thigh: 0.245,
  shank: 0.236,
  foot: 0.09,
} as const;

/** Half thickness at each joint, as shares of stature. */
export const RADIUS = {
  head: 0.062,
  neck: 0.03,
  chest: 0.06,
  waist: 0.05,
  pelvis: 0.064,
  shoulder: 0.034,
  elbow: 0.025,
  wrist: 0.018,
  hand: 0.014,
  hip: 0.052,
  knee: 0.036,
  ankle: 0.024,
  toe: 0.014,
} as const;
