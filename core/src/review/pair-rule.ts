import { capital } from '../movement/words.ts';
import { inversionsOf, outOfOrder } from './out-of-order.ts';
import type { OrderWish, Rule } from './rule.ts';

type PairRule = Omit<Rule, 'find' | 'order'> & {
  comesFirst: NonNullable<OrderWish['comesFirst']>;
  /** Whether it is told wherever the two stand, or only where both are in one part. */
  within: 'class' | 'part';
};

/** A rule that says of two items which comes first: every inversion is told, with its nearest item. */
export function pairRule({ comesFirst, within, ...words }: PairRule): Rule {
  return {
    ...words,
    order: [{ cost: 'sequence', comesFirst }],
    find: (context) =>
      inversionsOf(context.worked, (early, late) => {
        const isApart = early.timed.segmentId !== late.timed.segmentId;
        if (within === 'part' && isApart) return undefined;
        // What was done before as well is gone through for a second time.
        const isAgain = context.worked.some(
          (each) => each.at < early.at && each.exercise.slug === late.exercise.slug,
        );
        // What comes whole again behind its part was shown first.
        const isShown = context.worked.some(
          (each) => each.at > late.at && each.exercise.slug === early.exercise.slug,
        );
        const because = isAgain || isShown ? undefined : comesFirst(late, early);
        return because && `${early.exercise.name} comes before ${late.exercise.name}: ${because}.`;
      }).map((inversion) =>
        outOfOrder(context, { ...inversion, sentence: capital(inversion.sentence) }),
      ),
  };
}
