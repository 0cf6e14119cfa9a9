import type { PropUse } from '../../movement/exercise.ts';
import type { MachinePose } from '../../movement/pose.ts';
import type { Prop, PropPlace } from '../../movement/vocabulary.ts';
import {
  BALL,
  BOX,
  CARRIAGE,
  FRAME_LENGTH,
  PLATFORM_LENGTH,
  barPlace,
  pulleyPlace,
  strapEnds,
} from '../machine.ts';
import { BODY_SIDES } from '../full-pose.ts';
import type { Body } from '../body.ts';
import { lowestOf, partSolids } from '../solids.ts';
import { add, distance, mix, NO_TURN, rotate, type Vec3 } from '../space.ts';
import { depthOf, project, spotOf, type Camera, type Point, type Spot } from './camera.ts';
import { chainPath, hullOf, linePath, polygonPath } from './outline.ts';

/** What is not the body: props, the machine, what it is held by. */
export interface FurniturePart {
  tone: 'prop' | 'propTop' | 'machine' | 'machineTop' | 'frame' | 'frameTop' | 'strap';
  depth: number;
  d: string;
  line: boolean;
  points: Point[];
}

/** The roller's thickness. */
const ROLLER = 0.088;

/** Length along the room, height, width across; shares of stature. */
const SIZE: Record<Prop, Vec3> = {
  'small-ball': [0.11, 0.11, 0.11],
  'stability-ball': [BALL.radius * 2, BALL.height, BALL.radius * 2],
  cushion: [0.2, 0.06, 0.24],
  block: [0.13, 0.06, 0.09],
  band: [0.02, 0.02, 0.02],
  blanket: [0.2, 0.04, 0.3],
  towel: [0.12, 0.03, 0.18],
  pad: [0.2, 0.02, 0.24],
  'spine-support': [0.4, 0.14, 0.24],
  chair: [0.26, 0.26, 0.26],
  ring: [0.2, 0.2, 0.03],
  roller: [0.56, ROLLER, ROLLER],
  'hand-weight': [0.09, 0.035, 0.035],
  pole: [0.02, 0.02, 0.62],
};

/** How high a pile of a prop stands: what lies on it is lifted by this. */
export function propHeight(prop: Prop, count = 1): number {
  return SIZE[prop][1] * count;
}

/** Where the middle of a prop is, and whether it lies under the body. */
export interface PropPlacing {
  centre: Vec3;
  under: boolean;
  /** The surface of the body that it should touch. */
  touches: Vec3;
}

export function placeProp(use: PropUse, body: Body): PropPlacing {
  const height = propHeight(use.prop, use.count);
  const anchor = anchorOf(use.place, body);
  if (anchor.under) {
    const [, seat, z] = anchor.at;
    const isBehind = use.prop === 'chair' && seat > height + STANDING_UP;
    const x = anchor.at[0] - (isBehind ? CHAIR_BEHIND : 0);
    return { centre: [x, height / 2, z], under: true, touches: anchor.touches ?? anchor.at };
  }
  return { centre: anchor.at, under: false, touches: anchor.touches ?? anchor.at };
}

/** Whose seat is so far over a chair stands before it, so far. */
const STANDING_UP = 0.06;
const CHAIR_BEHIND = 0.2;

interface Anchor {
  at: Vec3;
  under: boolean;
  touches?: Vec3;
}

function anchorOf(place: PropPlace, body: Body): Anchor {
  const under = (part: Parameters<typeof lowestOf>[1]): Anchor => {
    const { centre, height } = lowestOf(body, part);
    return { at: [centre[0], height, centre[2]], under: true };
  };
  const behind = (centre: Vec3, turn: Body['lowTurn'], depth: number): Anchor => ({
    at: add(centre, rotate(turn, [-depth - 0.05, 0, 0])),
    touches: add(centre, rotate(turn, [-depth, 0, 0])),
    under: false,
  });
  const between = (a: Vec3, b: Vec3): Anchor => ({ at: mix(a, b, 0.5), under: false });
  const { right, left } = body;
  switch (place) {
    case 'under pelvis':
    case 'under seat':
    case 'under hips':
      return under('pelvis');
    case 'under low back':
      return under('waist');
    case 'at bottom of ribs':
      return under('ribs');
    case 'between shoulder blades':
    case 'under shoulder blades':
      return under('shoulders');
    case 'under head':
      return under('head');
    case 'behind low back':
      return behind(body.lowBack, body.lowTurn, 0.045);
    case 'between knees':
    case 'round thighs':
      return between(right.knee, left.knee);
    case 'between ankles':
      return between(right.ankle, left.ankle);
    case 'behind knee':
      return {
        at: add(right.knee, rotate(right.thigh, [-0.055, 0.03, 0])),
        under: false,
      };
    case 'under knees': {
      const lower = right.knee[1] < left.knee[1] ? right.knee : left.knee;
      return { at: [lower[0], Math.max(0, lower[1] - 0.03), 0], under: true };
    }
    case 'under heel':
      return { at: [right.heel[0], Math.max(0, right.heel[1] - 0.02), right.heel[2]], under: true };
    case 'under hand': {
      const held = BODY_SIDES.find((side) =>
        ['block', 'small ball', 'chair'].includes(body.pose[side].arm.hand ?? ''),
      );
      const lower = held ? body[held] : right.wrist[1] < left.wrist[1] ? right : left;
      const palm = mix(lower.wrist, lower.hand, 0.4);
      return { at: [palm[0], Math.max(0, palm[1] - 0.014), palm[2]], under: true };
    }
    case 'round sole':
      return { at: mix(right.heel, right.toe, 0.7), under: false };
    case 'under body':
      return underBody(body);
    case 'along the back': {
      const { centre, height } = lowestOf(body, 'waist');
      return {
        at: [centre[0], height, 0],
        under: true,
        touches: [centre[0], lowestOf(body, 'pelvis').height, 0],
      };
    }
    case 'between hands':
    case 'in hands':
      return between(palmOf(right), palmOf(left));
  }
}

