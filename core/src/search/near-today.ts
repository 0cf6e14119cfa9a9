import { createEvaluator } from './evaluate.ts';
import type { OrderProblem, ScoredOrder } from './problem.ts';
import { scoreOrder } from './score-order.ts';

/**
 * Puts units back behind their neighbour of today, one after the other, as long as each of them costs no more than
 * `worthS` (seconds-equivalent): what is left are moves that are worth somebody's press. Constraints stay kept.
 */
export function nearToday(
  problem: OrderProblem,
  found: ScoredOrder,
  today: readonly number[],
  worthS: number,
): ScoredOrder {
  let best: ScoredOrder = found;
  for (let left = today.length; left > 0; left -= 1) {
    const [nearer] = stepsBack(problem, best, today);
    if (!nearer || nearer.costS > best.costS + worthS) return best;
    best = nearer;
  }
  return best;
}

/** The orders with one unit more behind its neighbour of today, the one that costs least first. */
export function stepsBack(
  problem: OrderProblem,
  { units }: ScoredOrder,
  today: readonly number[],
): ScoredOrder[] {
  const costOf = createEvaluator(problem);
  const steps = today.flatMap((unit, index): ScoredOrder[] => {
    const before = today[index - 1];
    if (before === undefined || units[units.indexOf(before) + 1] === unit) return [];
    const rest = units.filter((each) => each !== unit);
    const back = rest.toSpliced(rest.indexOf(before) + 1, 0, unit);
    if (apartFrom(today, back) >= apartFrom(today, units)) return [];
    if (!keepsStretches(problem, back) || scoreOrder(problem, back).breaks > 0) return [];
    return [{ units: back, costS: costOf(back) }];
  });
  return steps.toSorted((one, other) => one.costS - other.costS);
}

/** How many units stand behind another one than today. */
function apartFrom(today: readonly number[], units: readonly number[]): number {
  return today.filter((unit, index) => {
    const before = today[index - 1];
    return before !== undefined && units[units.indexOf(before) + 1] !== unit;
  }).length;
}

function keepsStretches(problem: OrderProblem, units: readonly number[]): boolean {
  let from = 0;
  return problem.stretches.every((stretch) => {
    const own = units.slice(from, from + stretch.length);
    from += stretch.length;
    return own.every((unit) => stretch.includes(unit));
  });
}
