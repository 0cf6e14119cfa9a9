import type { Exercise } from '../movement/exercise.ts';
import { listWords, BODY_PART_WORDS, POSITION_WORDS } from '../movement/words.ts';
import { groupOf } from '../review/group.ts';
import { reviewOrder } from '../review/review.ts';
import { newItem } from '../review/running-order.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import { placeOf, type ExerciseItem, type Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { poolOf, type Choice, type DraftContext } from './pool.ts';
import { wishList } from './wish-list.ts';
import type { DraftWishes } from './wishes.ts';

export interface NextBest {
  exercise: Exercise;
  edit: Edit;
  plan: Plan;
  why: string;
}

/** How many are looked at closely; the rest are too far from it. */
const TRIED = 12;

/**
 * What could stand in an item's place, best first: allowed by every wish and for everybody, in the same
 * position, about as long, for the same parts of the body, and leaving least to settle.
 */
export function nextBest(
  plan: Plan,
  itemId: string,
  wishes: DraftWishes,
  context: DraftContext,
  most: number,
): NextBest[] {
  const place = placeOf(plan, itemId);
  const item = plan.segments.flatMap(({ items }) => items).find(({ id }) => id === itemId);
  if (!place || item?.kind !== 'exercise') return [];
  const { catalogue, timing } = context;
  const old = catalogue.require(item.exercise);
  const used = new Set(
    plan.segments.flatMap(({ items }) =>
      items.flatMap((each) => (each.kind === 'exercise' ? [each.exercise] : [])),
    ),
  );
  const pool = poolOf(wishes, context);
  const list = wishList(wishes, pool, catalogue);
  const was = pool.find(({ exercise }) => exercise.slug === old.slug);
  const retime = (of: Plan) => timePlan(of, catalogue, timing);
  const group = groupOf(context.attendees, context.day);
  return pool
    .filter(({ exercise }) => !used.has(exercise.slug) && soft(exercise) === soft(old))
    .filter((choice) => !list.some(({ forbids }) => forbids(choice)))
    .sort((a, b) => distance(a, old, was) - distance(b, old, was))
    .slice(0, TRIED)
    .flatMap((choice) => {
      const edit: Edit = {
        type: 'together',
        edits: [
          { type: 'removeItem', itemId },
          { type: 'addItem', ...place, item: inPlaceOf(item, itemOf(plan, choice)) },
        ],
      };
      const result = applyEdit(plan, edit);
      if (!result.ok) return [];
      const after = { ...context, plan: result.plan, timeline: retime(result.plan), retime, group };
      const left = reviewOrder(after).length;
      return [{ choice, edit, plan: result.plan, rank: left * 3 + distance(choice, old, was) }];
    })
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ choice, edit, plan: next }) => ({
      exercise: choice.exercise,
      edit,
      plan: next,
      why: whyLike(choice.exercise, old),
    }));
}

function soft({ family }: Exercise): boolean {
  return family === 'release';
}

function itemOf(plan: Plan, { exercise, options, variants }: Choice): ExerciseItem {
  return {
    ...newItem(plan, exercise),
    ...(options ? { options } : {}),
    ...(variants ? { variants } : {}),
  };
}

/** What stands in for something in a series or in rounds is done there as well. */
function inPlaceOf({ bracket, onlySide }: ExerciseItem, item: ExerciseItem): ExerciseItem {
  return { ...item, ...(bracket ? { bracket } : {}), ...(onlySide ? { onlySide } : {}) };
}

function shared({ bodyParts }: Exercise, other: Exercise): Exercise['bodyParts'] {
  return bodyParts.filter((part) => other.bodyParts.includes(part));
}

/** How far one is from standing in for the other. */
function distance(choice: Choice, old: Exercise, was: Choice | undefined): number {
  const { exercise } = choice;
  const moves = exercise.moves.filter((move) => old.moves.includes(move)).length;
  return (
    (exercise.position === old.position ? 0 : 4) +
    (moves > 0 ? 0 : 3) +
    (shared(exercise, old).length > 0 ? 0 : 3) +
    (old.swaps.includes(exercise.slug) ? -2 : 0) +
    Math.abs(choice.usualS - (was?.usualS ?? choice.usualS)) / 30 +
    Math.abs(choice.effort - (was?.effort ?? choice.effort)) +
    choice.swaps * 0.5 +
    choice.tooEarly * 3
  );
}

function whyLike(exercise: Exercise, old: Exercise): string {
  const parts = shared(exercise, old).map((part) => BODY_PART_WORDS[part]);
  const where =
    exercise.position === old.position ? 'the same position' : POSITION_WORDS[exercise.position];
  return parts.length > 0 ? `${where}, also for ${listWords(parts)}` : where;
}
