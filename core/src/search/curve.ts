import type { CurvePoint } from '../review/rule.ts';

/** A cost that goes straight from point to point over the class, and stays level before and behind. */
export type Curve = readonly CurvePoint[];

export const FLAT: Curve = [{ share: 0, seconds: 0 }];

export function costAt(curve: Curve, share: number): number {
  let before = curve[0];
  if (!before) throw new Error('a curve has at least one point');
  if (share <= before.share) return before.seconds;
  for (const point of curve) {
    if (share <= point.share) {
      const width = point.share - before.share;
      if (width <= 0) return point.seconds;
      return before.seconds + ((share - before.share) / width) * (point.seconds - before.seconds);
    }
    before = point;
  }
  return before.seconds;
}

/** The least between two shares: at an end of the span, or at a point. */
export function leastBetween(curve: Curve, from: number, to: number): number {
  return curve.reduce(
    (least, { share, seconds }) => (share > from && share < to ? Math.min(least, seconds) : least),
    Math.min(costAt(curve, from), costAt(curve, to)),
  );
}

export function addCurves(one: Curve, other: Curve): Curve {
  const shares = [...new Set([...one, ...other].map(({ share }) => share))].sort((a, b) => a - b);
  return shares.map((share) => ({ share, seconds: costAt(one, share) + costAt(other, share) }));
}

export function scaleCurve(curve: Curve, factor: number): Curve {
  return curve.map(({ share, seconds }) => ({ share, seconds: seconds * factor }));
}
