import type { RuleContext } from '../review/rule.ts';
import type { GearSeconds } from '../plan/timing/gear-seconds.ts';
import { splitWishes, wishesOf } from './constraints.ts';
import { NOTHING_FORGIVEN, type Forgiven } from './forgiven.ts';
import { layOutUnits, type OrderLocks } from './lay-out-units.ts';
import { pairCosts } from './pair-costs.ts';
import { placeItems } from './place-items.ts';
import type { OrderProblem } from './problem.ts';

/** The class as numbers. The search knows nothing else; `gearSeconds` are common practice when left out. */
export function buildProblem(
  context: RuleContext,
  locks: OrderLocks,
  forgiven: Forgiven = NOTHING_FORGIVEN,
  gearSeconds?: GearSeconds,
): OrderProblem {
  const layout = layOutUnits(context, locks);
  const placed = placeItems(context, forgiven);
  const ownS = placed.items.reduce((sum, item) => sum + item.ownS, 0);
  const pausesS = layout.pauses.flatMap((pauses) => [...pauses.values()]);
  return {
    ...placed,
    ...layout,
    ...splitWishes(wishesOf(context, forgiven), layout, context, locks.rulesBind ?? true),
    ...pairCosts(context, gearSeconds),
    totalS: Math.max(
      1,
      pausesS.reduce((sum, seconds) => sum + seconds, ownS),
    ),
  };
}
