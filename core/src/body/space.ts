import { glMatrix, quat, vec3 } from 'gl-matrix';

// Plain arrays: double precision, and they survive being sent between threads.
glMatrix.setMatrixArrayType(Array);

/**
 * A place or a direction in the room, in shares of stature: x to the right of the picture, y up
 * from the floor, z towards the viewer. A body standing tall faces x; its right side is at z.
 */
export type Vec3 = readonly [number, number, number];

/** A rotation in space (a unit quaternion). */
export type Turn = readonly [number, number, number, number];

export const FRONT: Vec3 = [1, 0, 0];
export const UP: Vec3 = [0, 1, 0];
export const RIGHT: Vec3 = [0, 0, 1];

export const NO_TURN: Turn = [0, 0, 0, 1];

const RADIANS = Math.PI / 180;

export function add(a: Vec3, b: Vec3): Vec3 {
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
}

export function subtract(a: Vec3, b: Vec3): Vec3 {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

export function scale(a: Vec3, by: number): Vec3 {
  return [a[0] * by, a[1] * by, a[2] * by];
}

export function dot(a: Vec3, b: Vec3): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

export function cross(a: Vec3, b: Vec3): Vec3 {
  return vec3.cross([0, 0, 0], a, b) as [number, number, number];
}

export function length(a: Vec3): number {
  return Math.sqrt(dot(a, a));
}

export function distance(a: Vec3, b: Vec3): number {
  return length(subtract(a, b));
}

/** The zero vector stays as it is. */
export function unit(a: Vec3): Vec3 {
  const long = length(a);
  return long < 1e-9 ? a : scale(a, 1 / long);
}

export function mix(a: Vec3, b: Vec3, t: number): Vec3 {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}

export function rotate(turn: Turn, v: Vec3): Vec3 {
  return vec3.transformQuat([0, 0, 0], v, turn) as [number, number, number];
}

/** A right-handed rotation about an axis. */
export function about(axis: Vec3, degrees: number): Turn {
  return quat.setAxisAngle(fresh(), axis, degrees * RADIANS) as unknown as Turn;
}

/** Applied from the last to the first, as matrices are. */
export function compose(...turns: Turn[]): Turn {
  let all = NO_TURN;
  for (const turn of turns) {
    all = quat.multiply(fresh(), all, turn) as unknown as Turn;
  }
  return all;
}

export function invert(turn: Turn): Turn {
  return quat.conjugate(fresh(), turn) as unknown as Turn;
}

export function mixTurns(a: Turn, b: Turn, t: number): Turn {
  return quat.slerp(fresh(), a, b, t) as unknown as Turn;
}

/** The rotation whose front, up and right axes are these (at right angles, of length one). */
export function fromAxes(front: Vec3, up: Vec3, right: Vec3): Turn {
  const columns = [...front, ...up, ...right] as Parameters<typeof quat.fromMat3>[1];
  return quat.normalize(fresh(), quat.fromMat3(fresh(), columns)) as unknown as Turn;
}

export function toDegrees(radians: number): number {
  return radians / RADIANS;
}

export function toRadians(degrees: number): number {
  return degrees * RADIANS;
}

export function clamp(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}

function fresh(): quat {
  return [0, 0, 0, 1];
}
