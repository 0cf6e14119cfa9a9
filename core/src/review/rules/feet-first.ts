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
    // In the loops the legs hang; they press against nothing.
    options.every(
      ({ demands, settings }) =>
        !demands.includes('jump') && (settings?.loops ?? 'none') === 'none',
    )
  );
}

/** All work on the machine stands behind the feet, where there is footwork. */
function standsBehindFeet(worked: Worked): boolean {
  const { exercise, timed } = worked;
  return isMachineWork(worked) && timed.effort >= WORK && !isForTheFeet(exercise);
}

/** What a body that has not pressed with its feet is not ready for on a moving carriage. */
function wantsFeetFirst(worked: Worked): boolean {
  const { timed, option } = worked;
  if (!isMachineWork(worked)) return false;
  return timed.position === 'standing' || option.demands.includes('jump') || timed.effort >= HARD;
}

const isMachineWork = ({ exercise: { machine, family } }: Worked) =>
  machine === 'reformer' && family !== 'release' && family !== 'awareness';

const WORK = 1;

const HARD = 3;

export const feetFirst: Rule = {
  id: 'feet-first',
  name: 'Feet first',
  statement:
    'On the machine footwork comes before all other work; no jump, no standing and nothing hard goes without it.',
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
          plan.machine === 'reformer' && standsBehindFeet(worked) && all.some(isFootwork)
            ? ['feet']
            : [],
      },
    },
  ],
  find(context) {
    if (context.plan.machine !== 'reformer') return [];
    const hasFootwork = context.worked.some(isFootwork);
    const early = context.worked.find(hasFootwork ? standsBehindFeet : wantsFeetFirst);
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
