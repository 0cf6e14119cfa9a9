import { effortOfExercise } from '../../body/demand.ts';
import { type Exercise } from '../../movement/exercise.ts';
import { placeOf } from '../../plan/plan.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import type { Problem, Repair, Rule, RuleContext } from '../rule.ts';
import { addAt, workingItems, candidatesOf } from '../running-order.ts';

const LOAD_WORDS = [
  'lying',
  'all fours, low bridge or chest lift',
  'tall sitting or standing',
  'rolling through sitting',
  'bent far forward or rolled on the back',
] as const;

export const unloadedBeforeLoaded: Rule = {
  id: 'unloaded-before-loaded',
  statement: 'The load on the spine rises by at most one class above the highest already met.',
  kind: 'order',
  why: 'A spine that has carried a little is ready to carry more; a jump meets it unprepared.',
  find(context) {
    const problems: Problem[] = [];
    let highest = 0;
    for (const item of workingItems(context.timeline)) {
      if (item.spineLoad > highest + 1) problems.push(jump(context, item, highest));
      highest = Math.max(highest, item.spineLoad);
    }
    return problems;
  },
};

function jump(context: RuleContext, item: TimedItem, highest: number): Problem {
  return {
    key: item.itemId,
    itemIds: [item.itemId],
    sentence: `${item.name} loads the spine at ${item.spineLoad} of 4 (${LOAD_WORDS[item.spineLoad]}); until then the highest is ${highest} (${LOAD_WORDS[highest]}).`,
    candidates: () => [
      ...moveLater(context, item),
      ...bridge(context, item, highest),
      ...climb(context, item, highest),
      { label: 'Leave it out', edit: { type: 'removeItem', itemId: item.itemId } },
    ],
  };
}

/** After the first item that brings the spine within one class of it. */
function moveLater(context: RuleContext, item: TimedItem): Repair[] {
  const now = placeOf(context.plan, item.itemId);
  const order = workingItems(context.timeline);
  const from = order.findIndex((other) => other.itemId === item.itemId);
  return order
    .slice(from + 1)
    .filter((other) => other.spineLoad >= item.spineLoad - 1)
    .flatMap((other): Repair[] => {
      const after = placeOf(context.plan, other.itemId);
      if (!after || !now) return [];
      const index = after.segmentId === now.segmentId ? after.index : after.index + 1;
      return [
        {
          label: `Move it after ${other.name}`,
          edit: { type: 'moveItem', itemId: item.itemId, segmentId: after.segmentId, index },
        },
      ];
    });
}

/** An exercise of the class between, gentlest first, in the same position where there is one. */
function bridge(context: RuleContext, item: TimedItem, highest: number): Repair[] {
  const used = new Set(context.timeline.items.map((other) => other.exercise));
  const at = context.timeline.items.findIndex((other) => other.itemId === item.itemId);
  return candidatesOf(context)
    .filter((exercise) => exercise.spineLoad === highest + 1 && !used.has(exercise.slug))
    .sort(
      (a, b) =>
        Number(b.position === item.position) - Number(a.position === item.position) ||
        effortOfExercise(a) - effortOfExercise(b),
    )
    .slice(0, 6)
    .flatMap((exercise) => {
      const edit = addAt(context.plan, at, exercise);
      return edit ? [{ label: `Add ${exercise.name} before it`, edit }] : [];
    });
}

/** One gentle exercise of every class between, in rising order, for a jump of more than one. */
function climb(context: RuleContext, item: TimedItem, highest: number): Repair[] {
  const at = context.timeline.items.findIndex((other) => other.itemId === item.itemId);
  const steps: Exercise[] = [];
  for (let load = highest + 1; load < item.spineLoad; load += 1) {
    const [gentlest] = candidatesOf(context)
      .filter((exercise) => exercise.spineLoad === load)
      .sort((a, b) => effortOfExercise(a) - effortOfExercise(b));
    if (gentlest) steps.push(gentlest);
  }
  const edits = steps.flatMap((exercise, index) => {
    const edit = addAt(context.plan, at + index, exercise);
    return edit && edit.type !== 'together' ? [edit] : [];
  });
  if (edits.length < 2) return [];
  const names = steps.map(({ name }) => name).join(', then ');
  return [{ label: `Add ${names} before it`, edit: { type: 'together', edits } }];
}
