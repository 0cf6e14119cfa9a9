import type { SchoolRules } from '../plan/school.ts';

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
