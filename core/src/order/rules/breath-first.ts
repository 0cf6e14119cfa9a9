import { teachesAwareness } from '../../movement/exercise.ts';
import { placeOf } from '../../plan/plan.ts';
import { showClock } from '../../plan/show-time.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import type { Problem, Repair, Rule, RuleContext } from '../rule.ts';
import { addAt, exerciseOf, placeAt, workingItems, candidatesOf } from '../running-order.ts';

/** The opening share of the class in which nothing is harder than gentle. */
const OPENING_SHARE = 0.08;
const GENTLE = 1;

export const breathFirst: Rule = {
  id: 'breath-first',
  statement:
    'The first working item teaches breath or awareness, and nothing above gentle effort comes in the first 8 % of the time.',
  kind: 'order',
  why: 'Breath and awareness let go of the low back and wake the deep support before it is asked to work.',
  find(context) {
    const [first] = workingItems(context.timeline);
    if (!first) return [];
    const problems: Problem[] = [];
    if (!teachesAwareness(exerciseOf(first, context.catalogue))) {
      problems.push({
        key: 'first',
        itemIds: [first.itemId],
        sentence: `${first.name} comes first, and it teaches neither breath nor resting alignment.`,
        candidates: () => beginWithAwareness(context),
      });
    }
    return [...problems, ...tooSoon(context)];
  },
};

function tooSoon(context: RuleContext): Problem[] {
  const openingS = context.timeline.totalS * OPENING_SHARE;
  return workingItems(context.timeline)
    .filter((item) => item.startS < openingS && item.effort > GENTLE)
    .map((item) => ({
      key: `soon ${item.itemId}`,
      itemIds: [item.itemId],
      sentence: `${item.name} starts at ${showClock(item.startS)}, inside the first ${showClock(openingS)}, with an effort of ${item.effort} of 5.`,
      candidates: () => easeIn(context, item),
    }));
}

function beginWithAwareness(context: RuleContext): Repair[] {
  const { plan, catalogue, timeline } = context;
  const start = placeAt(plan, 0);
  if (!start) return [];
  const inClass = workingItems(timeline)
    .filter((item) => teachesAwareness(exerciseOf(item, catalogue)))
    .map((item): Repair => ({
      label: `Begin with ${item.name}`,
      edit: { type: 'moveItem', itemId: item.itemId, ...start },
    }));
  return [...inClass, ...addAwareness(context)];
}

/** Later in the class, or after something gentle that fills the opening. */
function easeIn(context: RuleContext, item: TimedItem): Repair[] {
  const order = context.timeline.items;
  const from = order.findIndex((other) => other.itemId === item.itemId);
  const later = order.slice(from + 1).flatMap((other): Repair[] => {
    const after = placeOf(context.plan, other.itemId);
    const now = placeOf(context.plan, item.itemId);
    if (!after || !now) return [];
    const index = after.segmentId === now.segmentId ? after.index : after.index + 1;
    return [
      {
        label: `Move it after ${other.name}`,
        edit: { type: 'moveItem', itemId: item.itemId, segmentId: after.segmentId, index },
      },
    ];
  });
  return [...later.slice(0, 4), ...addAwareness(context)];
}

function addAwareness(context: RuleContext): Repair[] {
  const used = new Set(context.timeline.items.map((item) => item.exercise));
  return candidatesOf(context)
    .filter((exercise) => teachesAwareness(exercise) && !used.has(exercise.slug))
    .flatMap((exercise) => {
      const edit = addAt(context.plan, 0, exercise);
      return edit ? [{ label: `Add ${exercise.name} at the start`, edit }] : [];
    });
}