const palmOf = ({ wrist, hand }: Body['right']): Vec3 => mix(wrist, hand, 0.5);

/** The large ball lies under the part that is said to rest as high as it. */
function underBody(body: Body): Anchor {
  const part = body.pose.rest.find(([, height]) => height > BALL.height / 2)?.[0] ?? 'waist';
  const solids = partSolids(body, part);
  const x = solids.reduce((sum, { centre }) => sum + centre[0], 0) / solids.length;
  const ahead = part === 'elbows' ? FOREARM_AHEAD : 0;
  return { at: [x + ahead, BALL.height, 0], under: true };
}

/** The ball's middle lies under the forearms, not under the elbows. */
const FOREARM_AHEAD = 0.06;

const ROUND: ReadonlySet<Prop> = new Set(['small-ball', 'stability-ball', 'ring']);

export function paintProp(use: PropUse, body: Body, camera: Camera): FurniturePart[] {
  if (use.prop === 'band') return [paintBand(use, body, camera)];
  if (use.place === 'in hands') return paintInHands(use, body, camera);
  if (use.prop === 'pole') return [paintPole(body, camera)];
  const { centre, under, touches } = placeProp(use, body);
  const [long, , wide] = SIZE[use.prop];
  const tall = propHeight(use.prop, use.count);
  const depth = depthOf(camera, centre) - (under ? 0.12 : 0);
  if (ROUND.has(use.prop)) {
    const half = under ? pressedIn(touches[1], tall) : tall / 2;
    return [roundPart(camera, centre, tall / 2, half, depth)];
  }
  if (use.prop === 'spine-support') return [archPart(camera, centre, long, tall, wide, depth)];
  if (!under) return boxParts('prop', camera, centre, BETWEEN, depth);
  // A pad is thin: with its whole width in the picture it looks as high as the shin on it.
  const seenWide = use.prop === 'pad' ? PAD_SEEN_WIDE : wide;
  return boxParts('prop', camera, centre, [long, tall, seenWide], depth);
}

const PAD_SEEN_WIDE = 0.08;

/** One in each hand. */
function paintInHands(use: PropUse, body: Body, camera: Camera): FurniturePart[] {
  return BODY_SIDES.flatMap((side) => {
    const palm = palmOf(body[side]);
    return boxParts('prop', camera, palm, SIZE[use.prop], depthOf(camera, palm) + 0.05);
  });
}

/** How far a pole stands out beyond each hand. */
const POLE_BEYOND = 0.08;

function paintPole(body: Body, camera: Camera): FurniturePart {
  const [right, left] = [palmOf(body.right), palmOf(body.left)];
  const beyond = POLE_BEYOND / Math.max(POLE_BEYOND, distance(right, left));
  const ends = [mix(left, right, 1 + beyond), mix(right, left, 1 + beyond)];
  const points = ends.map((place) => project(camera, place));
  const depth = Math.max(...ends.map((place) => depthOf(camera, place))) + 0.1;
  return { tone: 'prop', depth, d: linePath(points), line: true, points };
}

/** Half the height of a soft ball with a body on it. */
function pressedIn(bodyHeight: number, tall: number): number {
  return Math.min(tall, Math.max(tall * 0.55, bodyHeight)) / 2;
}

/** A cushion or block that is held between limbs is seen edge on. */
const BETWEEN: Vec3 = [0.12, 0.05, 0.08];

