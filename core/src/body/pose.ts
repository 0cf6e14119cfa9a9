/** Degrees in the plane of the picture: 0 points right, 90 up, 180 left. */
export type Angle = number;

/** The last part of a limb may instead be put down on the floor, reaching right or left. */
export type Reach = Angle | 'floor-right' | 'floor-left';

export interface ArmPose {
  upper: Angle;
  fore: Reach;
  hand?: Angle;
}

export interface LegPose {
  thigh: Angle;
  shank: Reach;
  foot: Angle;
}

/**
 * A body in the plane of the picture, by the direction of each segment. The lowest point rests on
 * the floor. `near` limbs are on the viewer's side.
 */
export interface Pose {
  /** For people who do not see the picture. */
  name: string;
  /** Lower, middle and upper back, from the pelvis up. */
  spine: readonly [Angle, Angle, Angle];
  head: Angle;
  near: { arm: ArmPose; leg: LegPose };
  /** The near side's when left out. */
  far?: { arm?: ArmPose; leg?: LegPose };
  /** Limbs that point at the viewer look shorter: a share of their length. */
  legLength?: number;
}
