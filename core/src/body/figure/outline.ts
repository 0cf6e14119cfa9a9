import { polygonArea, polygonHull } from 'd3-polygon';
import { rimOf, type Point, type Spot } from './camera.ts';

/** Units that a stature is drawn in: whole numbers then suffice, which are short and quick to write. */
export const SCALE = 1000;

/** A chain of spots filled in between, as SVG path data; y points down. */
export function chainPath(spots: readonly Spot[]): string {
  let path = '';
  spots.forEach((spot, index) => {
    path += spot.xy === 0 && spot.xx === spot.yy ? circlePath(spot) : ellipsePath(spot);
    const next = spots[index + 1];
    if (next) path += bridgePath(spot, next);
  });
  return path;
}

/** A bone's flesh: round at both ends, its sides through the spots between. */
export function bonePath(spots: readonly Spot[]): string {
  const [first, last] = [spots[0], spots.at(-1)];
  if (!first || !last) return '';
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const apart = Math.sqrt(dx * dx + dy * dy);
  // Seen from its end a bone is only as large as its largest spot.
  if (apart < FORESHORTENED) return spots.map(circlePath).join('');
  const [nx, ny] = [-dy / apart, dx / apart];
  let there = '';
  let back = '';
  for (const { x, y, xx } of spots) {
    const radius = Math.sqrt(xx);
    there += `${there ? 'L' : 'M'}${show(x - nx * radius)} ${show(ny * radius - y)}`;
    back = `L${show(x + nx * radius)} ${show(-y - ny * radius)}${back}`;
  }
  return `${circlePath(first)}${there}${back}Z${circlePath(last)}`;
}

const FORESHORTENED = 0.04;

function circlePath({ x, y, xx }: Spot): string {
  const radius = Math.sqrt(xx);
  const r = show(radius * 0.98);
  const across = show(2 * radius);
  return `M${show(x - radius)} ${show(-y)}a${r} ${r} 0 1 0 ${across} 0a${r} ${r} 0 1 0 -${across} 0Z`;
}

/** Half the length and width of an ellipse and the degrees by which it is turned. */
function shapeOf({ xx, xy, yy }: Spot): { long: number; short: number; turn: number } {
  const middle = (xx + yy) / 2;
  const spread = Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy);
  return {
    long: Math.sqrt(Math.max(1e-9, middle + spread)),
    short: Math.sqrt(Math.max(1e-9, middle - spread)),
    turn: Math.atan2(xy, (xx - yy) / 2) / 2,
  };
}

/**
 * Two half ellipses. The radii are written a little small: a renderer scales radii up until they
 * fit the chord, whereas radii that are too long by a hair would tilt the halves.
 */
function ellipsePath(spot: Spot): string {
  const { long, short, turn } = shapeOf(spot);
  const x = Math.cos(turn) * long;
  const y = Math.sin(turn) * long;
  const radii = `${show(long * 0.98)} ${show(short * 0.98)} ${(-turn * 57.2958).toFixed(0)}`;
  const [ax, ay] = [show(spot.x - x), show(y - spot.y)];
  const [bx, by] = [show(spot.x + x), show(-y - spot.y)];
  return `M${ax} ${ay}A${radii} 1 0 ${bx} ${by}A${radii} 1 0 ${ax} ${ay}Z`;
}

function bridgePath(from: Spot, to: Spot): string {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const apart = Math.sqrt(dx * dx + dy * dy);
  if (apart < 1e-4) return '';
  const across = { x: -dy / apart, y: dx / apart };
  const back = { x: -across.x, y: -across.y };
  return polygonPath([rimOf(from, across), rimOf(to, across), rimOf(to, back), rimOf(from, back)]);
}

/** Wound the same way round as the ellipses, so that overlaps fill instead of cancelling. */
export function polygonPath(points: readonly Point[]): string {
  // Counted as on a screen, where y points down.
  const area = polygonArea(points.map(({ x, y }) => [x, y]));
  const wound = area < 0 ? points : [...points].reverse();
  return `M${wound.map(({ x, y }) => `${show(x)} ${show(-y)}`).join('L')}Z`;
}

export function linePath(points: readonly Point[]): string {
  return `M${points.map(({ x, y }) => `${show(x)} ${show(-y)}`).join('L')}`;
}

/** A smooth line through points: quadratic curves between the middles. */
export function curvePath(points: readonly Point[]): string {
  const [first, ...rest] = points;
  const last = rest.at(-1);
  if (!first || !last) return '';
  let path = `M${show(first.x)} ${show(-first.y)}`;
  rest.slice(0, -1).forEach((point, index) => {
    const next = rest[index + 1] ?? last;
    const middle =
      index === rest.length - 2 ? last : { x: (point.x + next.x) / 2, y: (point.y + next.y) / 2 };
    path += `Q${show(point.x)} ${show(-point.y)} ${show(middle.x)} ${show(-middle.y)}`;
  });
  return rest.length === 1 ? linePath(points) : path;
}

/** The smallest polygon around points; the points themselves where they span none. */
export function hullOf(points: readonly Point[]): Point[] {
  const hull = polygonHull(points.map(({ x, y }) => [x, y]));
  return hull?.map(([x, y]) => ({ x, y })) ?? [...points];
}

export function show(share: number): string {
  return String(Math.round(share * SCALE));
}
