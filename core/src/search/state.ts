import { PEAK_FROM, PEAK_TO } from '../review/rules/peak-late.ts';
import type { BandPoint } from '../review/swell.ts';
import type { OrderProblem, PlacedItem } from './problem.ts';

/** All that a set of done items leaves behind; its order does not matter. */
export interface DoneState {
  timeS: number;
  highestLoad: number;
  taughtBits: number;
  metBits: number;
  propBits: number;
  isWarm: boolean;
  hasMovedBack: boolean;
  count: number;
}

export const NOTHING_DONE: DoneState = {
  timeS: 0,
  highestLoad: 0,
  taughtBits: 0,
  metBits: 0,
  propBits: 0,
  isWarm: false,
  hasMovedBack: false,
  count: 0,
};

export function withItem(state: DoneState, item: PlacedItem): DoneState {
  return {
    timeS: state.timeS + item.ownS,
    highestLoad: Math.max(state.highestLoad, item.spineLoad),
    taughtBits: state.taughtBits | item.taughtBits,
    metBits: state.metBits | item.positionBits,
    propBits: state.propBits | item.propBits,
    isWarm: state.isWarm || item.warmsBelly,
    hasMovedBack: state.hasMovedBack || item.moved !== 'neither',
    count: state.count + 1,
  };
}

export function withPause(state: DoneState, seconds: number): DoneState {
  return { ...state, timeS: state.timeS + seconds };
}

/** What an item costs after a set of others, by name. The order of the set does not matter. */
export interface PlaceCost {
  effort: number;
  load: number;
  needs: number;
  sequence: number;
}

export function placeCost(problem: OrderProblem, state: DoneState, item: PlacedItem): PlaceCost {
  const { place } = problem;
  const middle = (state.timeS + item.ownS / 2) / problem.totalS;
  let needs = 0;
  for (const need of item.needs) if ((state.taughtBits & need) === 0) needs += place.needs;
  let sequence = 0;
  if (item.bendsLoaded && !state.isWarm) sequence += place.warm;
  if (item.moved === 'high' && problem.hasLowMover && !state.hasMovedBack) {
    sequence += place.lowFirst;
  }
  if (state.count === 0 && !item.isAwareness) sequence += place.awareness;
  return {
    effort: effortCost(problem, item.effort, middle),
    load: Math.max(0, item.spineLoad - state.highestLoad - 1) * place.load,
    needs,
    sequence,
  };
}

/** Steps outside the school's band, and how far the hardest is from where the peak belongs. */
export function effortCost(problem: OrderProblem, effort: number, share: number): number {
  const { low, high } = bandAt(problem.band, share);
  const outside = Math.max(0, low - effort, effort - high) * problem.place.effort;
  if (effort < problem.hardest || problem.hardestCount === 0) return outside;
  const away = Math.max(0, PEAK_FROM - share, share - PEAK_TO);
  return outside + (away * 10 * problem.place.peak) / problem.hardestCount;
}

/** The band between its points, straight from one to the next. */
export function bandAt(band: readonly BandPoint[], share: number): { low: number; high: number } {
  const at = band.findIndex((point) => point.share >= share);
  const to = at < 0 ? band.at(-1) : band[at];
  const from = at <= 0 ? to : band[at - 1];
  if (!from || !to) return { low: 0, high: 5 };
  const width = to.share - from.share;
  const part = width > 0 ? Math.min(1, (share - from.share) / width) : 1;
  return {
    low: from.low + part * (to.low - from.low),
    high: from.high + part * (to.high - from.high),
  };
}

const BITS = Array.from({ length: 1024 }, (_, value) => {
  let count = 0;
  for (let left = value; left > 0; left >>= 1) count += left & 1;
  return count;
});

/** Props fetched once more: used before, put away since, wanted now. There are ten kinds. */
export function propsAgain(state: DoneState, before: PlacedItem, item: PlacedItem): number {
  return BITS[item.propBits & state.propBits & ~before.propBits] ?? 0;
}
