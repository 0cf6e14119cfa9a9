import type { OrderProblem } from './problem.ts';
import { leastBetween } from './curve.ts';
import { firstSetUpS } from './score-order.ts';
import { unavoidableS } from './unavoidable.ts';
import { entryOf } from './entry.ts';

/** Steps of the multipliers, and how far the first one goes. */
const STEPS = 120;
const FIRST_STEP = 8;

const NO_PAUSES: ReadonlyMap<number, number> = new Map();

/**
 * A lower bound on the cost of any order: what none can avoid, and the steps. For each stretch it finds the cheapest walk through as many
 * places as there are units, letting it visit a unit twice, and raises the price of what is visited too
 * often (Lagrange multipliers, subgradient steps: Held and Karp, Operations Research 18 (1970), from
 * memory, carried over to walks that know their place and what must come before what).
 */
export function lowerBound(problem: OrderProblem): number {
  let doneS = 0;
  let entries: number[] = [];
  let wasPaused = false;
  let sum = unavoidableS(problem);
  problem.stretches.forEach((stretch, index) => {
    const pausesS = [...(problem.pauses[index]?.values() ?? [])].reduce((a, b) => a + b, 0);
    const ownS = stretch.reduce((total, unit) => total + unitS(problem, unit), 0);
    const pauses = problem.pauses[index] ?? NO_PAUSES;
    const toS = doneS + ownS + pausesS;
    const mayBePaused = wasPaused || pauses.has(0);
    sum += stretchBound(problem, stretch, { fromS: doneS, toS, entries, mayBePaused, pauses });
    doneS = toS;
    wasPaused = (stretch.length === 0 && wasPaused) || pauses.size > 0;
    if (stretch.length > 0) entries = stretch;
  });
  return sum;
}

interface StretchTimes {
  fromS: number;
  toS: number;
  /** Units of the stretch before: one of them stands last. */
  entries: readonly number[];
  /** True where a pause may lie between the stretches. */
  mayBePaused: boolean;
  pauses: ReadonlyMap<number, number>;
}

function unitS(problem: OrderProblem, unit: number): number {
  return entryOf(problem.units, unit).reduce(
    (total, index) => total + (problem.items[index]?.ownS ?? 0),
    0,
  );
}

function stretchBound(
  problem: OrderProblem,
  stretch: readonly number[],
  times: StretchTimes,
): number {
  const count = stretch.length;
  if (count === 0) return 0;
  const cost = relaxedCosts(problem, stretch, times);
  const prices = new Float64Array(count);
  let best = -Infinity;
  let step = FIRST_STEP;
  for (let turn = 0; turn < STEPS; turn += 1) {
    const { value, visits } = cheapestWalk(cost, prices, count);
    const bound = value - prices.reduce((total, price) => total + price, 0);
    if (bound > best + 1e-9) best = bound;
    else step *= 0.9;
    if (visits.every((visited) => visited === 1)) return Math.max(best, bound);
    const norm = visits.reduce((total, visited) => total + (visited - 1) ** 2, 0);
    for (let unit = 0; unit < count; unit += 1) {
      prices[unit] = (prices[unit] ?? 0) + (step * ((visits[unit] ?? 0) - 1)) / Math.sqrt(norm);
    }
  }
  return best;
}

interface RelaxedCosts {
  /** First places. */
  enter: Float64Array;
  /** From one unit to another, Infinity where the order forbids it. */
  between: Float64Array;
  /** The same where a pause may lie between: neighbours cost nothing then but the set-up. */
  acrossPause: Float64Array;
  /** Before which places a pause may lie. */
  pausedPlaces: ReadonlySet<number>;
  /** Of standing in a place, place by place. */
  standing: Float64Array;
}

