import { SPREAD } from './pace.ts';
import type { LikelyRange, PartKind, TimedItem } from './timeline.ts';

/** Standard normal quantile at 90 %: 80 % lies between minus and plus this. */
const Z_80 = 1.2816;

/**
 * The 80 % range of the total. Parts of one kind inside an item go together; items are independent;
 * one factor for the day is shared by all: var = sum of item variances + (day x total)^2.
 */
export function likelyRange(items: readonly TimedItem[], totalS: number): LikelyRange {
  const itemVariance = items.reduce((sum, item) => sum + varianceOf(item), 0);
  const dayVariance = (SPREAD.day * clockFree(items)) ** 2;
  const standardDeviationS = Math.sqrt(itemVariance + dayVariance);
  const half = Z_80 * standardDeviationS;
  return {
    lowS: Math.max(0, Math.round(totalS - half)),
    highS: Math.round(totalS + half),
    standardDeviationS: Math.round(standardDeviationS),
    reason:
      'Four classes in five should end in this range. Work varies by 25 %, set-up and teaching by 40 %, ' +
      'each exercise by itself, and the whole day runs up to 8 % quick or slow; what the clock decides hardly varies.',
  };
}

function varianceOf(item: TimedItem): number {
  const deviations = new Map<PartKind, number>();
  for (const { kind, durationS, spread } of item.parts) {
    deviations.set(kind, (deviations.get(kind) ?? 0) + durationS * spread);
  }
  let variance = 0;
  for (const deviation of deviations.values()) variance += deviation ** 2;
  return variance;
}

/** Seconds that a quick or slow day can change. */
function clockFree(items: readonly TimedItem[]): number {
  let seconds = 0;
  for (const item of items) {
    for (const part of item.parts) if (part.spread > SPREAD.clocked) seconds += part.durationS;
  }
  return seconds;
}
