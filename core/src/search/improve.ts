import { randomLcg } from 'd3-random';
import type { OrderProblem, ScoredOrder } from './problem.ts';
import { createEvaluator } from './evaluate.ts';
import { entryOf } from './entry.ts';

/** Blocks of up to so many units are moved at once. */
const LONGEST_BLOCK = 3;
/** Units shaken out of place before each new descent. */
const SHAKEN = 3;
/** Differences smaller than this are rounding. */
const SAME = 1e-7;

export interface ImproveProgress {
  best: ScoredOrder;
  evaluations: number;
}

/**
 * Iterated local search: descend by moving blocks of units within their stretches, shake, descend again.
 * Starts from the order given, yields every few thousand orders, and ends after so many evaluations.
 * The same seed gives the same result.
 */
export function* improve(
  problem: OrderProblem,
  start: readonly number[],
  { seed, evaluations }: { seed: number; evaluations: number },
): Generator<ImproveProgress, ScoredOrder> {
  const costOf = createEvaluator(problem);
  const random = randomLcg(fraction(seed));
  const spans = spansOf(problem);
  let best: ScoredOrder = { units: [...start], costS: costOf(start) };
  if (spans.every(([from, to]) => to - from < 2)) return best;
  let current = best;
  let spent = 1;
  while (spent < evaluations) {
    for (const step of descend(current, spans, costOf, evaluations - spent)) {
      current = step.order;
      if (current.costS < best.costS - SAME) best = current;
      yield { best, evaluations: spent + step.tried };
      if (step.isDone) spent += step.tried;
    }
    const shaken = shake(best.units, spans, random);
    current = { units: shaken, costS: costOf(shaken) };
    spent += 1;
  }
  return best;
}

/** A seed of any size as the fraction that the generator wants. */
function fraction(seed: number): number {
  return ((Math.abs(Math.trunc(seed)) % 999_983) + 0.5) / 999_983;
}

/** Where each stretch begins and ends in the sequence of units. */
function spansOf(problem: OrderProblem): [from: number, to: number][] {
  let from = 0;
  return problem.stretches.map((stretch) => {
    const span: [number, number] = [from, from + stretch.length];
    from += stretch.length;
    return span;
  });
}

interface Descent {
  order: ScoredOrder;
  tried: number;
  isDone: boolean;
}

/** So many orders are tried between two words of progress. */
const REPORTED = 2000;

/** Takes every move of a block that helps, as it is found, until none does or the room is used up. */
function* descend(
  start: ScoredOrder,
  spans: readonly (readonly [number, number])[],
  costOf: (units: readonly number[]) => number,
  room: number,
): Generator<Descent> {
  let order = start;
  let tried = 0;
  let isBetter = true;
  while (isBetter && tried < room) {
    isBetter = false;
    for (const { at, length, target } of blockMoves(spans)) {
      const units = moveBlock(order.units, at, length, target);
      const costS = costOf(units);
      tried += 1;
      if (costS < order.costS - SAME) {
        order = { units, costS };
        isBetter = true;
      }
      if (tried >= room) break;
      if (tried % REPORTED === 0) yield { order, tried, isDone: false };
    }
  }
  yield { order, tried, isDone: true };
}

/** Every move of a block to another place in its stretch. */
function* blockMoves(
  spans: readonly (readonly [number, number])[],
): Generator<{ at: number; length: number; target: number }> {
  for (const [from, to] of spans) {
    for (let length = 1; length <= LONGEST_BLOCK; length += 1) {
      for (let at = from; at + length <= to; at += 1) {
        for (let target = from; target + length <= to; target += 1) {
          // Moving a block of one by one place is the same as moving its neighbour back.
          if (target !== at && !(length === 1 && target === at - 1)) yield { at, length, target };
        }
      }
    }
  }
}

/**
 * The units as near to their order as the constraints let them be: of those whose predecessors are
 * done, the one that stands first today comes next. Pins are not looked at.
 */
export function keepingConstraints(problem: OrderProblem, today: readonly number[]): number[] {
  return spansOf(problem).flatMap(([from, to]) => {
    const waiting = today.slice(from, to);
    const order: number[] = [];
    while (waiting.length > 0) {
      const ready = waiting.findIndex((unit) =>
        entryOf(problem.before, unit).every((earlier) => order.includes(earlier)),
      );
      order.push(...waiting.splice(Math.max(0, ready), 1));
    }
    return order;
  });
}

function moveBlock(units: readonly number[], at: number, length: number, target: number): number[] {
  const rest = units.toSpliced(at, length);
  rest.splice(target, 0, ...units.slice(at, at + length));
  return rest;
}

function shake(
  units: readonly number[],
  spans: readonly (readonly [number, number])[],
  random: () => number,
): number[] {
  let shaken = [...units];
  const wide = spans.filter(([from, to]) => to - from > 1);
  for (let turn = 0; turn < SHAKEN && wide.length > 0; turn += 1) {
    const [from, to] = wide[Math.floor(random() * wide.length)] ?? [0, 1];
    const at = from + Math.floor(random() * (to - from));
    const target = from + Math.floor(random() * (to - from));
    shaken = moveBlock(shaken, at, 1, target);
  }
  return shaken;
}
