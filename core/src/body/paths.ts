import type { Figure, Joint } from './figure.ts';
import { smoothJoints, taper } from './outline.ts';

export interface FigurePath {
  part: 'far' | 'trunk' | 'near';
  /** SVG path data; y points down and the floor is at 0. */
  d: string;
}

/** Units a stature is drawn in, so that path numbers stay short. */
const SCALE = 100;

/** The figure as SVG paths, back to front; joined parts of one colour are one path. */
export function figurePaths(figure: Figure): FigurePath[] {
  const far = figure.limbs.filter((limb) => limb.side === 'far');
  const near = figure.limbs.filter((limb) => limb.side === 'near');
  const body = [smoothJoints(figure.trunk), figure.neck, [figure.head]];
  return [
    { part: 'far', d: far.map((limb) => chain(limb.joints)).join('') },
    { part: 'trunk', d: body.map(chain).join('') },
    { part: 'near', d: near.map((limb) => chain(limb.joints)).join('') },
  ];
}

export interface ViewBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A frame of the wanted proportion (width over height) with the figure on its floor line. */
export function frameFigure(figure: Figure, proportion: number): ViewBox {
  const margin = 5;
  const widest = (figure.box.maxX - figure.box.minX) * SCALE + 2 * margin;
  const tallest = figure.box.maxY * SCALE + 2 * margin;
  const least = 118;
  const width = Math.max(widest, tallest * proportion, least);
  const height = width / proportion;
  const middle = ((figure.box.minX + figure.box.maxX) / 2) * SCALE;
  const below = margin;
  return { x: middle - width / 2, y: below - height, width, height };
}

/** Scales a length or a place of the figure to the units of its paths. */
export function toDrawing(share: number): number {
  return share * SCALE;
}

function chain(joints: readonly Joint[]): string {
  const parts = joints.map(circle);
  for (let index = 0; index + 1 < joints.length; index += 1) {
    const from = joints[index];
    const to = joints[index + 1];
    if (from && to) parts.push(quad(from, to));
  }
  return parts.join('');
}

/** The chord is made from the rounded radius: one a hair shorter would tilt the half circles. */
function circle({ x, y, radius }: Joint): string {
  const r = Number(show(radius));
  const across = (2 * r).toFixed(1);
  return `M${show(x - radius)} ${show(-y)}a${r} ${r} 0 1 0 ${across} 0a${r} ${r} 0 1 0 -${across} 0Z`;
}

/** Runs the same way round as `circle`, so that overlaps fill instead of cancelling. */
function quad(from: Joint, to: Joint): string {
  const corners = taper(from, to)
    .reverse()
    .map((point) => `${show(point.x)} ${show(-point.y)}`);
  return `M${corners.join('L')}Z`;
}

function show(share: number): string {
  return (share * SCALE).toFixed(1);
}
