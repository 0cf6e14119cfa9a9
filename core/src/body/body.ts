import type { FullPose } from './full-pose.ts';
import type { Turn, Vec3 } from './space.ts';

/** The joints of one side and how its long parts are turned. */
export interface Limbs {
  shoulder: Vec3;
  elbow: Vec3;
  wrist: Vec3;
  /** The tip of the hand. */
  hand: Vec3;
  hip: Vec3;
  knee: Vec3;
  ankle: Vec3;
  heel: Vec3;
  /** The ball of the foot. */
  toe: Vec3;
  upperArm: Turn;
  forearm: Turn;
  thigh: Turn;
  shank: Turn;
  foot: Turn;
  palm: Turn;
  shrug: number;
  reach: number;
  /** True where a hand or foot was put somewhere and the joint between followed. */
  planted: { arm: boolean; leg: boolean };
  /** How far a planted hand or foot stays from where it was to go. */
  short: { arm: number; leg: number };
}

/** A body laid out in the room. */
export interface Body {
  pose: FullPose;
  /** Joints of the trunk from the middle of the hips up, and how the part above each is turned. */
  hips: Vec3;
  lowBack: Vec3;
  midBack: Vec3;
  highBack: Vec3;
  neck: Vec3;
  headBase: Vec3;
  head: Vec3;
  pelvisTurn: Turn;
  lowTurn: Turn;
  midTurn: Turn;
  highTurn: Turn;
  neckTurn: Turn;
  headTurn: Turn;
  right: Limbs;
  left: Limbs;
}
