import { contactsOf, type Contact } from './contacts.ts';
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
import { shareWeight, type Support } from './supports.ts';
import type { Vec3 } from './space.ts';

/**
 * What gravity asks of a body that is held still. Moments are shares of body weight times stature;
 * `toNewtonMetres` makes them a person's.
 */
export interface Statics {
  centre: Vec3;
  supports: Support[];
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
  /** Share of body weight on both hands, and on forearms and elbows. */
  onHands: number;
  onElbows: number;
}

export function weigh(body: Body, build: Build = 'woman'): Statics {
  const centre = centreOf(bodyMasses(body, build));
  const contacts = contactsOf(body);
  const { supports, balanced } = shareWeight(contacts, centre);
  const about = (joint: Vec3, masses: PointMass[], takes: (contact: Contact) => boolean): number =>
    momentAbout(joint, masses, supports.filter(takes));
  const both = (measure: (side: BodySide) => number): Record<BodySide, number> => ({
    right: measure('right'),
    left: measure('left'),
  });
  const [belly, ...chestAndHead] = upperBodyMasses(body, build);
  const arms = BODY_SIDES.flatMap((side) => armMasses(body, side, build));
  const chest = [...chestAndHead, ...arms];
  const upper = belly ? [belly, ...chest] : chest;
  return {
    centre,
    supports,
    balanced,
    moments: {
      hip: both((side) =>
        about(body[side].hip, legMasses(body, side, build), (at) => isOfLeg(at, side)),
      ),
      knee: both((side) =>
        about(
          body[side].knee,
          legMasses(body, side, build).slice(1),
          (at) => isOfLeg(at, side) && at.part !== 'knees',
        ),
      ),
      shoulder: both((side) =>
        about(body[side].shoulder, armMasses(body, side, build), (at) => isOfArm(at, side)),
      ),
      lowBack: about(body.lowBack, upper, isAbove('waist')),
      midBack: about(body.midBack, upper, isAbove('ribs')),
      highBack: about(body.highBack, chest, isAbove('shoulders')),
      neck: about(body.neck, upperBodyMasses(body, build).slice(2), ({ part }) => part === 'head'),
    },
    onHands: shareOn(supports, 'hands'),
    onElbows: shareOn(supports, 'elbows'),
  };
}

function shareOn(supports: readonly Support[], part: Contact['part']): number {
  return supports.reduce((sum, at) => sum + (at.part === part ? at.share : 0), 0);
}

const LEG: readonly Contact['part'][] = ['knees', 'feet', 'toes'];
const ARM: readonly Contact['part'][] = ['elbows', 'hands'];

const isOfLeg = (at: Contact, side: BodySide): boolean => at.side === side && LEG.includes(at.part);
const isOfArm = (at: Contact, side: BodySide): boolean => at.side === side && ARM.includes(at.part);

/** From the low back up. */
const UPWARD: readonly Contact['part'][] = [
  'waist',
  'ribs',
  'shoulders',
  'head',
  'elbows',
  'hands',
];

function isAbove(lowest: 'waist' | 'ribs' | 'shoulders'): (contact: Contact) => boolean {
  const above = UPWARD.slice(UPWARD.indexOf(lowest));
  return ({ part }) => above.includes(part);
}

/** Gravity of the masses against the push of the supports, about the two level axes. */
function momentAbout(
  joint: Vec3,
  masses: readonly PointMass[],
  supports: readonly Support[],
): number {
  let [alongX, alongZ] = [0, 0];
  for (const { mass, at } of masses) {
    alongX += mass * (at[0] - joint[0]);
    alongZ += mass * (at[2] - joint[2]);
  }
  for (const { share, at } of supports) {
    alongX -= share * (at[0] - joint[0]);
    alongZ -= share * (at[2] - joint[2]);
  }
  return Math.hypot(alongX, alongZ);
}

/** Metres per second squared. */
const GRAVITY = 9.81;

export function toNewtonMetres(moment: number, massKg: number, statureM: number): number {
  return moment * massKg * GRAVITY * statureM;
}
