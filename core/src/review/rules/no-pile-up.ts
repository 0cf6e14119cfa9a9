import { addAfterIt, leaveOut, moveAfterEach } from '../repairs.ts';
import type { Problem, Rule, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** So many hard exercises running on one muscle are a pile. */
const PILE = 4;
/** What asks less than this tires nothing. */
const HARD = 2;
/** Three pairs are the four in a row that the rule names. */
const PAIR_S = 6;

/** The muscle that does most, unless the exercise lets go of everything. */
function primeMover({ exercise }: Pick<Worked, 'exercise'>): string | undefined {
  const [first] = exercise.movers;
  return exercise.family === 'release' || exercise.family === 'awareness' ? undefined : first;
}

function tiresTheSame(from: Worked, to: Worked): boolean {
  return (
    primeMover(from) !== undefined &&
    primeMover(from) === primeMover(to) &&
    from.exercise.slug !== to.exercise.slug &&
    Math.min(from.timed.effort, to.timed.effort) >= HARD
  );
}

export const noPileUp: Rule = {
  id: 'no-pile-up',
  name: 'No pile-up on one muscle',
  statement:
    'Not four different hard exercises running on the same prime mover, with no letting go between.',
  kind: 'load',
  why: 'A muscle that is tired hands its work on, and the next exercise is done by the wrong one.',
  usually: 'should',
  order: [
    {
      cost: 'pile-up',
      neighbours: (from, to) => (tiresTheSame(from, to) ? PAIR_S : 0),
    },
  ],
  find(context) {
    const { worked } = context;
    return worked.flatMap((last, index): Problem[] => {
      const run = worked.slice(index - PILE + 1, index + 1);
      const mover = primeMover(last);
      if (index < PILE - 1 || !mover || run.some((each) => primeMover(each) !== mover)) return [];
      const different = new Set(run.map(({ exercise }) => exercise.slug));
      const isMeant = run.some(({ item }) => item.bracket !== undefined);
      const isHard = run.every(({ timed }) => timed.effort >= HARD);
      if (different.size < PILE || isMeant || !isHard) return [];
      return [
        {
          key: last.item.id,
          itemIds: run.map(({ item }) => item.id),
          sentence: `${run.map(({ exercise }) => exercise.name).join(', ')}: four running on the ${mover}.`,
          candidates: () => {
            const before = run[PILE - 2] as Worked;
            const others = worked.filter(
              (each) => each.at > last.at && primeMover(each) !== mover && primeMover(each),
            );
            const added = unusedOf(context)
              .filter(
                (exercise) =>
                  exercise.position === last.timed.position &&
                  exercise.movers[0] !== mover &&
                  exercise.spineLoad <= last.timed.spineLoad,
              )
              .sort((a, b) => a.needs.length - b.needs.length);
            return [
              ...moveAfterEach(context, last, others.slice(0, 4)),
              ...others.slice(0, 3).flatMap((each) => moveAfterEach(context, each, [before])),
              ...addAfterIt(context, before, added.slice(0, 4)),
              leaveOut(last),
            ];
          },
        },
      ];
    });
  },
};
