import { standingOf, type RuleId, type SchoolRules } from '../plan/school.ts';
import { PRECEDENCES } from '../review/precedence.ts';
import type { Worked } from '../review/rule.ts';
import type { Layout } from './lay-out-units.ts';
import { priceFor } from './prices.ts';
import type { SoftPrecedence } from './problem.ts';

interface Wished {
  first: number;
  second: number;
  rule: RuleId;
}

/** Every pair of which some rule says which comes first; the close counts as one of them. */
export function wishesOf(worked: readonly Worked[], school: SchoolRules): Wished[] {
  const wishes: Wished[] = [];
  const rules = Object.entries(PRECEDENCES) as [
    RuleId,
    NonNullable<(typeof PRECEDENCES)[RuleId]>,
  ][];
  worked.forEach((one, first) =>
    worked.forEach((other, second) => {
      if (first === second) return;
      for (const [rule, wish] of rules) {
        if (standingOf(school, rule) !== 'off' && wish(one, other)) {
          wishes.push({ first, second, rule });
        }
      }
      if (standingOf(school, 'close-soft') !== 'off' && closes(other) > closes(one)) {
        wishes.push({ first, second, rule: 'close-soft' });
      }
      const [early, late] = [one.exercise.classicOrder, other.exercise.classicOrder];
      if (standingOf(school, 'classic-order') !== 'off' && early && late && early < late) {
        wishes.push({ first, second, rule: 'classic-order' });
      }
    }),
  );
  return wishes;
}

/** Rest comes behind everything, and the way up behind the rest. */
function closes({ exercise }: Worked): number {
  if (exercise.slug === 'return-to-sitting') return 2;
  return exercise.slug === 'final-rest' ? 1 : 0;
}

/**
 * Wishes of rules that must hold become constraints within a group, as long as they do not contradict
 * one another or what is pinned; the others cost.
 */
export function splitWishes(
  wishes: readonly Wished[],
  { units, groups, pinnedAt }: Layout,
  school: SchoolRules,
  rulesBind: boolean,
): { before: number[][]; soft: SoftPrecedence[] } {
  const unitOf = new Map(
    units.flatMap((items, unit) => items.map((item) => [item, unit] as const)),
  );
  const groupOf = new Map(
    groups.flatMap((members, group) => members.map((unit) => [unit, group] as const)),
  );
  const before: Set<number>[] = units.map(() => new Set());
  const soft: SoftPrecedence[] = [];
  for (const { first, second, rule } of wishes) {
    const [one, other] = [unitOf.get(first) ?? -1, unitOf.get(second) ?? -1];
    const isBinding =
      rulesBind &&
      standingOf(school, rule) === 'must' &&
      one !== other &&
      groupOf.get(one) === groupOf.get(other) &&
      pinnedAt[one] === -1 &&
      pinnedAt[other] === -1 &&
      !reaches(before, one, other);
    if (isBinding) before[other]?.add(one);
    else soft.push({ first, second, costS: priceFor(school, rule) * school.weights.sequence });
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
    open.push(...(before[unit] ?? []));
  }
  return false;
}
