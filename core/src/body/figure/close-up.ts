import type { View } from '../../movement/pose.ts';
import type { Body } from '../body.ts';
import { add, clamp, distance, dot, mix, rotate, toDegrees, UP, type Vec3 } from '../space.ts';
import { cameraFor, project, type Point } from './camera.ts';
import { arrowBetween, joinFrames, type Frame } from './draw.ts';
import { linePath, SCALE } from './outline.ts';

/** A movement that is seen, and that needs a closer look: shares of stature. */
const SEEN = 0.003;
const SMALL = 0.05;
/** Of the whole picture's width and height, so much is shown of a small movement. */
const CLOSER = 0.58;
/** How long its arrow is drawn, whatever its way. */
const ARROW = 0.1;

type Place = (body: Body) => Vec3;

/** Between the hip bones and the navel: what shows a pelvis that rocks. */
const PELVIS: Place = ({ hips, pelvisTurn }) => add(hips, rotate(pelvisTurn, [0.07, 0.06, 0]));
/** Degrees from which a pelvis rocks on purpose: what moves along is not what is shown. */
const ROCKS_DEG = 2;

/** Hips that go this share of what goes farthest lead it. */
const HIPS_LEAD = 0.5;

const PLACES: readonly Place[] = [
  (body) => body.hips,
  (body) => body.midBack,
  (body) => body.highBack,
  (body) => body.head,
  (body) => body.right.shoulder,
  (body) => body.left.shoulder,
  (body) => body.right.knee,
  (body) => body.left.knee,
  (body) => body.right.toe,
  (body) => body.left.toe,
  (body) => body.right.hand,
  (body) => body.left.hand,
];

/** Where a movement goes from and to, when no part of the body goes far. */
interface SmallMove {
  from: Vec3;
  to: Vec3;
}

function smallMove(bodies: readonly Body[]): SmallMove | undefined {
  const [first] = bodies;
  if (!first || first.pose.machine) return undefined;
  const most = farthest(first, bodies, PLACES);
  if (!most || most.far <= SEEN || most.far >= SMALL) return undefined;
  const rocks = bodies.some((body) => tiltDeg(first, body) >= ROCKS_DEG);
  if (rocks) return farthest(first, bodies, [PELVIS]);
  const hips = farthest(first, bodies, [({ hips: at }) => at]);
  return hips && hips.far >= most.far * HIPS_LEAD ? hips : most;
}

function farthest(
  first: Body,
  bodies: readonly Body[],
  places: readonly Place[],
): (SmallMove & { far: number }) | undefined {
  let most: (SmallMove & { far: number }) | undefined;
  for (const body of bodies.slice(1)) {
    for (const place of places) {
      const [from, to] = [place(first), place(body)];
      const far = distance(from, to);
      if (!most || far > most.far) most = { from, to, far };
    }
  }
  return most;
}

function tiltDeg(a: Body, b: Body): number {
  const between = dot(rotate(a.pelvisTurn, UP), rotate(b.pelvisTurn, UP));
  return toDegrees(Math.acos(clamp(between, -1, 1)));
}

/** A frame that holds all pictures of a movement; of a small one, the part where it happens. */
export function frameOf(bodies: readonly Body[], frames: readonly Frame[], view: View): Frame {
  const whole = joinFrames(frames);
  const move = smallMove(bodies);
  if (!move) return whole;
  const middle = project(cameraFor(view), mix(move.from, move.to, 0.5));
  const [width, height] = [whole.width * CLOSER, whole.height];
  const wanted = middle.x * SCALE - width / 2;
  const x = Math.min(Math.max(wanted, whole.x), whole.x + whole.width - width);
  return { x, y: whole.y, width, height };
}

/** The way of what moves most between the first two bodies, as a path; undefined where nothing does. */
export function wayBetween(bodies: readonly Body[], view: View): string | undefined {
  const small = smallArrow(bodies, view);
  if (small) return linePath(small);
  const [first, second] = bodies;
  return first && second ? arrowBetween(first, second, view) : undefined;
}

/** Which way a small movement goes, drawn longer than it is. */
export function smallArrow(bodies: readonly Body[], view: View): [Point, Point] | undefined {
  const move = smallMove(bodies);
  if (!move) return undefined;
  const camera = cameraFor(view);
  const [from, to] = [project(camera, move.from), project(camera, move.to)];
  const far = Math.hypot(to.x - from.x, to.y - from.y);
  if (far < SEEN) return undefined;
  const by = ARROW / far;
  return [from, { x: from.x + (to.x - from.x) * by, y: from.y + (to.y - from.y) * by }];
}
