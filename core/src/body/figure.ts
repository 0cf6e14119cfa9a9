import type { PropUse } from '../movement/exercise.ts';
import type { Prop, PropPlace } from '../movement/vocabulary.ts';
import type { ArmPose, LegPose, Pose, Reach } from './pose.ts';
import { LENGTH, RADIUS } from './segments.ts';

/** In shares of stature; x to the right, y up, the floor at 0. */
export interface Point {
  x: number;
  y: number;
}

export interface Joint extends Point {
  /** Half thickness of the limb here. */
  radius: number;
}

export interface Limb {
  side: 'near' | 'far';
  joints: Joint[];
}

export interface DrawnProp {
  prop: Prop;
  centre: Point;
  width: number;
  height: number;
}

/** A pose laid out for drawing. */
export interface Figure {
  name: string;
  limbs: Limb[];
  /** Pelvis to base of the neck; to be drawn as one smooth curve. */
  trunk: Joint[];
  neck: Joint[];
  head: Joint;
  props: DrawnProp[];
  /** What the picture takes up. */
  box: { minX: number; maxX: number; maxY: number };
}

/** Lays a pose out from its angles and rests its lowest point on the floor. */
export function drawFigure(pose: Pose, uses: readonly PropUse[] = []): Figure {
  const trunk = spineOf(pose);
  const pelvis = first(trunk);
  const shoulder = last(trunk);
  const head: Joint = { ...step(shoulder, pose.head, LENGTH.neck + 0.02), radius: RADIUS.head };
  const neck: Joint[] = [
    { ...shoulder, radius: RADIUS.neck },
    { ...head, radius: RADIUS.neck },
  ];
  const farArm = pose.far?.arm ?? pose.near.arm;
  const farLeg = pose.far?.leg ?? pose.near.leg;
  const limbPlans = [
    { side: 'far' as const, kind: 'arm' as const, from: shoulder, pose: farArm },
    { side: 'far' as const, kind: 'leg' as const, from: pelvis, pose: farLeg },
    { side: 'near' as const, kind: 'leg' as const, from: pelvis, pose: pose.near.leg },
    { side: 'near' as const, kind: 'arm' as const, from: shoulder, pose: pose.near.arm },
  ];
  const scale = pose.legLength ?? 1;
  const free = limbPlans.map((plan) => layOut(plan, scale, undefined));
  const floor = Math.min(
    ...[...trunk, head, ...free.flat()].map((joint) => joint.y - joint.radius),
  );
  const limbs: Limb[] = limbPlans.map((plan) => ({
    side: plan.side,
    joints: layOut(plan, scale, floor).map((joint) => lift(joint, floor)),
  }));
  const rested = trunk.map((joint) => lift(joint, floor));
  const figure: Figure = {
    name: pose.name,
    limbs,
    trunk: rested,
    neck: neck.map((joint) => lift(joint, floor)),
    head: lift(head, floor),
    props: [],
    box: { minX: 0, maxX: 0, maxY: 0 },
  };
  figure.props = uses.map((use) => drawProp(use, figure));
  figure.box = boxOf(figure);
  return figure;
}

function first(joints: Joint[]): Joint {
  const joint = joints[0];
  if (!joint) throw new Error('a figure without joints');
  return joint;
}

function last(joints: Joint[]): Joint {
  const joint = joints.at(-1);
  if (!joint) throw new Error('a figure without joints');
  return joint;
}

function spineOf(pose: Pose): Joint[] {
  const radii = [RADIUS.waist, RADIUS.chest, RADIUS.chest * 0.82];
  const joints: Joint[] = [{ x: 0, y: 0, radius: RADIUS.pelvis }];
  pose.spine.forEach((angle, index) => {
    const end = step(last(joints), angle, LENGTH.spinePart);
    joints.push({ ...end, radius: radii[index] ?? RADIUS.chest });
  });
  return joints;
}

function step(from: Point, angle: number, length: number): Point {
  const radians = (angle * Math.PI) / 180;
  return { x: from.x + length * Math.cos(radians), y: from.y + length * Math.sin(radians) };
}

type LimbPlan =
  | { side: 'near' | 'far'; kind: 'arm'; from: Joint; pose: ArmPose }
  | { side: 'near' | 'far'; kind: 'leg'; from: Joint; pose: LegPose };

