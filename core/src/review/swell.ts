import type { SchoolRules } from '../plan/school.ts';
import type { CurvePoint } from './rule.ts';

/** Effort that a school likes at a share of the class (0 to 1): lowest and highest. Common practice. */
export interface BandPoint {
  share: number;
  low: number;
  high: number;
}

const CLIMB: BandPoint[] = [
  { share: 0, low: 0, high: 1 },
  { share: 0.08, low: 0, high: 1.4 },
  { share: 0.3, low: 1, high: 2.8 },
  { share: 0.55, low: 1.8, high: 4 },
  { share: 0.8, low: 1.8, high: 4.6 },
  { share: 0.88, low: 0.4, high: 2.4 },
  { share: 1, low: 0, high: 1 },
];

/** The band behind the swell, no higher than the school goes. */
export function swellBand(school: SchoolRules): readonly BandPoint[] {
  return CLIMB.map((point) => ({
    ...point,
    high: Math.min(point.high, school.effortCeiling),
    low: Math.min(point.low, school.effortCeiling),
  }));
}

/** What a step of effort outside the band costs, in seconds of class: small, since it counts for every item. */
const STEP_S = 12;

/** What an effort costs over the class: nothing inside the band, more with every step outside. */
export function swellCurve(band: readonly BandPoint[], effort: number): CurvePoint[] {
  return band.flatMap((point, index) => {
    const before = band[index - 1];
    const crossings = before ? crossingsOf(before, point, effort) : [];
    return [...crossings, point].map(({ share, low, high }) => ({
      share,
      seconds: Math.max(0, low - effort, effort - high) * STEP_S,
    }));
  });
}

/** Where an edge of the band passes this effort on the way between two points. */
function crossingsOf(from: BandPoint, to: BandPoint, effort: number): BandPoint[] {
  const parts = (['low', 'high'] as const).map(
    (edge) => (effort - from[edge]) / (to[edge] - from[edge]),
  );
  return parts
    .filter((part) => part > 0 && part < 1)
    .sort((a, b) => a - b)
    .map((part) => ({
      share: from.share + part * (to.share - from.share),
      low: from.low + part * (to.low - from.low),
      high: from.high + part * (to.high - from.high),
    }));
}
