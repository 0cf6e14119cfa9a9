import { createEvaluator } from './evaluate.ts';
import type { OrderProblem, ScoredOrder } from './problem.ts';

/**
 * Puts units back behind their neighbour of today where that costs nothing to speak of: an order that
 * is as good with fewer moves. `slackS` is what may be lost in all, in seconds-equivalent.
 */
export function nearToday(
  problem: OrderProblem,
  found: ScoredOrder,
  today: readonly number[],
  slackS: number,
): ScoredOrder {
  const costOf = createEvaluator(problem);
  const limit = found.costS + slackS;
  let best: ScoredOrder = found;
  today.forEach((unit, index) => {
    const before = today[index - 1];
    if (before === undefined) return;
    const at = best.units.indexOf(before);
    if (best.units[at + 1] === unit) return;
    const rest = best.units.filter((each) => each !== unit);
    const units = rest.toSpliced(rest.indexOf(before) + 1, 0, unit);
    if (!keepsStretches(problem, units)) return;
    const costS = costOf(units);
    if (costS <= limit) best = { units, costS };
  });
  return best;
}

function keepsStretches(problem: OrderProblem, units: readonly number[]): boolean {
  let from = 0;
  return problem.stretches.every((stretch) => {
    const own = units.slice(from, from + stretch.length);
    from += stretch.length;
    return own.every((unit) => stretch.includes(unit));
  });
}
