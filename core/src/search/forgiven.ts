import type { RuleContext } from '../review/rule.ts';

/**
 * Where today's order does not do what a rule wishes and the review, which knows when practice is otherwise, says
 * nothing: nobody would move a row for that.
 */
export interface Forgiven {
  /** That an item finds no mark: "rule item mark". */
  marks: ReadonlySet<string>;
  /** That one stands behind another: "rule first second". */
  pairs: ReadonlySet<string>;
}

export const NOTHING_FORGIVEN: Forgiven = { marks: new Set(), pairs: new Set() };

/** What is forgiven in the class as it stands. */
export function forgivenIn(context: RuleContext): Forgiven {
  const { worked, rules } = context;
  const marks = new Set<string>();
  const pairs = new Set<string>();
  for (const { rule } of rules) {
    const wishes = (rule.order ?? []).filter(({ isNeverTold }) => !isNeverTold);
    if (!wishes.some(({ comesFirst, marks: told }) => comesFirst ?? told)) continue;
    const isTold = new Set(rule.find(context).flatMap(({ itemIds }) => itemIds));
    for (const { comesFirst, marks: told } of wishes) {
      const left = new Set<string>();
      worked.forEach((each, at) => {
        const { id } = each.item;
        if (told) {
          const missing = told.wants(each, context).filter((name) => !left.has(name));
          if (!isTold.has(id)) missing.forEach((name) => marks.add(`${rule.id} ${id} ${name}`));
          told.leaves(each, context).forEach((name) => left.add(name));
        }
        if (!comesFirst) return;
        for (const behind of worked.slice(at + 1)) {
          const [first, second] = [behind.item.id, id];
          if (isTold.has(first) || isTold.has(second)) continue;
          if (comesFirst(behind, each) !== undefined) pairs.add(`${rule.id} ${first} ${second}`);
        }
      });
    }
  }
  return { marks, pairs };
}