/** Without a floor the parts that reach for it are left out: they may not decide where it is. */
function layOut(plan: LimbPlan, legScale: number, floor: number | undefined): Joint[] {
  if (plan.kind === 'arm') {
    const { upper, fore, hand } = plan.pose;
    const shoulder = { x: plan.from.x, y: plan.from.y, radius: RADIUS.shoulder };
    const elbow = { ...step(shoulder, upper, LENGTH.upperArm), radius: RADIUS.elbow };
    const angle = reachAngle(elbow, fore, LENGTH.forearm, RADIUS.wrist, floor);
    if (angle === undefined) return [shoulder, elbow];
    const wrist = { ...step(elbow, angle, LENGTH.forearm), radius: RADIUS.wrist };
    const tip = { ...step(wrist, hand ?? angle, LENGTH.hand), radius: RADIUS.hand };
    return [shoulder, elbow, wrist, tip];
  }
  const { thigh, shank, foot } = plan.pose;
  const hip = { x: plan.from.x, y: plan.from.y, radius: RADIUS.hip };
  const knee = { ...step(hip, thigh, LENGTH.thigh * legScale), radius: RADIUS.knee };
  const angle = reachAngle(knee, shank, LENGTH.shank * legScale, ankleHeight(foot), floor);
  if (angle === undefined) return [hip, knee];
  const ankle = { ...step(knee, angle, LENGTH.shank * legScale), radius: RADIUS.ankle };
  const toe = { ...step(ankle, foot, LENGTH.foot), radius: RADIUS.toe };
  return [hip, knee, ankle, toe];
}

/** How high the ankle stands when the foot is down: higher on the toes. */
function ankleHeight(foot: number): number {
  const toeDrop = -Math.sin((foot * Math.PI) / 180) * LENGTH.foot;
  return Math.max(RADIUS.ankle, toeDrop + RADIUS.toe);
}

function reachAngle(
  from: Joint,
  reach: Reach,
  length: number,
  height: number,
  floor: number | undefined,
): number | undefined {
  if (typeof reach === 'number') return reach;
  if (floor === undefined) return undefined;
  const drop = Math.min(1, Math.max(-1, (from.y - floor - height) / length));
  const degrees = (Math.asin(drop) * 180) / Math.PI;
  return reach === 'floor-right' ? -degrees : 180 + degrees;
}

function lift<T extends Point>(point: T, floor: number): T {
  return { ...point, y: point.y - floor };
}

const PROP_SIZE: Record<Prop, { width: number; height: number }> = {
  'small-ball': { width: 0.11, height: 0.11 },
  'stability-ball': { width: 0.36, height: 0.36 },
  cushion: { width: 0.2, height: 0.06 },
  block: { width: 0.13, height: 0.06 },
  band: { width: 0.05, height: 0.05 },
  blanket: { width: 0.22, height: 0.04 },
  towel: { width: 0.12, height: 0.03 },
  pad: { width: 0.2, height: 0.025 },
  'spine-support': { width: 0.34, height: 0.14 },
  chair: { width: 0.24, height: 0.24 },
};

function drawProp(use: PropUse, figure: Figure): DrawnProp {
  const { width, height } = PROP_SIZE[use.prop];
  const anchor = anchorOf(use.place, figure);
  const stacked = height * use.count;
  const onFloor = { x: anchor.x, y: Math.max(0, anchor.y - anchor.radius - stacked / 2) };
  const carried = use.place.startsWith('under') && use.place !== 'under hand';
  return {
    prop: use.prop,
    centre: carried ? { x: onFloor.x, y: Math.max(stacked / 2, onFloor.y) } : anchor,
    width,
    height: stacked,
  };
}

/** The joint that a prop lies at. */
function anchorOf(place: PropPlace, figure: Figure): Joint {
  const near = (index: number, joint: number): Joint =>
    figure.limbs[index]?.joints[joint] ?? first(figure.trunk);
  const leg = 2;
  const arm = 3;
  const spine = (index: number): Joint => figure.trunk[index] ?? first(figure.trunk);
  const behind = (joint: Joint): Joint => ({ ...joint, x: joint.x - joint.radius - 0.05 });
  switch (place) {
    case 'under pelvis':
    case 'under seat':
    case 'under hips':
      return spine(0);
    case 'under low back':
      return spine(1);
    case 'behind low back':
      return behind(spine(1));
    case 'at bottom of ribs':
      return below(spine(2));
    case 'between shoulder blades':
      return below(spine(3));
    case 'under shoulder blades':
    case 'under body':
      return spine(2);
    case 'under head':
      return figure.head;
    case 'between knees':
    case 'behind knee':
    case 'under knees':
    case 'round thighs':
      return near(leg, 1);
    case 'between ankles':
    case 'under heel':
      return near(leg, 2);
    case 'round sole':
      return near(leg, 3);
    case 'under hand':
      return near(arm, 2);
  }
}

function below(joint: Joint): Joint {
  return { ...joint, y: Math.max(0.05, joint.y - joint.radius - 0.03) };
}

function boxOf(figure: Figure): Figure['box'] {
  const joints = [
    ...figure.limbs.flatMap((limb) => limb.joints),
    ...figure.trunk,
    figure.head,
    ...figure.props.map((prop) => ({
      ...prop.centre,
      radius: Math.max(prop.width, prop.height) / 2,
    })),
  ];
  return {
    minX: Math.min(...joints.map((joint) => joint.x - joint.radius)),
    maxX: Math.max(...joints.map((joint) => joint.x + joint.radius)),
    maxY: Math.max(...joints.map((joint) => joint.y + joint.radius)),
  };
}
