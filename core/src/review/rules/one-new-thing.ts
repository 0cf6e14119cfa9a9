import { leaveOut } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** With more than so much of a class new to its group, everything is, and nobody can wait for the known. */
const MOSTLY_NEW = 0.5;

export const oneNewThing: Rule = {
  id: 'one-new-thing',
  name: 'One new thing at a time',
  statement: 'Between two exercises that are new to the group something stands that they know.',
  kind: 'order',
  why: 'What is new needs the whole attention; the second new thing finds none left.',
  usually: 'off',
  speaksFrom: 'class',
  find(context) {
    const work = context.worked.filter(isWork);
    const fresh = firstTimes(context, work);
    if (fresh.size > MOSTLY_NEW * work.length) return [];
    return work.flatMap((each, at): Problem[] => {
      const before = work[at - 1];
      if (!before || !fresh.has(each) || !fresh.has(before)) return [];
      return [
        {
          key: each.item.id,
          itemIds: [before.item.id, each.item.id],
          sentence: `${before.exercise.name} and ${each.exercise.name} follow one another and are both new to this group.`,
          candidates: () => [
            {
              label: `Teach ${each.exercise.name} briefly: they know it`,
              edit: { type: 'setTeaching', itemId: each.item.id, teaching: 'brief' },
            },
            leaveOut(each),
          ],
        },
      ];
    });
  },
};

const isWork = ({ exercise }: Worked) =>
  exercise.family !== 'release' && exercise.family !== 'awareness';

/** What the group does for the first time here; not what the plan says is only recalled. */
function firstTimes({ familiar }: RuleContext, work: readonly Worked[]): Set<Worked> {
  const met = new Set(familiar);
  const fresh = work.filter(({ exercise, item }) => {
    const isNew = !met.has(exercise.slug);
    met.add(exercise.slug);
    return isNew && (item.teaching ?? 'full') === 'full';
  });
  return familiar ? new Set(fresh) : new Set();
}
