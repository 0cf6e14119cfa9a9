import { leaveOut, moveAfterEach, moveBeforeEach } from './repairs.ts';
import type { Problem, RuleContext, Worked } from './rule.ts';

/** Two items of which the one that stands later should come first. */
export interface Inversion {
  early: Worked;
  late: Worked;
  sentence: string;
}

/** The problem of an inversion, and the ways to turn it round. */
export function outOfOrder(context: RuleContext, { early, late, sentence }: Inversion): Problem {
  return {
    key: `${early.item.id} ${late.item.id}`,
    itemIds: [early.item.id, late.item.id],
    sentence,
    candidates: () => [
      ...moveBeforeEach(context, late, [early]),
      ...moveAfterEach(context, early, [late]),
      leaveOut(early),
      leaveOut(late),
    ],
  };
}

/**
 * The nearest inversion of each later item: told once, not for every item before it.
 * `wants` says in words why `late` should come before `early`, or nothing.
 */
export function inversionsOf(
  worked: readonly Worked[],
  wants: (early: Worked, late: Worked) => string | undefined,
): Inversion[] {
  return worked.flatMap((late, index): Inversion[] => {
    for (let before = index - 1; before >= 0; before -= 1) {
      const early = worked[before];
      const sentence = early && wants(early, late);
      if (early && sentence) return [{ early, late, sentence }];
    }
    return [];
  });
}
