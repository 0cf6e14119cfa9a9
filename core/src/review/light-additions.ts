import { effortOfExercise } from '../body/load/option-load.ts';
import type { Exercise } from '../movement/exercise.ts';
import { addAt } from './repairs.ts';
import type { Repair, RuleContext } from './rule.ts';

interface Placed {
  exercise: Exercise;
  at: number;
}

const TRIED = 8;

/** Adds one of these exercises where the class is already in its position, the lightest first. */
export function addWhereItFits(context: RuleContext, exercises: readonly Exercise[]): Repair[] {
  return exercises
    .map((exercise) => ({ exercise, at: bestPlace(context, exercise) }))
    .sort((a, b) => rank(context, a) - rank(context, b))
    .slice(0, TRIED)
    .flatMap(({ exercise, at }) => {
      const edit = addAt(context.plan, at, exercise);
      return edit ? [{ label: `Add ${exercise.name}`, edit }] : [];
    });
}

/** After the last item in its position that has prepared its load, before the closing segment. */
export function bestPlace(context: RuleContext, exercise: Exercise): number {
  const items = context.timeline.items;
  const closing = closingStart(context);
  let best = closing;
  let highest = 0;
  for (let index = 0; index < closing; index += 1) {
    const item = items[index];
    if (!item) break;
    highest = Math.max(highest, item.spineLoad);
    if (item.endPosition === exercise.position && exercise.spineLoad <= highest + 1) {
      best = index + 1;
    }
  }
  return best;
}

function closingStart(context: RuleContext): number {
  const last = context.plan.segments.at(-1);
  const count = context.timeline.items.length;
  return context.plan.segments.length > 1 ? count - (last?.items.length ?? 0) : count;
}

/** Prefers a place in the same position, then little effort, then a short exercise. */
function rank(context: RuleContext, { exercise, at }: Placed): number {
  const before = context.timeline.items[at - 1];
  const moves = before?.endPosition === exercise.position ? 0 : 10;
  return moves + effortOfExercise(exercise) + exercise.moves.length;
}