function roundPart(
  camera: Camera,
  centre: Vec3,
  radius: number,
  halfHeight: number,
  depth: number,
): FurniturePart {
  const resting: Vec3 = [centre[0], centre[1] - radius + halfHeight, centre[2]];
  const half: Vec3 = [radius, halfHeight, radius];
  const spot = spotOf(camera, { centre: resting, turn: NO_TURN, half });
  return {
    tone: 'prop',
    depth,
    d: chainPath([spot]),
    line: false,
    points: cornersOf(spot, radius),
  };
}

function cornersOf(spot: Spot, radius: number): Point[] {
  return [
    { x: spot.x - radius, y: spot.y - radius },
    { x: spot.x + radius, y: spot.y + radius },
  ];
}

/** A box as its outline and its lighter upper face. */
function boxParts(
  tone: 'prop' | 'machine' | 'frame',
  camera: Camera,
  centre: Vec3,
  [long, tall, wide]: Vec3,
  depth: number,
): FurniturePart[] {
  const corner = (x: number, y: number, z: number): Point =>
    project(camera, add(centre, [x * long, y * tall, z * wide]));
  const face = (y: number): Point[] => [
    corner(-0.5, y, -0.5),
    corner(0.5, y, -0.5),
    corner(0.5, y, 0.5),
    corner(-0.5, y, 0.5),
  ];
  const top = face(0.5);
  const hull = hullOf([...top, ...face(-0.5)]);
  return [
    { tone, depth, d: polygonPath(hull), line: false, points: hull },
    { tone: `${tone}Top`, depth: depth + 1e-4, d: polygonPath(top), line: false, points: top },
  ];
}

/** A low arch, highest in its middle. */
function archPart(
  camera: Camera,
  centre: Vec3,
  long: number,
  tall: number,
  wide: number,
  depth: number,
): FurniturePart {
  const rim: Point[] = [];
  for (const z of [-wide / 2, wide / 2]) {
    for (let step = 0; step <= 8; step += 1) {
      const x = (step / 8 - 0.5) * long;
      const y = -tall / 2 + tall * Math.cos((x / long) * Math.PI);
      rim.push(project(camera, add(centre, [x, y, z])));
    }
  }
  const hull = hullOf(rim);
  return { tone: 'prop', depth, d: polygonPath(hull), line: false, points: hull };
}

/** From the hands round the foot, or a loop round both thighs. */
function paintBand(use: PropUse, body: Body, camera: Camera): FurniturePart {
  const { right, left } = body;
  const loop = use.place === 'round thighs';
  const held = loop
    ? [
        add(mix(right.hip, right.knee, 0.82), rotate(right.thigh, [0.04, 0, 0.02])),
        add(mix(left.hip, left.knee, 0.82), rotate(left.thigh, [0.04, 0, -0.02])),
      ]
    : [right.hand, farFoot(right, left), left.hand];
  const points = held.map((place) => project(camera, place));
  const depth = Math.max(...held.map((place) => depthOf(camera, place))) + 0.2;
  return { tone: 'prop', depth, d: linePath(points), line: true, points };
}

/** The sole that a band is round: the one that is higher. */
function farFoot(right: Body['right'], left: Body['left']): Vec3 {
  const foot = right.toe[1] >= left.toe[1] ? right : left;
  return mix(foot.heel, foot.toe, 0.75);
}

/** Height, thickness and width of the piece of wall that is shown. */
const WALL = { tall: 1.06, thick: 0.03, wide: 0.36 } as const;

export function paintWall({ pose: { wall } }: Body, camera: Camera): FurniturePart[] {
  if (wall === undefined) return [];
  const centre: Vec3 = [wall + (Math.sign(wall) * WALL.thick) / 2, WALL.tall / 2, 0];
  return boxParts('frame', camera, centre, [WALL.thick, WALL.tall, WALL.wide], -10);
}

