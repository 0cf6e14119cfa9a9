import { teachesAwareness } from '../../movement/exercise.ts';
import { showClock } from '../../plan/show-time.ts';
import type { ChoiceTest } from '../draft-rows.ts';
import { addAt, moveAfterEach } from '../repairs.ts';
import type { Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { placeAt, unusedOf } from '../running-order.ts';

/** Work above this asks for a soft start, of a minute or half of it on the machine, which begins with the feet. Common practice. */
const SOFT = { mat: { effort: 1.5, leastS: 60 }, reformer: { effort: 2.5, leastS: 30 } } as const;
const GENTLE = 1;
/** A class of this length begins with two quiet things. Common practice. */
const TWO_OPENINGS_FROM_S = 1500;

export const breathFirst: Rule = {
  id: 'breath-first',
  name: 'Breath first',
  statement:
    'A minute of something soft (breath, a tilt, a roll down) comes before the first work.',
  kind: 'order',
  why: 'Breath and awareness let go of the low back and wake the deep support before it is asked to work.',
  usually: 'must',
  speaksFrom: 'class',
  order: [
    {
      cost: 'sequence',
      marks: {
        leaves: () => ['begun'],
        wants: ({ exercise }) => (teachesAwareness(exercise) ? [] : ['begun']),
      },
    },
  ],
  draft(rows) {
    const isOpening: ChoiceTest = ({ exercise, effort }) =>
      exercise.family === 'awareness' && teachesAwareness(exercise) && effort <= GENTLE;
    // The machine is entered by its footwork: once is enough to arrive on it.
    const isMachine = rows.pool.some(({ exercise }) => exercise.machine === 'reformer');
    rows.upTo(isOpening, rows.targetS >= TWO_OPENINGS_FROM_S && !isMachine ? 2 : 1);
  },
  find(context) {
    const { effort, leastS } = SOFT[context.plan.machine];
    const first = context.worked.find(({ timed }) => timed.effort > effort);
    if (!first || softBefore(context, first) >= leastS) return [];
    return [
      {
        key: 'first',
        itemIds: [first.item.id],
        sentence: `${first.exercise.name}, ${first.timed.effort} of 5, is the first work, at ${showClock(first.timed.startS)}, and less than ${showClock(leastS)} of anything soft comes before it.`,
        candidates: () => [...beginWithAwareness(context), ...easeIn(context, first)],
      },
    ];
  },
};

/** Seconds of exercises before it, which are all soft; talk opens no body. */
function softBefore({ worked }: RuleContext, first: Worked): number {
  return worked.reduce((sum, { at, timed }) => (at < first.at ? sum + timed.durationS : sum), 0);
}

function beginWithAwareness(context: RuleContext): Repair[] {
  const start = placeAt(context.plan, 0);
  if (!start) return [];
  const inClass = context.worked
    .filter(({ exercise }) => teachesAwareness(exercise))
    .map(({ item, exercise }): Repair => ({
      label: `Begin with ${exercise.name}`,
      edit: { type: 'moveItem', itemId: item.id, ...start },
    }));
  return [...inClass, ...addAwareness(context)];
}

/** Later in the class, or after something gentle that fills the opening. */
function easeIn(context: RuleContext, worked: Worked): Repair[] {
  const later = context.worked.filter(({ at }) => at > worked.at).slice(0, 4);
  return [...moveAfterEach(context, worked, later), ...addAwareness(context)];
}

function addAwareness(context: RuleContext): Repair[] {
  return unusedOf(context)
    .filter(teachesAwareness)
    .flatMap((exercise) => {
      const edit = addAt(context.plan, 0, exercise);
      return edit ? [{ label: `Add ${exercise.name} at the start`, edit }] : [];
    });
}
