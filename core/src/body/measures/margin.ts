import { polygonHull } from 'd3-polygon';
import type { ContactPart } from '../contacts.ts';
import type { Statics } from '../statics.ts';
import { CM, TOUCH } from './seen-body.ts';

/** Half widths of what stands, in cm: along and across would need the foot's turn, so the smaller of both. */
const RIM_CM: Partial<Record<ContactPart, number>> = { feet: 4.5, toes: 4.5, hands: 4, knees: 3 };

/** From the plumb point of the weight to the rim of what carries it; negative outside. */
export function marginOf({ supports, centre }: Statics): number {
  const points = supports
    .filter(({ share, on }) => share > TOUCH && on !== 'body')
    .flatMap(({ at, part }): [number, number][] => {
      const [x, z] = [(at[0] - centre[0]) * CM, (at[2] - centre[2]) * CM];
      const rim = RIM_CM[part] ?? 2;
      return [
        [x - rim, z - rim],
        [x - rim, z + rim],
        [x + rim, z - rim],
        [x + rim, z + rim],
      ];
    });
  const hull = polygonHull(points);
  if (!hull) return 0;
  const edges = hull.map((from, index) => {
    const to = hull[(index + 1) % hull.length] ?? from;
    const [dx, dz] = [to[0] - from[0], to[1] - from[1]];
    return (dz * from[0] - dx * from[1]) / Math.max(Math.hypot(dx, dz), 1e-9);
  });
  const inside = Math.abs(edges.reduce((sum, edge) => sum + Math.sign(edge), 0)) === edges.length;
  const nearest = Math.min(...edges.map(Math.abs));
  return inside ? nearest : -nearest;
}
