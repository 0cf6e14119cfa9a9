import { describeDose, shareOfDose } from '../../movement/dose.ts';
import { showClock } from '../../plan/show-time.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import { leaveOut } from '../repairs.ts';
import { longestRestS } from '../soft-close.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** The most that a way up takes, and a quiet look at oneself. Common practice. */
const WAY_UP_S = 60;
const SCAN_S = 120;

function mostOf({ exercise, dose }: Worked, context: RuleContext): number {
  if (exercise.closing === 'rest') return longestRestS(context);
  if (exercise.closing === 'way-up') return WAY_UP_S;
  return exercise.family === 'awareness' && dose.kind === 'free' ? SCAN_S : Infinity;
}

/** Not the other side, nor a round of it. */
const isPlain = ({ item, dose }: Worked) => item.bracket === undefined && dose.sides === 'none';

export const padding: Rule = {
  id: 'padding',
  name: 'No padding',
  statement:
    'The final rest takes a tenth of the class at most, the way up a minute, a quiet look at oneself two.',
  kind: 'shape',
  why: 'A class is brought to its length by a round or an exercise more, not by waiting.',
  usually: 'should',
  speaksFrom: 'class',
  order: [
    {
      cost: 'sequence',
      // Resting twice in a row is waiting.
      neighbours: (from, to, _context, priceS) =>
        from.exercise.slug === to.exercise.slug && from.exercise.family === 'release' && isPlain(to)
          ? priceS
          : 0,
    },
  ],
  find: (context) =>
    context.worked.flatMap((worked): Problem[] => {
      const mostS = mostOf(worked, context);
      const { item, exercise, timed, dose } = worked;
      const workS = secondsOf(timed, 'work');
      if (workS <= mostS || dose.kind === 'timed') return [];
      const shorter = shareOfDose(dose, mostS / workS);
      return [
        {
          key: item.id,
          itemIds: [item.id],
          sentence: `${exercise.name} takes ${showClock(workS)}; ${showClock(mostS)} is the most that is not waiting.`,
          candidates: () => [
            {
              label: `${exercise.name}, ${describeDose(shorter)}`,
              edit: { type: 'setDose', itemId: item.id, dose: shorter },
            },
            leaveOut(worked),
          ],
        },
      ];
    }),
};
