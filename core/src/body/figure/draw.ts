import type { PropUse } from '../../movement/exercise.ts';
import type { View } from '../../movement/pose.ts';
import { mixBodies } from '../motion.ts';
import type { Body } from '../body.ts';
import { distance, type Vec3 } from '../space.ts';
import { cameraFor, project, type Camera, type Point, type Spot } from './camera.ts';
import { paintFlesh, type Tone } from './flesh.ts';
import {
  paintGround,
  paintMachine,
  paintProp,
  paintWall,
  type FurniturePart,
} from './furniture.ts';
import { curvePath, SCALE } from './outline.ts';

/** One shape of the picture, in SVG path data with y down; SCALE units to a stature. */
export interface FigurePart {
  tone: Tone | FurniturePart['tone'];
  d: string;
  /** A rim in the colour of the paper keeps a limb apart from what it crosses. */
  rim?: string;
  /** Drawn as a line, not filled. */
  line?: boolean;
}

export interface Frame {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A picture of one moment: its parts from back to front and the room that it takes. */
export interface Figure {
  parts: FigurePart[];
  ground: string;
  frame: Frame;
}

export function drawBody(body: Body, view: View, props: readonly PropUse[] = []): Figure {
  const camera = cameraFor(view);
  const flesh = paintFlesh(body, camera);
  const furniture = [
    ...props.flatMap((use) => paintProp(use, body, camera)),
    ...paintMachine(body, camera),
    ...paintWall(body, camera),
  ];
  const ground = paintGround(body, camera);
  const parts = [...flesh, ...furniture]
    .sort((a, b) => a.depth - b.depth)
    .map((part): FigurePart => {
      if ('line' in part)
        return { tone: part.tone, d: part.d, ...(part.line ? { line: true } : {}) };
      return { tone: part.tone, d: part.d, ...(part.rim ? { rim: part.rim } : {}) };
    });
  return { parts, ground: ground.d, frame: frameAround(flesh, [...furniture, ground]) };
}

/** Room left around a figure, in shares of stature. */
const MARGIN = 0.03;

function frameAround(
  flesh: readonly { spots: readonly Spot[] }[],
  others: readonly { points: readonly Point[] }[],
): Frame {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = (x: number, y: number, across = 0, up = 0): void => {
    left = Math.min(left, x - across);
    right = Math.max(right, x + across);
    low = Math.min(low, y - up);
    high = Math.max(high, y + up);
  };
  for (const { spots } of flesh) {
    for (const { x, y, xx, yy } of spots) take(x, y, Math.sqrt(xx), Math.sqrt(yy));
  }
  for (const { points } of others) for (const { x, y } of points) take(x, y);
  return {
    x: (left - MARGIN) * SCALE,
    y: -(high + MARGIN) * SCALE,
    width: (right - left + 2 * MARGIN) * SCALE,
    height: (high - low + 2 * MARGIN) * SCALE,
  };
}

/** A frame that holds all of these, so that a moving figure does not jump. */
export function joinFrames(frames: readonly Frame[]): Frame {
  const left = Math.min(...frames.map(({ x }) => x));
  const top = Math.min(...frames.map(({ y }) => y));
  const right = Math.max(...frames.map(({ x, width }) => x + width));
  const bottom = Math.max(...frames.map(({ y, height }) => y + height));
  return { x: left, y: top, width: right - left, height: bottom - top };
}

/** Widens a frame to a proportion (width over height), keeping the ground at the same place below. */
export function fitFrame(frame: Frame, proportion: number): Frame {
  const width = Math.max(frame.width, frame.height * proportion);
  const height = width / proportion;
  return {
    x: frame.x - (width - frame.width) / 2,
    y: frame.y - (height - frame.height) * 0.7,
    width,
    height,
  };
}

/** A way that dips under the floor is no way to show. */
const UNDER_FLOOR = -0.08;

/** Less than this is not worth an arrow. */
const LEAST_MOVE = 0.09;

/** The way of the hand, foot, knee or head that moves most between two bodies. */
export function arrowBetween(a: Body, b: Body, view: View): string | undefined {
  const camera = cameraFor(view);
  const ends: ((body: Body) => Vec3)[] = [
    (body) => body.right.hand,
    (body) => body.left.hand,
    (body) => body.right.toe,
    (body) => body.left.toe,
    (body) => body.right.knee,
    (body) => body.left.knee,
    (body) => body.head,
    (body) => body.hips,
  ];
  let best: { place: (body: Body) => Vec3; far: number } | undefined;
  for (const place of ends) {
    const far = distance(place(a), place(b));
    if (!best || far > best.far + 0.01) best = { place, far };
  }
  if (!best || best.far < LEAST_MOVE) return undefined;
  const way = wayOf(best.place, a, b, camera);
  return way.some(({ y }) => y < UNDER_FLOOR) && !a.pose.machine ? undefined : curvePath(way);
}

function wayOf(place: (body: Body) => Vec3, a: Body, b: Body, camera: Camera): Point[] {
  return [0.08, 0.3, 0.5, 0.7, 0.92].map((t) => project(camera, place(mixBodies(a, b, t))));
}
