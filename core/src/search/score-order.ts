import { COST_IDS, type CostId } from '../plan/school.ts';
import type { OrderProblem } from './problem.ts';
import { NOTHING_DONE, tellPlaceCosts, tellThingsAgain, withItem, withPause } from './state.ts';
import { entryOf } from './entry.ts';

/** What an order costs by name, in seconds-equivalent; `breaks` counts constraints that it does not keep. */
export interface OrderScore {
  parts: Record<CostId, number>;
  costS: number;
  breaks: number;
}

/**
 * The plain way to score an order: from the first item to the last. The exact search and the local
 * search keep to this; tests compare them with it.
 */
export function scoreOrder(problem: OrderProblem, units: readonly number[]): OrderScore {
  const parts = Object.fromEntries(COST_IDS.map((cost) => [cost, 0])) as Record<CostId, number>;
  const add = (cost: CostId, costS: number) => {
    parts[cost] += costS;
  };
  let state = NOTHING_DONE;
  const done = new Set<number>();
  let last = -1;
  let isPaused = false;
  let breaks = 0;
  let from = 0;
  problem.stretches.forEach((stretch, stretchIndex) => {
    const order = units.slice(from, from + stretch.length);
    from += stretch.length;
    breaks += brokenIn(problem, stretch, order);
    const pauses = problem.pauses[stretchIndex] ?? new Map<number, number>();
    let place = 0;
    for (const unit of order) {
      const pinned = entryOf(problem.pinnedAt, unit);
      let isFirst = true;
      for (const index of entryOf(problem.units, unit)) {
        for (let pauseS = pauses.get(place); pauseS !== undefined; pauseS = pauses.get(place)) {
          state = withPause(state, pauseS);
          isPaused = true;
          place += 1;
          if (!isFirst) breaks += 1;
        }
        if (isFirst && pinned >= 0 && pinned !== place) breaks += 1;
        isFirst = false;
        const item = problem.items[index];
        if (!item) throw new Error(`no item ${index}`);
        tellPlaceCosts(problem, state, item, add);
        for (const soft of problem.soft) {
          if (soft.second === index && !done.has(soft.first)) add(soft.cost, soft.costS);
        }
        const before = problem.items[last];
        if (before) {
          add('set-up', problem.setUp.at(last, index));
          tellThingsAgain(problem, state, before, item, add);
          if (!isPaused) for (const [cost, table] of problem.near) add(cost, table.at(last, index));
        } else {
          add('set-up', firstSetUpS(problem, index));
        }
        state = withItem(state, item);
        done.add(index);
        last = index;
        isPaused = false;
        place += 1;
      }
    }
    for (const [at, seconds] of pauses) {
      if (at < place) continue;
      state = withPause(state, seconds);
      isPaused = true;
    }
  });
  const costS = Object.values(parts).reduce((sum, part) => sum + part, 0);
  return { parts, costS, breaks };
}

/** The set-up of what the class begins with. */
export function firstSetUpS({ setUpFirst }: OrderProblem, index: number): number {
  const seconds = setUpFirst[index];
  if (seconds === undefined) throw new Error(`no set-up of item ${index}`);
  return seconds;
}

function brokenIn(
  problem: OrderProblem,
  stretch: readonly number[],
  order: readonly number[],
): number {
  const place = new Map(order.map((unit, index) => [unit, index]));
  let breaks = stretch.some((unit) => !place.has(unit)) ? 1 : 0;
  for (const unit of order) {
    for (const earlier of entryOf(problem.before, unit)) {
      if ((place.get(earlier) ?? 0) > (place.get(unit) ?? 0)) breaks += 1;
    }
  }
  return breaks;
}
