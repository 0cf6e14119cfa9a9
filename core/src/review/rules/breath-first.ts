import { teachesAwareness } from '../../movement/exercise.ts';
import { showClock } from '../../plan/show-time.ts';
import type { ChoiceTest } from '../draft-rows.ts';
import { addAt, moveAfterEach } from '../repairs.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { placeAt, unusedOf } from '../running-order.ts';

/** The opening share of the class in which nothing is harder than gentle. */
const OPENING_SHARE = 0.08;
const GENTLE = 1;
/** A class of this length begins with two quiet things. Common practice. */
const TWO_OPENINGS_FROM_S = 1500;
/** On the machine a class opens with footwork. Common practice. */
const GENTLE_ON_MACHINE = 2;

export const breathFirst: Rule = {
  id: 'breath-first',
  name: 'Breath first',
  statement:
    'The first working item teaches breath or awareness, and nothing above gentle effort comes in the first 8 % of the time.',
  kind: 'order',
  why: 'Breath and awareness let go of the low back and wake the deep support before it is asked to work.',
  usually: 'must',
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
    rows.upTo(isOpening, rows.targetS >= TWO_OPENINGS_FROM_S ? 2 : 1);
  },
  find(context) {
    const [first] = context.worked;
    if (!first) return [];
    const problems: Problem[] = [];
    if (!teachesAwareness(first.exercise)) {
      problems.push({
        key: 'first',
        itemIds: [first.item.id],
        sentence: `${first.exercise.name} comes first, and it teaches neither breath nor resting alignment.`,
        candidates: () => beginWithAwareness(context),
      });
    }
    return [...problems, ...tooSoon(context)];
  },
};

function tooSoon(context: RuleContext): Problem[] {
  const openingS = context.timeline.totalS * OPENING_SHARE;
  const gentle = context.plan.machine === 'mat' ? GENTLE : GENTLE_ON_MACHINE;
  return context.worked
    .filter(({ timed }) => timed.startS < openingS && timed.effort > gentle)
    .map((worked) => ({
      key: `soon ${worked.item.id}`,
      itemIds: [worked.item.id],
      sentence: `${worked.exercise.name} starts at ${showClock(worked.timed.startS)}, inside the first ${showClock(openingS)}, with an effort of ${worked.timed.effort} of 5.`,
      candidates: () => easeIn(context, worked),
    }));
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
