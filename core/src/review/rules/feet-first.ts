import type { Exercise } from '../../movement/exercise.ts';
import { addBeforeIt, leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** What a machine class begins with, once everybody lies: the feet on the bar. */
const isFootwork = ({ exercise }: Worked): boolean => isForTheFeet(exercise);

function isForTheFeet({ machine, family, position, bodyParts, options }: Exercise): boolean {
  return (
    machine === 'reformer' &&
    family === 'hips' &&
    position === 'supine' &&
    bodyParts.includes('legs') &&
    !options.some(({ demands }) => demands.includes('jump'))
  );
}

/** What a body that has not pressed with its feet is not ready for on a moving carriage. */
function wantsFeetFirst({ exercise, timed, option }: Worked): boolean {
  if (exercise.machine !== 'reformer' || exercise.family === 'release') return false;
  return timed.position === 'standing' || option.demands.includes('jump') || timed.effort >= HARD;
}

const HARD = 3;

export const feetFirst: Rule = {
  id: 'feet-first',
  name: 'Feet first',
  statement:
    'On the machine the feet come first: no jump, no standing and nothing hard before footwork.',
  kind: 'order',
  why: 'Pressing with the feet on heavy springs wakes the whole body lying, and shows how the carriage moves.',
  usually: 'must',
  speaksFrom: 'class',
  order: [
    {
      cost: 'sequence',
      marks: {
        leaves: (worked) => (isFootwork(worked) ? ['feet'] : []),
        wants: (worked, { plan, worked: all }) =>
          plan.machine === 'reformer' && wantsFeetFirst(worked) && all.some(isFootwork)
            ? ['feet']
            : [],
      },
    },
  ],
  find(context) {
    if (context.plan.machine !== 'reformer') return [];
    const early = context.worked.find(wantsFeetFirst);
    if (!early || context.worked.some((each) => each.at < early.at && isFootwork(each))) return [];
    return [tooEarly(context, early)];
  },
};

function tooEarly(context: RuleContext, early: Worked): Problem {
  const footwork = context.worked.find(isFootwork);
  return {
    key: early.item.id,
    itemIds: [early.item.id],
    sentence: `${early.exercise.name} comes before any footwork.`,
    candidates: () => [
      ...(footwork
        ? [
            ...moveBeforeEach(context, footwork, [early]),
            ...moveAfterEach(context, early, [footwork]),
          ]
        : []),
      ...addBeforeIt(context, early, unusedOf(context).filter(isForTheFeet).slice(0, 2)),
      leaveOut(early),
    ],
  };
}
