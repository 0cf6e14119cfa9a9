import type { OrderProblem, PlacedItem } from './problem.ts';
import { firstSetUpS } from './score-order.ts';
import {
  NOTHING_DONE,
  placeCostS,
  thingsAgainS,
  withItem,
  withPause,
  type DoneState,
} from './state.ts';
import { entryOf } from './entry.ts';

/** Stretches larger than this do not fit the bits of a set. */
const MOST_UNITS = 30;
/** Differences smaller than this are rounding. */
export const SAME = 1e-7;

/** How a stretch is begun: the possible last units before it with their costs. */
export interface Entry {
  /** Last item of each possible predecessor, -1 for none. */
  lasts: number[];
  costs: number[];
  isPaused: boolean;
  state: DoneState;
}

/** All sets of one size. */
interface Layer {
  masks: Int32Array;
  /** One row a set: what it costs with each unit last. */
  costs: Float64Array;
  /** One row a set: the unit (or the entry) before the last. */
  came: Int8Array;
  done: DoneState[];
  /** The place that comes next in the stretch, pauses counted. */
  slots: Int32Array;
  /** True for the first layer only, where a pause came between the stretches. */
  isPaused: boolean;
  index: Map<number, number>;
  states: number;
}

export interface StretchWalk {
  stretch: number;
  units: readonly number[];
  entry: Entry;
  pauses: ReadonlyMap<number, number>;
  /** Per unit: bits of what must come before. */
  before: Int32Array;
  soft: { first: number; bit: number; costS: number }[][];
  /** What each unit costs at least. */
  least: Float64Array;
  later: number;
  known: number;
  layers: Layer[];
}

export function startWalk(
  problem: OrderProblem,
  stretch: number,
  entry: Entry,
  later: number,
  known: number,
): StretchWalk | undefined {
  const units = entryOf(problem.stretches, stretch);
  if (units.length > MOST_UNITS) return undefined;
  const bitOf = new Map(units.map((unit, index) => [unit, index]));
  const unitOfItem = new Map(
    units.flatMap((unit) => entryOf(problem.units, unit).map((item) => [item, unit] as const)),
  );
  const earlier = new Set(
    problem.stretches
      .slice(0, stretch)
      .flatMap((before) => before.flatMap((unit) => entryOf(problem.units, unit))),
  );
  const before = Int32Array.from(units, (unit) =>
    entryOf(problem.before, unit).reduce((bits, each) => bits | (1 << (bitOf.get(each) ?? 0)), 0),
  );
  const soft = problem.items.map((_item, second) =>
    problem.soft
      .filter((each) => each.second === second && !earlier.has(each.first))
      .map(({ first, costS }) => {
        const unit = unitOfItem.get(first);
        const index = unit === undefined ? undefined : bitOf.get(unit);
        // What stands in a later stretch is never done yet.
        return { first, bit: index === undefined ? 0 : 1 << index, costS };
      }),
  );
  const least = Float64Array.from(units, (unit) => leastOf(problem, unit));
  const first: Layer = {
    masks: Int32Array.of(0),
    costs: new Float64Array(0),
    came: new Int8Array(0),
    done: [entry.state],
    slots: Int32Array.of(0),
    isPaused: entry.isPaused,
    index: new Map([[0, 0]]),
    states: entry.lasts.length,
  };
  const pauses = problem.pauses[stretch] ?? new Map<number, number>();
  return { stretch, units, entry, pauses, before, soft, least, later, known, layers: [first] };
}

/** The cheapest way into a unit, from anywhere, with nothing else counted. */
export function leastOf(problem: OrderProblem, unit: number): number {
  const first = entryOf(entryOf(problem.units, unit), 0);
  const count = problem.items.length;
  let least = firstSetUpS(problem, first);
  for (let from = 0; from < count; from += 1) {
    if (from === first) continue;
    least = Math.min(least, problem.setUp.at(from, first));
  }
  return least;
}

