import type { MachineSetting } from '../movement/exercise.ts';
import { contactsOf, type BodyPart, type Contact, type ContactPart } from './contacts.ts';
import { ARM, LEG, SHANK, UPWARD } from './contact-parts.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import {
  armMasses,
  bodyMasses,
  centreOf,
  legMasses,
  upperBodyMasses,
  type PointMass,
} from './mass.ts';
import type { Build } from './body-segments.ts';
import type { Body } from './body.ts';
import { toNewtons } from './gravity.ts';
import { pullsOf, type Pull } from './pulls.ts';
import { dot, RIGHT, rotate, type Turn, type Vec3 } from './space.ts';
import { leverOf, shareWeight, type Held, type Support } from './supports.ts';

/** The joints that are looked at; those of the limbs on each side. */
export type Joint =
  `${'hip' | 'knee' | 'shoulder'} ${BodySide}` | 'lowBack' | 'midBack' | 'highBack' | 'neck';

/**
 * What gravity, springs and straps ask of a body that is held still. Moments are shares of body weight
 * times stature; `toNewtonMetres` makes them a person's.
 */
export interface Statics {
  centre: Vec3;
  supports: Support[];
  pulls: Pull[];
  /**
   * False where a held or moving body could not stand still like this by its contacts alone; the
   * supports are then the nearest that could be.
   */
  balanced: boolean;
  moments: {
    hip: Record<BodySide, number>;
    knee: Record<BodySide, number>;
    shoulder: Record<BodySide, number>;
    /** About L5/S1, the middle and the upper back, of all that is above each. */
    lowBack: number;
    midBack: number;
    highBack: number;
    neck: number;
  };
  /** What the front of the body must hold about its left-right axis; what the back holds is negative. */
  byFront: { hip: Record<BodySide, number>; lowBack: number };
  /** Share of body weight on both hands, and on forearms and elbows. */
  onHands: number;
  onElbows: number;
}

/** The body at rest under its weight, and under the springs where the machine is set. */
export function weigh(body: Body, settings?: MachineSetting, build: Build = 'woman'): Statics {
  const centre = centreOf(bodyMasses(body, build));
  const pulls = pullsOf(body, settings);
  const loads = loadsOf(body, pulls, build);
  const lifted = pulls.reduce((sum, { force }) => sum + force[1], 0);
  // What pushes level is met by friction where the body stands, so it tips by its height over the ground.
  const tipped = momentOf([], pulls, [centre[0], 0, centre[2]]);
  const burden = { centre, weight: 1 - lifted, alongX: -tipped[2], alongZ: tipped[0] };
  const joints = JOINTS.map(({ joint, strength }): Held => {
    const { at, masses, pulls: own, carries } = loads[joint];
    const [alongZ, , alongX] = momentOf(masses, own, at);
    return { at, alongX: -alongX, alongZ, strength, carries };
  });
  const { supports, balanced } = shareWeight(contactsOf(body), burden, joints);
  const moment = (joint: Joint): Vec3 => momentAt(loads[joint], supports);
  const size = (joint: Joint): number => Math.hypot(moment(joint)[0], moment(joint)[2]);
  const both = (measure: (side: BodySide) => number): Record<BodySide, number> => ({
    right: measure('right'),
    left: measure('left'),
  });
  const across = (joint: Joint, turn: Turn): number => dot(moment(joint), rotate(turn, RIGHT));
  return {
    centre,
    supports,
    pulls,
    balanced,
    moments: {
      hip: both((side) => size(`hip ${side}`)),
      knee: both((side) => size(`knee ${side}`)),
      shoulder: both((side) => size(`shoulder ${side}`)),
      lowBack: size('lowBack'),
      midBack: size('midBack'),
      highBack: size('highBack'),
      neck: size('neck'),
    },
    byFront: {
      hip: both((side) => -across(`hip ${side}`, body.pelvisTurn)),
      lowBack: across('lowBack', body.pelvisTurn),
    },
    onHands: shareOn(supports, 'hands'),
    onElbows: shareOn(supports, 'elbows'),
  };
}

/**
 * What each joint can hold, in shares of weight × stature: a middle person's strength, in the proportions
 * of 220 (low back), 150 (hip, knee), 60 (shoulder) and 25 (neck) newton metres. Common practice.
 */
