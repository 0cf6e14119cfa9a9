import type { CostId } from '../plan/school.ts';
import type { OrderProblem } from './problem.ts';
import { NOTHING_DONE, placeCost, propsAgain, withItem, withPause } from './state.ts';

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
  const parts = emptyParts();
  const near = Object.entries(problem.near) as [CostId, Float64Array][];
  const count = problem.items.length;
  let state = NOTHING_DONE;
  const done = new Set<number>();
  let last = -1;
  let isPaused = false;
  let breaks = 0;
  let from = 0;
  problem.groups.forEach((group, groupIndex) => {
    const order = units.slice(from, from + group.length);
    from += group.length;
    breaks += brokenIn(problem, group, order);
    const pauses = problem.pauses[groupIndex] ?? new Map<number, number>();
    let place = 0;
    for (const unit of order) {
      const pinned = problem.pinnedAt[unit] ?? -1;
      let isFirst = true;
      for (const index of problem.units[unit] ?? []) {
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
        add(parts, placeCost(problem, state, item));
        parts.sequence += softCost(problem, done, index);
        const isMet = (state.metBits & item.startBit) !== 0;
        if (last < 0) {
          parts['set-up'] += problem.setUpFirst[index] ?? 0;
        } else {
          const cell = last * count + index;
          parts['set-up'] += (isMet ? problem.setUpMet[cell] : problem.setUpNew[cell]) ?? 0;
          const before = problem.items[last];
          if (before)
            parts['props-again'] += propsAgain(state, before, item) * problem.place.propsAgain;
          if (!isPaused) for (const [id, table] of near) parts[id] += table[cell] ?? 0;
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

/** What it costs that wished-for items come later: each pair once, when the second is placed. */
function softCost(problem: OrderProblem, done: ReadonlySet<number>, index: number): number {
  return problem.soft
    .filter(({ first, second }) => second === index && !done.has(first))
    .reduce((sum, { costS }) => sum + costS, 0);
}

function brokenIn(
  problem: OrderProblem,
  group: readonly number[],
  order: readonly number[],
): number {
  const place = new Map(order.map((unit, index) => [unit, index]));
  let breaks = group.some((unit) => !place.has(unit)) ? 1 : 0;
  for (const unit of order) {
    for (const earlier of problem.before[unit] ?? []) {
      if ((place.get(earlier) ?? 0) > (place.get(unit) ?? 0)) breaks += 1;
    }
  }
  return breaks;
}

function emptyParts(): Record<CostId, number> {
  return {
    'set-up': 0,
    moves: 0,
    effort: 0,
    jump: 0,
    load: 0,
    needs: 0,
    sequence: 0,
    counter: 0,
    'pile-up': 0,
    wrists: 0,
    'props-again': 0,
    new: 0,
  };
}

function add(parts: Record<CostId, number>, more: Partial<Record<CostId, number>>): void {
  for (const [id, seconds] of Object.entries(more) as [CostId, number][]) parts[id] += seconds;
}
