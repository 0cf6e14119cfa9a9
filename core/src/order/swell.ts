import type { School } from '../plan/plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';

export interface SwellPoint {
  atS: number;
  /** 0 to 5. */
  effort: number;
}

/** Effort down the class: one point at the middle of every item, zero at both ends. */
export function swellOf(timeline: Timeline): SwellPoint[] {
  const points = timeline.items.map((item) => ({
    atS: item.startS + item.durationS / 2,
    effort: item.effort,
  }));
  return [{ atS: 0, effort: 0 }, ...points, { atS: timeline.totalS, effort: 0 }];
}

/** Effort that a school likes at a share of the class (0 to 1): lowest and highest. Common practice. */
interface BandPoint {
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

const SHALLOW = CLIMB.map((point) => ({ ...point, high: Math.min(point.high, 3.2) }));

/** The band behind the swell; graded load keeps it shallower. */
export function swellBand(school: School): readonly BandPoint[] {
  return school === 'graded-load' ? SHALLOW : CLIMB;
}