const STRENGTH = {
  hip: 0.14,
  knee: 0.14,
  shoulder: 0.055,
  lowBack: 0.2,
  midBack: 0.17,
  highBack: 0.11,
  neck: 0.023,
} as const;

const JOINTS: readonly { joint: Joint; strength: number }[] = [
  ...(['hip', 'knee', 'shoulder'] as const).flatMap((name) =>
    BODY_SIDES.map((side) => ({ joint: `${name} ${side}` as const, strength: STRENGTH[name] })),
  ),
  ...(['lowBack', 'midBack', 'highBack', 'neck'] as const).map((joint) => ({
    joint,
    strength: STRENGTH[joint],
  })),
];

/** What hangs from a joint: where, the masses beyond it, what pulls there and what bears there. */
interface JointLoad {
  at: Vec3;
  masses: readonly PointMass[];
  pulls: readonly Pull[];
  carries: (contact: Contact) => number;
}

function loadsOf(body: Body, pulls: readonly Pull[], build: Build): Record<Joint, JointLoad> {
  const arms = BODY_SIDES.flatMap((side) => armMasses(body, side, build));
  const [belly, chest, head] = upperBodyMasses(body, build);
  const upper = [chest, head, ...arms];
  const load = (
    at: Vec3,
    masses: readonly PointMass[],
    isBeyond: (part: BodyPart) => boolean,
  ): JointLoad => ({
    at,
    masses,
    pulls: pulls.filter(isBeyond),
    carries: (contact) =>
      Number(isBeyond(contact)) - Number(contact.below !== undefined && isBeyond(contact.below)),
  });
  const hip = (side: BodySide) =>
    load(body[side].hip, legMasses(body, side, build), isOf(LEG, side));
  const knee = (side: BodySide) =>
    load(body[side].knee, legMasses(body, side, build).slice(1), isOf(SHANK, side));
  const shoulder = (side: BodySide) =>
    load(body[side].shoulder, armMasses(body, side, build), isOf(ARM, side));
  return {
    'hip right': hip('right'),
    'hip left': hip('left'),
    'knee right': knee('right'),
    'knee left': knee('left'),
    'shoulder right': shoulder('right'),
    'shoulder left': shoulder('left'),
    lowBack: load(body.lowBack, [belly, ...upper], isOf(UPWARD)),
    midBack: load(body.midBack, [belly, ...upper], isOf(UPWARD.slice(1))),
    highBack: load(body.highBack, upper, isOf(UPWARD.slice(2))),
    neck: load(body.neck, [head], isOf(['head'])),
  };
}

function isOf(parts: readonly ContactPart[], side?: BodySide): (part: BodyPart) => boolean {
  return ({ part, side: own }) => parts.includes(part) && (side === undefined || own === side);
}

function momentAt({ at, masses, pulls, carries }: JointLoad, supports: readonly Support[]): Vec3 {
  const moment = momentOf(masses, pulls, at);
  for (const support of supports) {
    const sign = carries(support);
    if (sign === 0) continue;
    moment[0] -= sign * support.share * leverOf(support, at, 2);
    moment[2] += sign * support.share * leverOf(support, at, 0);
  }
  return moment;
}

/** The moment of weights and pulls about a place. */
function momentOf(
  masses: readonly PointMass[],
  pulls: readonly Pull[],
  about: Vec3,
): [number, number, number] {
  const moment: [number, number, number] = [0, 0, 0];
  for (const { mass, at } of masses) {
    moment[0] += mass * (at[2] - about[2]);
    moment[2] -= mass * (at[0] - about[0]);
  }
  for (const { at, force } of pulls) {
    const [x, y, z] = [at[0] - about[0], at[1] - about[1], at[2] - about[2]];
    moment[0] += y * force[2] - z * force[1];
    moment[1] += z * force[0] - x * force[2];
    moment[2] += x * force[1] - y * force[0];
  }
  return moment;
}

function shareOn(supports: readonly Support[], part: ContactPart): number {
  return supports.reduce(
    (sum, at) => sum + (at.part === part && at.on !== 'body' ? at.share : 0),
    0,
  );
}

export function toNewtonMetres(moment: number, massKg: number, statureM: number): number {
  return moment * toNewtons(massKg) * statureM;
}
