import { addAfterIt, leaveOut, moveAfterEach } from '../repairs.ts';
import type { Problem, Rule, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** So many items running on one muscle are a pile. */
const PILE = 3;
/** Two pairs are the three in a row that the rule names. */
const PAIR_S = 6;

/** The muscle that does most, unless the exercise lets go of everything. */
function primeMover({ exercise }: Pick<Worked, 'exercise'>): string | undefined {
  const [first] = exercise.movers;
  return exercise.family === 'release' || exercise.family === 'awareness' ? undefined : first;
}

export const noPileUp: Rule = {
  id: 'no-pile-up',
  name: 'No pile-up on one muscle',
  statement: 'Not three items running on the same prime mover.',
  kind: 'load',
  why: 'A muscle that is tired hands its work on, and the next exercise is done by the wrong one.',
  usually: 'should',
  order: [
    {
      cost: 'pile-up',
      neighbours: (from, to) =>
        primeMover(from) !== undefined && primeMover(from) === primeMover(to) ? PAIR_S : 0,
    },
  ],
  find(context) {
    const { worked } = context;
    return worked.flatMap((third, index): Problem[] => {
      const run = worked.slice(index - PILE + 1, index + 1);
      const mover = primeMover(third);
      if (index < PILE - 1 || !mover || run.some((each) => primeMover(each) !== mover)) return [];
      return [
        {
          key: third.item.id,
          itemIds: run.map(({ item }) => item.id),
          sentence: `${run.map(({ exercise }) => exercise.name).join(', ')}: three running on the ${mover}.`,
          candidates: () => {
            const before = run[PILE - 2] as Worked;
            const others = worked.filter(
              (each) => each.at > third.at && primeMover(each) !== mover && primeMover(each),
            );
            const added = unusedOf(context)
              .filter(
                (exercise) =>
                  exercise.position === third.timed.position &&
                  exercise.movers[0] !== mover &&
                  exercise.spineLoad <= third.timed.spineLoad,
              )
              .sort((a, b) => a.needs.length - b.needs.length);
            return [
              ...moveAfterEach(context, third, others.slice(0, 4)),
              ...others.slice(0, 3).flatMap((each) => moveAfterEach(context, each, [before])),
              ...addAfterIt(context, before, added.slice(0, 4)),
              leaveOut(third),
            ];
          },
        },
      ];
    });
  },
};
