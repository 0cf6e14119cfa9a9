import type { View } from '../../movement/pose.ts';
import type { Solid } from '../solids.ts';
import { dot, FRONT, RIGHT, rotate, scale, toRadians, UP, type Turn, type Vec3 } from '../space.ts';

/** A camera far away: no perspective, so that lengths can be compared. */
export interface Camera {
  right: Vec3;
  up: Vec3;
  /** From the picture to the viewer. */
  toViewer: Vec3;
}

/** Degrees round the figure (0 looks at its right side, 90 at its front) and above the floor. */
const STANDS: Record<View, { round: number; above: number }> = {
  side: { round: 0, above: 10 },
  front: { round: 72, above: 12 },
  above: { round: 0, above: 34 },
  top: { round: 0, above: 62 },
  'three-quarter': { round: 34, above: 20 },
};

const CAMERAS = new Map<View, Camera>();

export function cameraFor(view: View): Camera {
  const known = CAMERAS.get(view);
  if (known) return known;
  const made = placeCamera(STANDS[view].round, STANDS[view].above);
  CAMERAS.set(view, made);
  return made;
}

function placeCamera(round: number, above: number): Camera {
  const [r, a] = [toRadians(round), toRadians(above)];
  return {
    right: [Math.cos(r), 0, -Math.sin(r)],
    up: [-Math.sin(r) * Math.sin(a), Math.cos(a), -Math.cos(r) * Math.sin(a)],
    toViewer: [Math.sin(r) * Math.cos(a), Math.sin(a), Math.cos(r) * Math.cos(a)],
  };
}

/** A place in the picture: x to the right, y up, in shares of stature. */
export interface Point {
  x: number;
  y: number;
}

export function project(camera: Camera, place: Vec3): Point {
  return { x: dot(camera.right, place), y: dot(camera.up, place) };
}

export function depthOf(camera: Camera, place: Vec3): number {
  return dot(camera.toViewer, place);
}

/** The ellipse that an ellipsoid is seen as: its middle and the square of its shape. */
export interface Spot extends Point {
  xx: number;
  xy: number;
  yy: number;
}

export function spotOf(camera: Camera, { centre, turn, half }: Omit<Solid, 'part'>): Spot {
  const spot = ballSpot(camera, centre, 0);
  for (const axis of axesOf(turn, half)) {
    const x = dot(camera.right, axis);
    const y = dot(camera.up, axis);
    spot.xx += x * x;
    spot.xy += x * y;
    spot.yy += y * y;
  }
  return spot;
}

function axesOf(turn: Turn, half: Vec3): Vec3[] {
  return [
    scale(rotate(turn, FRONT), half[0]),
    scale(rotate(turn, UP), half[1]),
    scale(rotate(turn, RIGHT), half[2]),
  ];
}

/** A ball looks round from everywhere. */
export function ballSpot(camera: Camera, centre: Vec3, radius: number): Spot {
  const square = radius * radius;
  return {
    x: dot(camera.right, centre),
    y: dot(camera.up, centre),
    xx: square,
    xy: 0,
    yy: square,
  };
}

/** The place on a spot's rim that is farthest along a direction of length one. */
export function rimOf(spot: Spot, direction: Point): Point {
  const x = spot.xx * direction.x + spot.xy * direction.y;
  const y = spot.xy * direction.x + spot.yy * direction.y;
  const reach = Math.sqrt(Math.max(1e-12, x * direction.x + y * direction.y));
  return { x: spot.x + x / reach, y: spot.y + y / reach };
}
