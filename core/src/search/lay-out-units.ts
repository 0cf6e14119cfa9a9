import { runsOf } from '../plan/occurrences.ts';
import type { RuleContext } from '../review/rule.ts';
import type { OrderProblem } from './problem.ts';

export interface OrderLocks {
  /** Items that keep their place in their part. */
  pinned: ReadonlySet<string>;
  /** Items that stay behind one another as they are today: ids of every one but the first. */
  joined: ReadonlySet<string>;
  /** False lets items go to another part of the class; parts keep how many they hold. */
  partsStay: boolean;
  /** False makes a cost of every rule that must hold: for locks that leave no order that keeps them. */
  rulesBind?: boolean;
}

/** What stays together, where it may go, and where nothing may. */
export type Layout = Pick<OrderProblem, 'units' | 'stretches' | 'pauses' | 'pinnedAt'>;

/** Parts of the class, blocks that stay together, pauses and pinned places. */
export function layOutUnits({ plan, worked, rules }: RuleContext, locks: OrderLocks): Layout {
  const indexOf = new Map(worked.map(({ item }, index) => [item.id, index]));
  const lists = locks.partsStay
    ? plan.segments.map(({ items }) => items)
    : [plan.segments.flatMap(({ items }) => items)];
  const joined = new Set(locks.joined);
  const pinned = new Set(locks.pinned);
  for (const { bracket, items } of plan.segments.flatMap((each) => runsOf(each, plan.brackets))) {
    if (!bracket) continue;
    // A pause keeps its place, and so do those that it stands between.
    const isPaused = items.some(({ kind }) => kind === 'pause');
    items.slice(isPaused ? 0 : 1).forEach(({ id }) => (isPaused ? pinned : joined).add(id));
  }
  // What keeps the props or the shape of another stays behind it.
  worked.filter(({ item }) => item.keeps).forEach(({ item }) => joined.add(item.id));
  for (const { rule } of rules) {
    for (const wish of rule.order ?? []) wish.joined?.(worked).forEach((id) => joined.add(id));
  }
  const units: number[][] = [];
  const pinnedAt: number[] = [];
  const stretches: number[][] = [];
  const pauses: Map<number, number>[] = [];
  for (const list of lists) {
    const stretch: number[] = [];
    const quiet = new Map<number, number>();
    list.forEach((item, place) => {
      const index = indexOf.get(item.id);
      if (item.kind === 'pause' || index === undefined) {
        quiet.set(place, item.kind === 'pause' ? item.durationS : 0);
        return;
      }
      const isJoined = joined.has(item.id) && !quiet.has(place - 1);
      const last = stretch.at(-1);
      if (isJoined && last !== undefined) {
        units[last]?.push(index);
        if (pinned.has(item.id) && pinnedAt[last] === -1) {
          pinnedAt[last] = place - (units[last]?.length ?? 1) + 1;
        }
        return;
      }
      stretch.push(units.length);
      units.push([index]);
      pinnedAt.push(pinned.has(item.id) ? place : -1);
    });
    stretches.push(stretch);
    pauses.push(quiet);
  }
  return { units, stretches, pauses, pinnedAt };
}
