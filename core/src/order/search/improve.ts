import { randomLcg } from 'd3-random';
import type { OrderProblem, ScoredOrder } from './problem.ts';
import { createEvaluator } from './evaluate.ts';

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
 * Iterated local search: descend by moving blocks of units within their groups, shake, descend again.
 * Starts from the order given, yields whenever the best improves or some time has passed, and ends
 * after so many evaluations. The same seed gives the same result.
 */
export function* improve(
  problem: OrderProblem,
  start: readonly number[],
  { seed, evaluations }: { seed: number; evaluations: number },
): Generator<ImproveProgress, ScoredOrder> {
  const costOf = createEvaluator(problem);
  const random = randomLcg(fraction(seed));
  const spans = spansOf(problem);
  let spent = 1;
  let best: ScoredOrder = { units: [...start], costS: costOf(start) };
  let current = best;
  while (spent < evaluations) {
    let isBetter = true;
    while (isBetter && spent < evaluations) {
      const step = bestMove(current, spans, costOf);
      spent += step.tried;
      isBetter = step.costS < current.costS - SAME;
      if (isBetter) current = { units: step.units, costS: step.costS };
    }
    if (current.costS < best.costS - SAME) best = current;
    yield { best, evaluations: spent };
    const shaken = shake(best.units, spans, random);
    current = { units: shaken, costS: costOf(shaken) };
    spent += 1;
    if (spans.every(([from, to]) => to - from < 2)) break;
  }
  return best;
}

/** A seed of any size as the fraction that the generator wants. */
function fraction(seed: number): number {
  return ((Math.abs(Math.trunc(seed)) % 999_983) + 0.5) / 999_983;
}

/** Where each group begins and ends in the sequence of units. */
function spansOf(problem: OrderProblem): [from: number, to: number][] {
  let from = 0;
  return problem.groups.map((group) => {
    const span: [number, number] = [from, from + group.length];
    from += group.length;
    return span;
  });
}

/** The best of all moves of a block to another place in its group. */
function bestMove(
  { units, costS }: ScoredOrder,
  spans: readonly (readonly [number, number])[],
  costOf: (units: readonly number[]) => number,
): ScoredOrder & { tried: number } {
  let best: ScoredOrder = { units: [...units], costS };
  let tried = 0;
  for (const [from, to] of spans) {
    for (let length = 1; length <= LONGEST_BLOCK; length += 1) {
      for (let at = from; at + length <= to; at += 1) {
        for (let target = from; target + length <= to; target += 1) {
          // Moving a block of one by one place is the same as moving its neighbour back.
          if (target === at || (length === 1 && target === at - 1)) continue;
          const moved = moveBlock(units, at, length, target);
          const cost = costOf(moved);
          tried += 1;
          if (cost < best.costS - SAME) best = { units: moved, costS: cost };
        }
      }
    }
  }
  return { ...best, tried };
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
