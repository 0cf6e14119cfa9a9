import { capital } from '../movement/words.ts';
import { inversionsOf, outOfOrder } from './out-of-order.ts';
import type { OrderWish, Rule } from './rule.ts';

type PairRule = Omit<Rule, 'find' | 'order'> & {
  comesFirst: NonNullable<OrderWish['comesFirst']>;
};

/** A rule that says of two items which comes first: every inversion is told, with its nearest item. */
export function pairRule({ comesFirst, ...words }: PairRule): Rule {
  return {
    ...words,
    order: [{ cost: 'sequence', comesFirst }],
    find: (context) =>
      inversionsOf(context.worked, (early, late) => {
        const because = comesFirst(late, early);
        return because && `${early.exercise.name} comes before ${late.exercise.name}: ${because}.`;
      }).map((inversion) =>
        outOfOrder(context, { ...inversion, sentence: capital(inversion.sentence) }),
      ),
  };
}
