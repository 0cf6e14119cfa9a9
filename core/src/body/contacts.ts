import type { RestPart } from '../movement/pose.ts';
import { REST_PARTS } from '../movement/rest-parts.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';
import { LENGTH } from './body-segments.ts';
import { BALL, barPlace, BOX, CARRIAGE } from './machine.ts';
import type { Body, Limbs } from './body.ts';
import { extent, partSolids, THICKNESS, TRUNK } from './solids.ts';
import { add, distance, mix, UP, type Vec3 } from './space.ts';

/** What can bear weight: what a pose can be said to rest on, and the long parts of the limbs. */
export type ContactPart = RestPart | 'thighs' | 'calves' | 'upper arms';

export interface BodyPart {
  part: ContactPart;
  side?: BodySide;
}

/** A part of the body that something holds up. */
export interface Contact extends BodyPart {
  at: Vec3;
  on: 'floor' | 'prop' | 'box' | 'bar' | 'wall' | 'body';
  /** Which way it pushes the body, where that is not up. */
  push?: Vec3;
  /** The part of the same body that it lies on, which carries it in its turn. */
  below?: BodyPart;
  /** Of several that could carry the same, how readily it does: a limp arm takes little, the trunk much. */
  firmness: number;
}

/** Two centimetres on a middle body. */
const NEAR = 0.012;
/** A body on its way between two poses may be drawn so far into the floor, and lies on it. */
const SUNK = 0.05;
/** Twice that under a head, which hair and the back of the neck round off. Common practice. */
const NEAR_HEAD = 0.024;
/** And under the soft parts between pelvis and ribs, which sag on what they lie on. Common practice. */
const NEAR_WAIST = 0.026;

