import type { CostId, Standing } from '../plan/school.ts';
import { STANDING_PRICE_S, type RuleContext } from '../review/rule.ts';
import type { Layout } from './lay-out-units.ts';
import type { SoftPrecedence } from './problem.ts';
import { entryOf } from './entry.ts';
import type { Forgiven } from './forgiven.ts';

interface Wished {
  first: number;
  second: number;
  cost: CostId;
  standing: Standing;
}

/** Every pair of which some rule says which comes first. */
export function wishesOf({ worked, rules }: RuleContext, { pairs }: Forgiven): Wished[] {
  const tellers = rules.flatMap(({ rule, standing }) =>
    (rule.order ?? []).flatMap(({ cost, comesFirst }) =>
      comesFirst ? [{ id: rule.id, cost, standing, comesFirst }] : [],
    ),
  );
  return worked.flatMap((one, first) =>
    worked.flatMap((other, second) =>
      first === second
        ? []
        : tellers
            .filter(
              ({ id, comesFirst }) =>
                comesFirst(one, other) !== undefined &&
                !pairs.has(`${id} ${one.item.id} ${other.item.id}`),
            )
            .map(({ cost, standing }) => ({ first, second, cost, standing })),
    ),
  );
}

/**
 * Wishes of rules that must hold become constraints within a stretch, as long as they do not contradict
 * one another or what is pinned; the others cost.
 */
export function splitWishes(
  wishes: readonly Wished[],
  { units, stretches, pinnedAt }: Layout,
  { school }: Pick<RuleContext, 'school'>,
  rulesBind: boolean,
): { before: number[][]; soft: SoftPrecedence[] } {
  const unitOf = new Map(
    units.flatMap((items, unit) => items.map((item) => [item, unit] as const)),
  );
  const stretchOf = new Map(
    stretches.flatMap((members, stretch) => members.map((unit) => [unit, stretch] as const)),
  );
  const before: Set<number>[] = units.map(() => new Set());
  const soft: SoftPrecedence[] = [];
  for (const { first, second, cost, standing } of wishes) {
    const [one, other] = [unitOf.get(first) ?? -1, unitOf.get(second) ?? -1];
    const isBinding =
      rulesBind &&
      standing === 'must' &&
      one !== other &&
      stretchOf.get(one) === stretchOf.get(other) &&
      pinnedAt[one] === -1 &&
      pinnedAt[other] === -1 &&
      !reaches(before, one, other);
    if (isBinding) before[other]?.add(one);
    else {
      const costS = STANDING_PRICE_S[standing] * school.weights[cost];
      soft.push({ first, second, cost, costS });
    }
  }
  return { before: before.map((set) => [...set]), soft };
}

/** True when `to` must come before `from` already, at any distance. */
function reaches(before: readonly ReadonlySet<number>[], from: number, to: number): boolean {
  const seen = new Set<number>();
  const open = [from];
  for (let unit = open.pop(); unit !== undefined; unit = open.pop()) {
    if (unit === to) return true;
    if (seen.has(unit)) continue;
    seen.add(unit);
    open.push(...entryOf(before, unit));
  }
  return false;
}
