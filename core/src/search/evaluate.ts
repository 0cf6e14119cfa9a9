import type { OrderProblem } from './problem.ts';
import { firstSetUpS } from './score-order.ts';
import { NOTHING_DONE, placeCostS, thingsAgainS, type DoneState } from './state.ts';

/** What each broken constraint costs: more than any order can. */
const BROKEN = 1e6;

/**
 * The cost of an order as one number, without the names: what `scoreOrder` adds up, written for speed.
 * Broken constraints cost more than anything else, so that a search can walk out of them.
 */
export function createEvaluator(problem: OrderProblem): (units: readonly number[]) => number {
  const { items } = problem;
  const count = items.length;
  const softFirst = items.map((_item, second) =>
    problem.soft.filter((each) => each.second === second),
  );
  const stretchSizes = problem.stretches.map((stretch) => stretch.length);
  const done = new Uint8Array(count);
  const unitAt = new Int32Array(problem.units.length);
  const state: DoneState = { ...NOTHING_DONE };

  /** Puts one item behind all that is done; `last` is its neighbour, -1 for none. */
  const add = (index: number, last: number, isPaused: boolean): number => {
    const item = items[index];
    if (!item) return 0;
    let cost = placeCostS(problem, state, item);
    for (const { first, costS } of softFirst[index] ?? []) if (!done[first]) cost += costS;
    const before = last < 0 ? undefined : items[last];
    if (before) {
      cost += problem.setUp.at(last, index);
      cost += thingsAgainS(problem, state, before, item);
      if (!isPaused) cost += problem.nearSum.at(last, index);
    } else {
      cost += firstSetUpS(problem, index);
    }
    state.timeS += item.ownS;
    state.marksLow |= item.leaves.low;
    state.marksHigh |= item.leaves.high;
    state.thingBits |= item.thingBits;
    done[index] = 1;
    return cost;
  };

  return (units) => {
    Object.assign(state, NOTHING_DONE);
    done.fill(0);
    units.forEach((unit, at) => (unitAt[unit] = at));
    let cost = 0;
    let last = -1;
    let isPaused = false;
    let at = 0;
    for (let stretch = 0; stretch < stretchSizes.length; stretch += 1) {
      const pauses = problem.pauses[stretch] ?? new Map<number, number>();
      const end = at + (stretchSizes[stretch] ?? 0);
      let slot = 0;
      for (; at < end; at += 1) {
        const unit = units[at] ?? 0;
        for (const earlier of problem.before[unit] ?? []) {
          if ((unitAt[earlier] ?? 0) > at) cost += BROKEN;
        }
        const pinned = problem.pinnedAt[unit] ?? -1;
        let isFirst = true;
        for (const index of problem.units[unit] ?? []) {
          for (let pauseS = pauses.get(slot); pauseS !== undefined; pauseS = pauses.get(slot)) {
            state.timeS += pauseS;
            isPaused = true;
            slot += 1;
            if (!isFirst) cost += BROKEN;
          }
          if (isFirst && pinned >= 0 && pinned !== slot) cost += BROKEN;
          isFirst = false;
          cost += add(index, last, isPaused);
          last = index;
          isPaused = false;
          slot += 1;
        }
      }
      for (const [later, seconds] of pauses) {
        if (later < slot) continue;
        state.timeS += seconds;
        isPaused = true;
      }
    }
    return cost;
  };
}