/** Everything that touches the floor, what the pose says it rests on, the box or the bar, and its own body. */
export function contactsOf(body: Body): Contact[] {
  const declared = new Map(body.pose.rest);
  const contacts: Contact[] = [];
  for (const part of REST_PARTS) {
    // The feet's solids hold the toes.
    if (part === 'toes') continue;
    const rest = declared.get(part) ?? (part === 'feet' ? declared.get('toes') : undefined);
    for (const { side, centre, ...solid } of partSolids(body, part)) {
      const under: Vec3 = [centre[0], centre[1] - extent(solid, UP), centre[2]];
      const near = nearOf(part);
      const on = surfaceUnder(body, under, rest, near) ?? propUnder(body, part, side, under);
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
  return [
    ...contacts,
    ...limbContacts(body),
    ...lyingFeet(body),
    ...barContacts(body),
    ...wallContacts(body),
    ...bodyContacts(body),
  ];
}

function nearOf(part: RestPart): number {
  if (part === 'head') return NEAR_HEAD;
  return part === 'waist' ? NEAR_WAIST : NEAR;
}

const TRUNK_PARTS: ReadonlySet<ContactPart> = new Set([
  'pelvis',
  'waist',
  'ribs',
  'shoulders',
] as const);

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
 * How readily a part takes weight beside others that could as well, the trunk and what a pose declares
 * taking it whole; a hand that was not put down only touches. Common practice.
 */
const FIRMNESS = {
  whole: 1,
  hand: 0.6,
  touch: 0.02,
  head: 0.3,
  leg: 0.4,
  handOnBar: 0.8,
  ownBody: 0.3,
} as const;

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
  near: number = NEAR,
): Contact['on'] | undefined {
  if (declared !== undefined && Math.abs(at[1] - declared) < near) {
    const onBox = body.pose.machine && body.pose.machine.box !== 'none';
    return declared < NEAR ? 'floor' : onBox ? 'box' : 'prop';
  }
  if (at[1] < near && at[1] > -SUNK) return 'floor';
  const machine = body.pose.machine;
  if (machine && machine.box !== 'none' && Math.abs(at[1] - BOX.height) < near) {
    const half = (machine.box === 'long' ? BOX.long : BOX.short) / 2;
    if (Math.abs(at[0] - machine.middle) < half) return 'box';
  }
  if (machine && at[1] < 0 && at[1] > -CARRIAGE.thickness) return 'floor';
  return undefined;
}

/** A hand or foot that was put on a ball. */
function propUnder(
  body: Body,
  part: RestPart,
  side: BodySide | undefined,
  under: Vec3,
): Contact['on'] | undefined {
  if (!side) return undefined;
  const { arm, leg } = body.pose[side];
  const onBall =
    (part === 'feet' && leg.foot === 'ball') || (part === 'hands' && arm.hand === 'ball');
  if (onBall && Math.abs(under[1] - BALL.height) < 2 * NEAR) return 'prop';
  const isPropped = ['small ball', 'block', 'chair'].includes(arm.hand ?? '');
  return part === 'hands' && isPropped ? 'prop' : undefined;
}

interface Along {
  part: 'thighs' | 'calves' | 'upper arms';
  from: 'hip' | 'knee' | 'shoulder';
  to: 'knee' | 'ankle' | 'elbow';
  /** Where along the bone the flesh is met, and its half thickness there. */
  share: number;
  radius: number;
}

const between = (a: number, b: number, share: number): number => a + (b - a) * share;

const LONG_PARTS: readonly Along[] = [
  {
    part: 'thighs',
    from: 'hip',
    to: 'knee',
    share: 0.5,
    radius: between(THICKNESS.hip, THICKNESS.knee, 0.5),
  },
  { part: 'calves', from: 'knee', to: 'ankle', share: 0.35, radius: THICKNESS.calf },
  {
    part: 'upper arms',
    from: 'shoulder',
    to: 'elbow',
    share: 0.5,
    radius: between(THICKNESS.shoulder, THICKNESS.elbow, 0.5),
  },
];

/** Thighs, calves and upper arms that lie on something. */
function limbContacts(body: Body): Contact[] {
  return BODY_SIDES.flatMap((side) =>
    LONG_PARTS.flatMap(({ part, from, to, share, radius }): Contact[] => {
      const centre = mix(body[side][from], body[side][to], share);
      const at: Vec3 = [centre[0], centre[1] - radius, centre[2]];
      const on = surfaceUnder(body, at, undefined);
      return on ? [{ part, side, at, on, firmness: FIRMNESS.leg }] : [];
    }),
  );
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

/** Palms on a wall, which pushes them away from itself. */
function wallContacts({ pose, ...body }: Body): Contact[] {
  return BODY_SIDES.filter((side) => pose[side].arm.hand === 'wall').map((side) => ({
    part: 'hands',
    side,
    at: mix(body[side].wrist, body[side].hand, PALM_SHARE),
    on: 'wall',
    push: [-Math.sign(pose.wall ?? 0), 0, 0],
    firmness: FIRMNESS.hand,
  }));
}

/** A part that can lie on another of the same body: a ball of flesh. */
interface Lump extends BodyPart {
  centre: Vec3;
  radius: number;
}

/** Flesh that lies on flesh is pressed together by so much of stature: two centimetres. Common practice. */
const PRESSED = 0.012;

/** One leg on the other, the seat on the heels, the ribs on the thighs, the head on an arm. */
function bodyContacts(body: Body): Contact[] {
  const legs = BODY_SIDES.map((side) => legLumps(body[side], side));
  const [right = [], left = []] = legs;
  const seat: Lump[] = [{ part: 'pelvis', centre: body.hips, radius: TRUNK.pelvis[1] }];
  const chest: Lump[] = [
    { part: 'waist', centre: mix(body.lowBack, body.midBack, 0.5), radius: TRUNK.waist[0] },
    { part: 'ribs', centre: body.highBack, radius: TRUNK.ribs[0] },
  ];
  const head: Lump[] = [{ part: 'head', centre: body.head, radius: TRUNK.head[2] }];
  const lower = legs.map((own) => own.filter(({ part }) => part === 'calves' || part === 'feet'));
  const upper = legs.map((own) => own.filter(({ part }) => part === 'thighs' || part === 'knees'));
  return [
    ...lyingOn(right, left),
    ...lyingOn(left, right),
    ...lyingOn(seat, lower.flat()),
    ...lyingOn(chest, upper.flat()),
    ...lyingOn(
      head,
      BODY_SIDES.flatMap((side) => armLumps(body[side], side)),
    ),
  ];
}

function legLumps(limbs: Limbs, side: BodySide): Lump[] {
  return [
    ...LONG_PARTS.filter(({ part }) => part !== 'upper arms').map(
      ({ part, from, to, share, radius }) => ({
        part,
        side,
        centre: mix(limbs[from], limbs[to], share),
        radius,
      }),
    ),
    { part: 'knees', side, centre: limbs.knee, radius: THICKNESS.knee },
    { part: 'feet', side, centre: limbs.ankle, radius: THICKNESS.ankle },
  ];
}

function armLumps(limbs: Limbs, side: BodySide): Lump[] {
  const bicep = LONG_PARTS.flatMap(({ part, share, radius }) =>
    part === 'upper arms'
      ? [{ part, side, centre: mix(limbs.shoulder, limbs.elbow, share), radius }]
      : [],
  );
  const wrist = mix(limbs.elbow, limbs.wrist, 0.6);
  const palm = mix(limbs.wrist, limbs.hand, 0.5);
  return [
    ...bicep,
    { part: 'elbows', side, centre: wrist, radius: THICKNESS.wrist },
    { part: 'hands', side, centre: palm, radius: THICKNESS.hand + LENGTH.hand / 4 },
  ];
}

/** Lumps that lie more above than beside others, as near as flesh is: on the nearest of each side. */
function lyingOn(tops: readonly Lump[], unders: readonly Lump[]): Contact[] {
  return tops.flatMap((top) =>
    BODY_SIDES.flatMap((side): Contact[] => {
      const under = nearestUnder(
        top,
        unders.filter((each) => each.side === side),
      );
      if (!under) return [];
      const at = mix(top.centre, under.centre, top.radius / (top.radius + under.radius));
      const own = { part: top.part, ...(top.side ? { side: top.side } : {}) };
      const below = { part: under.part, side };
      return [{ ...own, at, on: 'body', below, firmness: FIRMNESS.ownBody }];
    }),
  );
}

function nearestUnder({ centre, radius }: Lump, unders: readonly Lump[]): Lump | undefined {
  let under: Lump | undefined;
  let nearest = Infinity;
  for (const each of unders) {
    const apart = distance(centre, each.centre);
    const steep = (centre[1] - each.centre[1]) / Math.max(apart, NEAR);
    if (steep < STEEP || apart > radius + each.radius + PRESSED || apart > nearest) continue;
    [under, nearest] = [each, apart];
  }
  return under;
}

/** Sine of 37 degrees: what leans less than that beside another does not lie on it. */
const STEEP = 0.6;
