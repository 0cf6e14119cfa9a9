import type { RestPart } from '../movement/pose.ts';
import { REST_PARTS } from '../movement/rest-parts.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { barPlace, BOX, CARRIAGE } from './machine.ts';
import type { Body } from './body.ts';
import { extent, partSolids } from './solids.ts';
import { add, distance, mix, UP, type Vec3 } from './space.ts';

/** A part of the body that something holds up. */
export interface Contact {
  part: RestPart;
  side?: BodySide;
  at: Vec3;
  on: 'floor' | 'prop' | 'box' | 'bar';
  /** How readily it takes weight: a limp arm on the mat takes little, the trunk takes much. */
  firmness: number;
}

/** Two centimetres on a body of 1.75 m. */
const NEAR = 0.012;

/** Everything that touches the floor, what the pose says it rests on, the box or the bar. */
export function contactsOf(body: Body): Contact[] {
  const declared = new Map(body.pose.rest);
  const contacts: Contact[] = [];
  for (const part of REST_PARTS) {
    // The feet's solids hold the toes.
    if (part === 'toes') continue;
    const rest = declared.get(part) ?? (part === 'feet' ? declared.get('toes') : undefined);
    for (const { side, centre, ...solid } of partSolids(body, part)) {
      const under: Vec3 = [centre[0], centre[1] - extent(solid, UP), centre[2]];
      const on = surfaceUnder(body, under, rest);
      if (!on) continue;
      const contact = {
        part,
        ...(side ? { side } : {}),
        on,
        firmness: firmnessOf(body, part, side, rest !== undefined),
      };
      for (const at of TRUNK_PARTS.has(part) ? patchOf(under, solid) : [under]) {
        contacts.push({ ...contact, at });
      }
    }
  }
  return [...contacts, ...lyingFeet(body), ...barContacts(body)];
}

const TRUNK_PARTS: ReadonlySet<RestPart> = new Set(['pelvis', 'waist', 'ribs', 'shoulders']);

/** Of the length and width of the flesh, so much is pressed flat. Common practice. */
const PATCH_SHARE = 0.6;

/** Flesh flattens: the trunk bears on a patch, here its four corners. */
function patchOf(under: Vec3, solid: Parameters<typeof extent>[0]): Vec3[] {
  const long = extent(solid, [1, 0, 0]) * PATCH_SHARE;
  const wide = extent(solid, [0, 0, 1]) * PATCH_SHARE;
  return [
    add(under, [long, 0, wide]),
    add(under, [long, 0, -wide]),
    add(under, [-long, 0, wide]),
    add(under, [-long, 0, -wide]),
  ];
}

/**
 * How readily a part takes weight beside the others, the trunk and what a pose declares taking it whole; a
 * hand that was not put down only touches. Fitted to what people feel carries them: common practice.
 */
const FIRMNESS = { whole: 1, hand: 0.6, touch: 0.02, head: 0.3, leg: 0.4, handOnBar: 0.8 } as const;

function firmnessOf(
  body: Body,
  part: RestPart,
  side: BodySide | undefined,
  declared: boolean,
): number {
  if (TRUNK_PARTS.has(part) || declared) return FIRMNESS.whole;
  if (side && (part === 'hands' || part === 'elbows')) {
    return body[side].planted.arm && body.pose[side].arm.hand !== 'thigh'
      ? FIRMNESS.hand
      : FIRMNESS.touch;
  }
  return part === 'head' ? FIRMNESS.head : FIRMNESS.leg;
}

function surfaceUnder(
  body: Body,
  at: Vec3,
  declared: number | undefined,
): Contact['on'] | undefined {
  if (declared !== undefined && Math.abs(at[1] - declared) < NEAR) {
    return declared < NEAR ? 'floor' : body.pose.machine?.box === 'none' ? 'prop' : 'box';
  }
  if (Math.abs(at[1]) < NEAR) return 'floor';
  const machine = body.pose.machine;
  if (machine && machine.box !== 'none' && Math.abs(at[1] - BOX.height) < NEAR) {
    const half = (machine.box === 'long' ? BOX.long : BOX.short) / 2;
    if (Math.abs(at[0] - machine.middle) < half) return 'box';
  }
  if (machine && at[1] < 0 && at[1] > -CARRIAGE.thickness) return 'floor';
  return undefined;
}

/** A foot laid down on its side touches with its ankle. */
function lyingFeet(body: Body): Contact[] {
  return BODY_SIDES.filter((side) => body.pose[side].leg.foot === 'lying').map((side) => {
    const [x, , z] = body[side].ankle;
    return { part: 'feet', side, at: [x, 0, z], on: 'floor', firmness: FIRMNESS.leg };
  });
}

/** Shares of stature: how far a palm may be from the bar and still hold it; how far over its middle it lies. */
const ON_BAR = 0.09;
const PALM_OVER_BAR = 0.03;
/** From the wrist towards the middle of the hand. */
const PALM_SHARE = 0.45;

function barContacts(body: Body): Contact[] {
  const machine = body.pose.machine;
  if (!machine) return [];
  const [x, y] = barPlace(machine);
  const contacts: Contact[] = [];
  for (const side of BODY_SIDES) {
    const limbs = body[side];
    const bar: Vec3 = [x, y, limbs.ankle[2]];
    if (body.pose[side].leg.foot?.includes('bar')) {
      contacts.push({ part: 'feet', side, at: bar, on: 'bar', firmness: FIRMNESS.leg });
    }
    const palm = mix(limbs.wrist, limbs.hand, PALM_SHARE);
    const onBar = distance([palm[0], palm[1], 0], [x, y + PALM_OVER_BAR, 0]) < ON_BAR;
    if (body.pose[side].arm.hand === 'bar' && onBar) {
      contacts.push({
        part: 'hands',
        side,
        at: add(bar, [0, 0, palm[2] - bar[2]]),
        on: 'bar',
        firmness: FIRMNESS.handOnBar,
      });
    }
  }
  return contacts;
}