/** What a unit does to a set, the same for every unit that may come before it. */
interface Placing {
  /** Costs of standing here, and of the steps inside the unit. */
  fixed: number;
  first: PlacedItem;
  firstIndex: number;
  isPaused: boolean;
  state: DoneState;
  after: DoneState;
  slot: number;
}

/** Puts a unit behind a set; undefined where a pause would cut it or its place is another. */
function placeUnit(
  problem: OrderProblem,
  walk: StretchWalk,
  mask: number,
  start: { state: DoneState; slot: number; isPaused: boolean },
  unit: number,
): Placing | undefined {
  const indices = entryOf(problem.units, unit);
  const firstIndex = entryOf(indices, 0);
  const first = problem.items[firstIndex];
  if (!first) return undefined;
  let { state, slot, isPaused } = start;
  for (let pauseS = walk.pauses.get(slot); pauseS !== undefined; pauseS = walk.pauses.get(slot)) {
    state = withPause(state, pauseS);
    isPaused = true;
    slot += 1;
  }
  const pinned = entryOf(problem.pinnedAt, unit);
  if (pinned >= 0 && pinned !== slot) return undefined;
  const entered = state;
  let fixed = 0;
  let last = -1;
  for (const index of indices) {
    const item = problem.items[index];
    if (!item) return undefined;
    if (last >= 0 && walk.pauses.has(slot)) return undefined;
    fixed += placeCostS(problem, state, item);
    for (const { first: wanted, bit, costS } of entryOf(walk.soft, index)) {
      const isInside = indices.includes(wanted);
      const isDone = isInside
        ? indices.indexOf(wanted) < indices.indexOf(index)
        : (mask & bit) !== 0;
      if (!isDone) fixed += costS;
    }
    if (last >= 0) {
      fixed += problem.setUp.at(last, index);
      fixed += problem.nearSum.at(last, index);
      const before = problem.items[last];
      if (before) fixed += thingsAgainS(problem, state, before, item);
    }
    state = withItem(state, item);
    last = index;
    slot += 1;
  }
  return { fixed, first, firstIndex, isPaused, state: entered, after: state, slot };
}

/** What it costs to come to a placed unit from an item. */
function enterCost(problem: OrderProblem, placing: Placing, last: number): number {
  const before = problem.items[last];
  if (!before) return firstSetUpS(problem, placing.firstIndex);
  const nearS = placing.isPaused ? 0 : problem.nearSum.at(last, placing.firstIndex);
  return (
    problem.setUp.at(last, placing.firstIndex) +
    nearS +
    thingsAgainS(problem, placing.state, before, placing.first)
  );
}