function relaxedCosts(
  problem: OrderProblem,
  stretch: readonly number[],
  times: StretchTimes,
): RelaxedCosts {
  const count = stretch.length;
  const above = closure(problem, stretch);
  const enter = new Float64Array(count);
  const between = new Float64Array(count * count).fill(Infinity);
  const acrossPause = new Float64Array(count * count).fill(Infinity);
  const pausedPlaces = placesAfterPauses(problem, stretch, times.pauses);
  const standing = new Float64Array(count * count).fill(Infinity);
  const own = stretch.map((unit) => unitS(problem, unit));
  const sorted = [...own].sort((a, b) => a - b);
  const ups = sorted.map((_each, index) => sum(sorted.slice(0, index)));
  const totalS = sum(own);
  const pausesS = times.toS - times.fromS - totalS;
  for (let to = 0; to < count; to += 1) {
    const preceding = entryOf(above, to).filter(Boolean).length;
    const following = above.filter((row) => row[to]).length;
    const precedingS = sum(own.filter((_s, unit) => above[to]?.[unit]));
    const followingS = sum(own.filter((_s, unit) => above[unit]?.[to]));
    for (let place = preceding; place < count - following; place += 1) {
      const earliest = Math.max(precedingS, entryOf(ups, place));
      const mostDone = totalS - (ups[count - place] ?? totalS);
      const latest = Math.min(totalS - followingS - entryOf(own, to), mostDone);
      standing[place * count + to] = standingCost(
        problem,
        entryOf(stretch, to),
        times.fromS + earliest,
        times.fromS + Math.max(earliest, latest) + pausesS,
      );
    }
    enter[to] = Math.min(...entriesTo(problem, times, entryOf(stretch, to)));
    for (let from = 0; from < count; from += 1) {
      if (from === to || above[from]?.[to] || isBetween(above, from, to)) continue;
      const [one, other] = [entryOf(stretch, from), entryOf(stretch, to)];
      between[from * count + to] = stepCost(problem, one, other, false);
      acrossPause[from * count + to] = stepCost(problem, one, other, true);
    }
  }
  return { enter, between, acrossPause, pausedPlaces, standing };
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

/** `above[unit][earlier]`: what must come before a unit, at any distance. */
function closure(problem: OrderProblem, stretch: readonly number[]): boolean[][] {
  const index = new Map(stretch.map((unit, at) => [unit, at]));
  const above = stretch.map((unit) =>
    stretch.map((other) => problem.before[unit]?.includes(other) ?? false),
  );
  for (const via of index.values()) {
    for (const row of above) {
      if (row[via]) above[via]?.forEach((is, at) => (row[at] ||= is));
    }
  }
  return above;
}

/** True where something must stand between two units. */
function isBetween(above: readonly boolean[][], from: number, to: number): boolean {
  return above[to]?.some((is, unit) => is && above[unit]?.[from]) ?? false;
}

/** A pause lies at a place of items; with units of several items it may be before any unit. */
function placesAfterPauses(
  problem: OrderProblem,
  stretch: readonly number[],
  pauses: ReadonlyMap<number, number>,
): ReadonlySet<number> {
  const isPlain = stretch.every((unit) => problem.units[unit]?.length === 1);
  if (!isPlain && pauses.size > 0) return new Set(stretch.map((_unit, place) => place));
  const slots = [...pauses.keys()].sort((a, b) => a - b);
  return new Set(slots.map((slot, earlier) => slot - earlier));
}

function entriesTo(
  problem: OrderProblem,
  { entries, mayBePaused }: StretchTimes,
  unit: number,
): number[] {
  if (entries.length > 0) {
    return entries.map((from) => stepCost(problem, from, unit, mayBePaused));
  }
  const first = entryOf(entryOf(problem.units, unit), 0);
  return [firstSetUpS(problem, first)];
}

/** The least that it costs to go from one unit to the next, in whatever has been done. */
function stepCost(problem: OrderProblem, from: number, to: number, isPaused: boolean): number {
  const last = problem.units[from]?.at(-1) ?? 0;
  const first = entryOf(entryOf(problem.units, to), 0);
  return problem.setUp.at(last, first) + (isPaused ? 0 : problem.nearSum.at(last, first));
}

/** The least that the place of a unit costs that begins between two moments, and what it costs inside itself. */
function standingCost(
  problem: OrderProblem,
  unit: number,
  earliestS: number,
  latestS: number,
): number {
  let cost = 0;
  let offsetS = 0;
  let last = -1;
  for (const index of entryOf(problem.units, unit)) {
    const item = problem.items[index];
    if (!item) continue;
    const middleS = offsetS + item.ownS / 2;
    cost += leastBetween(
      item.curve,
      (earliestS + middleS) / problem.totalS,
      (latestS + middleS) / problem.totalS,
    );
    if (last >= 0) {
      cost += problem.setUp.at(last, index) + problem.nearSum.at(last, index);
    }
    offsetS += item.ownS;
    last = index;
  }
  return cost;
}

/** The cheapest walk of as many steps as there are units, and how often it visits each. */
function cheapestWalk(
  { enter, between, acrossPause, pausedPlaces, standing }: RelaxedCosts,
  prices: Float64Array,
  count: number,
): { value: number; visits: number[] } {
  let costs = new Float64Array(count);
  for (let unit = 0; unit < count; unit += 1) {
    costs[unit] = (enter[unit] ?? 0) + (standing[unit] ?? 0) + (prices[unit] ?? 0);
  }
  const from: Int32Array[] = [];
  for (let place = 1; place < count; place += 1) {
    const step = pausedPlaces.has(place) ? acrossPause : between;
    const next = new Float64Array(count).fill(Infinity);
    const came = new Int32Array(count).fill(-1);
    for (let to = 0; to < count; to += 1) {
      const here = (standing[place * count + to] ?? 0) + (prices[to] ?? 0);
      if (here === Infinity) continue;
      for (let unit = 0; unit < count; unit += 1) {
        const cost = (costs[unit] ?? Infinity) + (step[unit * count + to] ?? Infinity) + here;
        if (cost < (next[to] ?? Infinity)) {
          next[to] = cost;
          came[to] = unit;
        }
      }
    }
    from.push(came);
    costs = next;
  }
  let last = 0;
  for (let unit = 1; unit < count; unit += 1) {
    if ((costs[unit] ?? Infinity) < (costs[last] ?? Infinity)) last = unit;
  }
  const visits = Array.from({ length: count }, () => 0);
  const value = costs[last] ?? Infinity;
  for (let place = count - 1; place >= 0 && last >= 0; place -= 1) {
    visits[last] = (visits[last] ?? 0) + 1;
    last = place > 0 ? entryOf(entryOf(from, place - 1), last) : last;
  }
  return { value, visits };
}
