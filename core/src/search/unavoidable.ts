import { hasBit } from './marks.ts';
import type { OrderProblem } from './problem.ts';
import { entryOf } from './entry.ts';

/**
 * What every order pays, whichever it is: marks that nothing before can leave, wishes that contradict
 * one another or the constraints. In seconds-equivalent.
 */
export function unavoidableS(problem: OrderProblem): number {
  const mustFollow = followersOf(problem);
  const missedS = problem.marks.reduce(
    (sum, { costS }, mark) => sum + costS * timesMissed(problem, mustFollow, mark),
    0,
  );
  return missedS + contradictedS(problem, mustFollow);
}

/** `mustFollow(a, b)`: true where item `b` can only stand after item `a`. */
type MustFollow = (a: number, b: number) => boolean;

function followersOf(problem: OrderProblem): MustFollow {
  const { units, stretches, before } = problem;
  const unitOf = new Map(
    units.flatMap((items, unit) => items.map((item) => [item, unit] as const)),
  );
  const stretchOf = new Map(
    stretches.flatMap((members, stretch) => members.map((unit) => [unit, stretch] as const)),
  );
  const above = before.map((direct) => {
    const all = new Set<number>();
    const open = [...direct];
    for (let unit = open.pop(); unit !== undefined; unit = open.pop()) {
      if (all.has(unit)) continue;
      all.add(unit);
      open.push(...entryOf(before, unit));
    }
    return all;
  });
  return (a, b) => {
    const [one, other] = [unitOf.get(a) ?? -1, unitOf.get(b) ?? -1];
    if (one === other) return (units[one]?.indexOf(a) ?? 0) < (units[one]?.indexOf(b) ?? 0);
    const [early, late] = [stretchOf.get(one) ?? 0, stretchOf.get(other) ?? 0];
    return early !== late ? early < late : (above[other]?.has(one) ?? false);
  };
}

/** How often at least a mark is wanted in vain. */
function timesMissed({ items }: OrderProblem, mustFollow: MustFollow, mark: number): number {
  const leaving = indicesOf(items, ({ leaves }) => hasBit(leaves, mark));
  const wanting = indicesOf(items, ({ wants }) => hasBit(wants, mark));
  const alone = wanting.filter(
    (item) => !leaving.some((other) => other !== item && !mustFollow(item, other)),
  ).length;
  if (alone > 0 || wanting.length === 0) return alone;
  // Whichever of them all comes first finds nothing: is it sure to be one that wants it?
  const free = leaving.filter((item) => !wanting.includes(item));
  const isFirst = free.every((item) => wanting.some((other) => mustFollow(other, item)));
  return isFirst ? 1 : 0;
}

function indicesOf<Item>(items: readonly Item[], is: (item: Item) => boolean): number[] {
  return items.flatMap((item, index) => (is(item) ? [index] : []));
}

function contradictedS({ soft }: OrderProblem, mustFollow: MustFollow): number {
  let sum = 0;
  const costs = new Map<string, number>();
  for (const { first, second, costS } of soft) {
    if (mustFollow(second, first)) sum += costS;
    else costs.set(`${first} ${second}`, costS + (costs.get(`${first} ${second}`) ?? 0));
  }
  for (const { first, second } of soft) {
    if (first > second) continue;
    const [one, other] = [costs.get(`${first} ${second}`), costs.get(`${second} ${first}`)];
    if (one === undefined || other === undefined) continue;
    sum += Math.min(one, other);
    costs.delete(`${first} ${second}`);
  }
  return sum;
}
