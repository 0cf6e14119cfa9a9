import { isOverTheBar } from '../../movement/over-the-bar.ts';
import { leaveOut, moveBeforeEach } from '../repairs.ts';
import type { Placeable, Problem, Rule } from '../rule.ts';

const lies = ({ timed }: Placeable) => timed.position === 'supine' || timed.position === 'prone';
/** What is done standing before the machine, with all together, is no way down from it. */
const standsOnIt = ({ timed, exercise }: Placeable) =>
  timed.position === 'standing' && exercise.machine === 'reformer' && !isOverTheBar(exercise.slug);

const works = ({ exercise }: Placeable) => exercise.family !== 'release';

export const levels: Rule = {
  id: 'levels',
  name: 'Up once',
  statement: 'On the machine lying comes first and standing last: nobody lies down again to work.',
  kind: 'flow',
  why: 'Down and up again costs a minute each time, with everybody stepping over the well.',
  usually: 'should',
  order: [
    {
      cost: 'moves',
      comesFirst: (first, second) =>
        standsOnIt(second) &&
        first.exercise.machine === 'reformer' &&
        !standsOnIt(first) &&
        works(first)
          ? `${second.exercise.name} stands, and nobody goes down again for ${first.exercise.name}`
          : undefined,
    },
  ],
  find(context) {
    if (context.plan.machine !== 'reformer') return [];
    const stands = context.worked.find(standsOnIt);
    if (!stands) return [];
    const again = context.worked.find((each) => each.at > stands.at && lies(each) && works(each));
    if (!again) return [];
    const problem: Problem = {
      key: again.item.id,
      itemIds: [stands.item.id, again.item.id],
      sentence: `After ${stands.exercise.name}, standing, everybody lies down again for ${again.exercise.name}.`,
      candidates: () => [...moveBeforeEach(context, again, [stands]), leaveOut(again)],
    };
    return [problem];
  },
};
