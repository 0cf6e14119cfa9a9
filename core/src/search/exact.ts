import type { OrderProblem, ScoredOrder } from './problem.ts';
import { NOTHING_DONE } from './state.ts';
import {
  leastOf,
  leaveStretch,
  SAME,
  startWalk,
  stepLayer,
  type Entry,
  type StretchWalk,
} from './subset-walk.ts';
import { entryOf } from './entry.ts';

/** What the search by subsets found, or how far it came. */
export type ExactResult =
  | { kind: 'best'; order: ScoredOrder; states: number }
  /** Nothing is better than what was known already. */
  | { kind: 'nothing-better'; states: number }
  /** Too many states: no order costs less than this bound. */
  | { kind: 'too-many'; bound: number; states: number };

export interface ExactWishes {
  /** The cost of an order that is known; only better ones are looked for. */
  known: number;
  /** The most states (a set of units done and the last of them) that are kept. */
  mostStates: number;
}

/**
 * Exact dynamic programming over the sets of units that can be done first, and the last unit of each set
 * (Held and Karp, J SIAM 10 (1962), from memory): what follows costs the same however the set was
 * ordered. Stretches are walked one after another. States that can't become better than what is known are
 * dropped. Yields the number of states after every layer.
 */
export function* searchSubsets(
  problem: OrderProblem,
  { known, mostStates }: ExactWishes,
): Generator<number, ExactResult> {
  const rests = restBounds(problem);
  const walked: StretchWalk[] = [];
  let entry: Entry = { lasts: [-1], costs: [0], isPaused: false, state: NOTHING_DONE };
  let states = 0;
  for (let stretch = 0; stretch < problem.stretches.length; stretch += 1) {
    const walk = startWalk(problem, stretch, entry, entryOf(rests, stretch + 1), known);
    if (!walk) return { kind: 'too-many', bound: 0, states };
    while (walk.layers.length <= walk.units.length) {
      const frontier = stepLayer(problem, walk, mostStates - states);
      states += walk.layers.at(-1)?.states ?? 0;
      yield states;
      if (walk.layers.at(-1)?.masks.length === 0) return { kind: 'nothing-better', states };
      if (frontier !== undefined)
        return { kind: 'too-many', bound: Math.min(known, frontier), states };
    }
    walked.push(walk);
    entry = leaveStretch(problem, walk);
  }
  let at = 0;
  entry.costs.forEach((cost, index) => {
    if (cost < entryOf(entry.costs, at)) at = index;
  });
  const costS = entryOf(entry.costs, at);
  if (costS >= known - SAME) return { kind: 'nothing-better', states };
  return { kind: 'best', order: { units: trace(walked, at), costS }, states };
}

/** The least that any order pays from each stretch on: a plain sum, only to drop what is hopeless. */
function restBounds(problem: OrderProblem): number[] {
  const rests = Array.from({ length: problem.stretches.length + 1 }, () => 0);
  for (let stretch = problem.stretches.length - 1; stretch >= 0; stretch -= 1) {
    const own = entryOf(problem.stretches, stretch).reduce(
      (sum, unit) => sum + leastOf(problem, unit),
      0,
    );
    rests[stretch] = entryOf(rests, stretch + 1) + own;
  }
  return rests;
}

/** Walks back from the best last unit of the last stretch. */
function trace(walked: readonly StretchWalk[], bestLast: number): number[] {
  const orders: number[][] = [];
  let last = bestLast;
  for (const walk of walked.toReversed()) {
    const count = walk.units.length;
    const order: number[] = [];
    if (count > 0) {
      let mask = 2 ** count - 1;
      for (let size = count; size >= 1; size -= 1) {
        const layer = walk.layers[size];
        const row = layer?.index.get(mask) ?? 0;
        order.unshift(entryOf(walk.units, last));
        const from = layer ? entryOf(layer.came, row * count + last) : -1;
        mask &= ~(1 << last);
        last = from;
      }
    }
    orders.unshift(order);
  }
  return orders.flat();
}