/** The machine under a body, back to front. */
export function paintMachine(body: Body, camera: Camera): FurniturePart[] {
  const machine = body.pose.machine;
  if (!machine) return [];
  const [barX, barY] = barPlace(machine);
  const way = machine.bar === 'ahead' ? 1 : -1;
  const under = -10;
  const frameMiddle = barX - (way * FRAME_LENGTH) / 2;
  const down = -(CARRIAGE.thickness + CARRIAGE.overFloor);
  const parts = [
    ...boxParts('frame', camera, [frameMiddle, -0.085, 0], [FRAME_LENGTH, 0.045, 0.34], under),
    ...[barX - way * 0.06, barX - way * (FRAME_LENGTH - 0.06)].flatMap((x) =>
      boxParts('frame', camera, [x, (down - 0.1) / 2, 0], [0.05, -down - 0.1, 0.3], under - 1),
    ),
    ...boxParts(
      'machine',
      camera,
      [machine.middle, -CARRIAGE.thickness / 2, 0],
      [CARRIAGE.length, CARRIAGE.thickness, 0.3],
      under + 1,
    ),
  ];
  const restX = machine.middle - way * (CARRIAGE.length / 2 - 0.13);
  if (machine.box === 'none') {
    for (const z of [-0.09, 0.09]) {
      const depth = z < 0 ? under + 2 : z;
      parts.push(...boxParts('frame', camera, [restX, 0.045, z], [0.035, 0.09, 0.04], depth));
    }
  } else {
    const long = machine.box === 'long' ? BOX.long : BOX.short;
    const wide = machine.box === 'long' ? 0.24 : 0.36;
    const size: Vec3 = [long, BOX.height, wide];
    parts.push(
      ...boxParts('machine', camera, [machine.middle, BOX.height / 2, 0], size, under + 3),
    );
  }
  if (machine.platform) {
    const middle = barX - (way * PLATFORM_LENGTH) / 2;
    const size: Vec3 = [PLATFORM_LENGTH, CARRIAGE.thickness, 0.34];
    parts.push(...boxParts('frame', camera, [middle, -CARRIAGE.thickness / 2, 0], size, under + 1));
  }
  if (machine.board) {
    const place: Vec3 = [barX + way * 0.02, 0.13, 0];
    parts.push(...boxParts('machine', camera, place, [0.03, 0.4, 0.34], under + 2));
  } else if (machine.height !== 'off') {
    parts.push(barPart(camera, barX, barY, way, under));
  }
  return [...parts, ...strapParts(body, camera)];
}

function barPart(camera: Camera, x: number, y: number, way: number, depth: number): FurniturePart {
  const base = x - way * 0.07;
  const points = (
    [
      [base, -0.07, 0.16],
      [x, y, 0.16],
      [x, y, -0.16],
      [base, -0.07, -0.16],
    ] as const
  ).map((place) => project(camera, place));
  return { tone: 'frame', depth: depth + 2, d: linePath(points), line: true, points };
}

function strapParts(body: Body, camera: Camera): FurniturePart[] {
  const { machine } = body.pose;
  if (!machine) return [];
  const [x, y] = pulleyPlace(machine);
  return strapEnds(machine).map(({ part, side }) => {
    const limbs = body[side];
    const end = part === 'hands' ? palmOf(limbs) : mix(limbs.heel, limbs.toe, 0.5);
    const pulley: Vec3 = [x, y, side === 'right' ? 0.12 : -0.12];
    const points = [pulley, end].map((place) => project(camera, place));
    return {
      tone: 'strap' as const,
      depth: depthOf(camera, end) - 0.01,
      d: linePath(points),
      line: true,
      points,
    };
  });
}

const MAT_LENGTH = 1.08;
const HALF_MAT = 0.17;
/** What is lower than this counts as lying on the mat. */
const LOW = 0.09;

/** The mat under a body, or the floor under its machine. It is as long and wide as it must be. */
export function paintGround(body: Body, camera: Camera): FurniturePart {
  const [from, to, back, front] = body.pose.machine ? frameSpan(body.pose.machine) : matSpan(body);
  const down = body.pose.machine ? -(CARRIAGE.thickness + CARRIAGE.overFloor) : 0;
  const corners: Vec3[] = [
    [from, down, front],
    [to, down, front],
    [to, down, back],
    [from, down, back],
  ];
  const points = corners.map((place) => project(camera, place));
  return { tone: 'frame', depth: -100, d: polygonPath(points), line: false, points };
}

type Span = [from: number, to: number, back: number, front: number];

function frameSpan(machine: MachinePose): Span {
  const [bar] = barPlace(machine);
  const other = bar - (machine.bar === 'ahead' ? 1 : -1) * FRAME_LENGTH;
  return [Math.min(bar, other) - 0.08, Math.max(bar, other) + 0.08, -HALF_MAT, HALF_MAT];
}

function matSpan(body: Body): Span {
  const places: Vec3[] = [body.head, body.hips];
  for (const limbs of [body.right, body.left]) {
    places.push(limbs.toe, limbs.heel, limbs.knee, limbs.hand, limbs.elbow);
  }
  const xs = places.map(([x]) => x);
  const low = places.filter(([, y]) => y < LOW).map(([, , z]) => z);
  const [least, most] = [Math.min(...xs) - 0.08, Math.max(...xs) + 0.08];
  const spare = Math.max(0, MAT_LENGTH - (most - least)) / 2;
  return [
    least - spare,
    most + spare,
    Math.min(-HALF_MAT, ...low.map((z) => z - 0.04)),
    Math.max(HALF_MAT, ...low.map((z) => z + 0.04)),
  ];
}