/** Builds the next layer. Returns a bound on everything when there is no room for it. */
export function stepLayer(
  problem: OrderProblem,
  walk: StretchWalk,
  room: number,
): number | undefined {
  const layer = walk.layers.at(-1);
  if (!layer) return undefined;
  const count = walk.units.length;
  const size = walk.layers.length - 1;
  const masks: number[] = [];
  const index = new Map<number, number>();
  const done: DoneState[] = [];
  const slots: number[] = [];
  let costs = new Float64Array(count * 64).fill(Infinity);
  let came = new Int8Array(count * 64).fill(-1);
  let frontier = Infinity;
  let states = 0;
  for (let row = 0; row < layer.masks.length; row += 1) {
    const mask = layer.masks[row] ?? 0;
    const start = {
      state: layer.done[row] ?? NOTHING_DONE,
      slot: layer.slots[row] ?? 0,
      isPaused: layer.isPaused,
    };
    let rest = walk.later;
    for (let unit = 0; unit < count; unit += 1) {
      if ((mask & (1 << unit)) === 0) rest += walk.least[unit] ?? 0;
    }
    for (let unit = 0; unit < count; unit += 1) {
      const bit = 1 << unit;
      if ((mask & bit) !== 0 || ((walk.before[unit] ?? 0) & ~mask) !== 0) continue;
      const placing = placeUnit(problem, walk, mask, start, walk.units[unit] ?? 0);
      if (!placing) continue;
      let best = Infinity;
      let from = -1;
      if (size === 0) {
        walk.entry.lasts.forEach((last, entry) => {
          const cost = (walk.entry.costs[entry] ?? Infinity) + enterCost(problem, placing, last);
          if (cost < best) [best, from] = [cost, entry];
        });
      } else {
        for (let last = 0; last < count; last += 1) {
          if ((mask & (1 << last)) === 0) continue;
          const base = layer.costs[row * count + last] ?? Infinity;
          if (base >= best) continue;
          const item = problem.units[walk.units[last] ?? 0]?.at(-1) ?? -1;
          const cost = base + enterCost(problem, placing, item);
          if (cost < best) [best, from] = [cost, last];
        }
      }
      best += placing.fixed;
      const bound = best + rest - (walk.least[unit] ?? 0);
      if (bound >= walk.known - SAME) continue;
      frontier = Math.min(frontier, bound);
      const next = mask | bit;
      let at = index.get(next);
      if (at === undefined) {
        at = masks.length;
        index.set(next, at);
        masks.push(next);
        done.push(placing.after);
        slots.push(placing.slot);
        if ((at + 1) * count > costs.length) [costs, came] = [grown(costs), grownBytes(came)];
      }
      const cell = at * count + unit;
      if ((costs[cell] ?? Infinity) === Infinity) states += 1;
      if (best < (costs[cell] ?? Infinity)) {
        costs[cell] = best;
        came[cell] = from;
      }
    }
    if (states > room) return frontierBound(layer, row, walk, count, frontier);
  }
  walk.layers.push({
    masks: Int32Array.from(masks),
    costs,
    came,
    done,
    slots: Int32Array.from(slots),
    isPaused: false,
    index,
    states,
  });
  return undefined;
}

/** States not yet walked on from can still be the best: none of them may be forgotten in the bound. */
function frontierBound(
  layer: Layer,
  fromRow: number,
  walk: StretchWalk,
  count: number,
  known: number,
): number {
  let bound = known;
  for (let row = fromRow; row < layer.masks.length; row += 1) {
    const mask = layer.masks[row] ?? 0;
    let rest = walk.later;
    let least = mask === 0 ? Math.min(...walk.entry.costs) : Infinity;
    for (let unit = 0; unit < count; unit += 1) {
      if ((mask & (1 << unit)) === 0) rest += walk.least[unit] ?? 0;
      else least = Math.min(least, layer.costs[row * count + unit] ?? Infinity);
    }
    bound = Math.min(bound, least + rest);
  }
  return bound;
}

function grown(values: Float64Array): Float64Array<ArrayBuffer> {
  const larger = new Float64Array(values.length * 2).fill(Infinity);
  larger.set(values);
  return larger;
}

function grownBytes(values: Int8Array): Int8Array<ArrayBuffer> {
  const larger = new Int8Array(values.length * 2).fill(-1);
  larger.set(values);
  return larger;
}

/** The whole stretch is done: its last units are the entries of the next. */
export function leaveStretch(problem: OrderProblem, walk: StretchWalk): Entry {
  const count = walk.units.length;
  const layer = walk.layers[count];
  if (!layer || count === 0) {
    const { state, isPaused } = afterPauses(walk, walk.entry.state, 0, walk.entry.isPaused);
    return { ...walk.entry, state, isPaused };
  }
  const lasts = walk.units.map((unit) => problem.units[unit]?.at(-1) ?? -1);
  const costs = walk.units.map((_unit, index) => layer.costs[index] ?? Infinity);
  const after = layer.done[0] ?? NOTHING_DONE;
  const { state, isPaused } = afterPauses(walk, after, layer.slots[0] ?? 0, false);
  return { lasts, costs, isPaused, state };
}

function afterPauses(walk: StretchWalk, from: DoneState, slot: number, wasPaused: boolean) {
  let state = from;
  let isPaused = wasPaused;
  for (const [place, seconds] of walk.pauses) {
    if (place < slot) continue;
    state = withPause(state, seconds);
    isPaused = true;
  }
  return { state, isPaused };
}
