import type { OrderProblem } from './problem.ts';

/**
 * What every order pays, whichever it is: needs that nothing before can teach, loads that nothing
 * between prepares, wishes that contradict one another or the constraints. In seconds-equivalent.
 */
export function unavoidableS(problem: OrderProblem): number {
  const mustFollow = followersOf(problem);
  return (
    unmetNeedsS(problem, mustFollow) +
    loadStepsS(problem) +
    openingS(problem) +
    contradictedS(problem, mustFollow)
  );
}

/** `mustFollow(a, b)`: true where item `b` can only stand after item `a`. */
type MustFollow = (a: number, b: number) => boolean;

function followersOf(problem: OrderProblem): MustFollow {
  const { units, groups, before } = problem;
  const unitOf = new Map(
    units.flatMap((items, unit) => items.map((item) => [item, unit] as const)),
  );
  const groupOf = new Map(
    groups.flatMap((members, group) => members.map((unit) => [unit, group] as const)),
  );
  const above = before.map((direct) => {
    const all = new Set<number>();
    const open = [...direct];
    for (let unit = open.pop(); unit !== undefined; unit = open.pop()) {
      if (all.has(unit)) continue;
      all.add(unit);
      open.push(...(before[unit] ?? []));
    }
    return all;
  });
  return (a, b) => {
    const [one, other] = [unitOf.get(a) ?? -1, unitOf.get(b) ?? -1];
    if (one === other) return (units[one]?.indexOf(a) ?? 0) < (units[one]?.indexOf(b) ?? 0);
    const [early, late] = [groupOf.get(one) ?? 0, groupOf.get(other) ?? 0];
    return early !== late ? early < late : (above[other]?.has(one) ?? false);
  };
}

/** Items that may stand before another one. */
function canPrecede(problem: OrderProblem, mustFollow: MustFollow, item: number) {
  return problem.items.filter((_each, index) => index !== item && !mustFollow(item, index));
}

function unmetNeedsS(problem: OrderProblem, mustFollow: MustFollow): number {
  const { needs, warm } = problem.place;
  return problem.items.reduce((sum, item, index) => {
    const earlier = canPrecede(problem, mustFollow, index);
    const taught = earlier.reduce((bits, { taughtBits }) => bits | taughtBits, 0);
    const unmet = item.needs.filter((need) => (taught & need) === 0).length;
    const isCold = item.bendsLoaded && !earlier.some(({ warmsBelly }) => warmsBelly);
    return sum + unmet * needs + (isCold ? warm : 0);
  }, 0);
}

/** The load rises to its highest by the classes that the class holds: the steps between can't be fewer. */
function loadStepsS({ items, place }: OrderProblem): number {
  const loads = [...new Set(items.map(({ spineLoad }) => spineLoad))].sort((a, b) => a - b);
  let highest = 0;
  let steps = 0;
  for (const load of loads) {
    steps += Math.max(0, load - highest - 1);
    highest = Math.max(highest, load);
  }
  return steps * place.load;
}

function openingS({ items, units, groups, before, place }: OrderProblem): number {
  const first = groups.find((group) => group.length > 0) ?? [];
  const canOpen = first.some(
    (unit) => before[unit]?.length === 0 && items[units[unit]?.[0] ?? 0]?.isAwareness,
  );
  return canOpen ? 0 : place.awareness;
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
