import { capital } from '../movement/words.ts';
import { inversionsOf, outOfOrder } from './out-of-order.ts';
import { PRECEDENCES } from './precedence.ts';
import type { Rule } from './rule.ts';

/** A rule that says of two items which comes first: every inversion is told, with its nearest item. */
export function pairRule(words: Omit<Rule, 'find'>): Rule {
  const wish = PRECEDENCES[words.id];
  if (!wish) throw new Error(`${words.id} says nothing about pairs`);
  return {
    ...words,
    find(context) {
      const wants = (early: Parameters<typeof wish>[0], late: Parameters<typeof wish>[0]) => {
        const because = wish(late, early);
        return because && `${early.exercise.name} comes before ${late.exercise.name}: ${because}.`;
      };
      return inversionsOf(context.worked, wants).map((inversion) =>
        outOfOrder(context, { ...inversion, sentence: capital(inversion.sentence) }),
      );
    },
  };
}
