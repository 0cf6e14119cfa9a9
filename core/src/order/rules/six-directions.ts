import { effortOfExercise } from '../../body/demand.ts';
import { type Exercise } from '../../movement/exercise.ts';
import { DIRECTIONS, type Direction } from '../../movement/directions.ts';
import { showClock } from '../../plan/show-time.ts';
import { coverDirections, DIRECTION_WORDS } from '../coverage.ts';
import type { Problem, Repair, Rule, RuleContext } from '../rule.ts';
import { addAt, workingItems, candidatesOf } from '../running-order.ts';

/** No direction may take more than this share of the directed time. */
const MOST = 0.5;

export const sixDirections: Rule = {
  id: 'six-directions',
  statement:
    'The spine goes in all six directions over the class, and none takes over half of that time.',
  kind: 'coverage',
  why: 'A spine keeps the directions it is taken in; the one that is forgotten is forgotten every week.',
  find(context) {
    const { seconds, directedS } = coverDirections(context.timeline);
    const missing = DIRECTIONS.filter((direction) => seconds[direction] < 1);
    return [...absent(context, missing), ...tooMuch(context, seconds, directedS)];
  },
};

/** Left and right of one move are told together when both are missing. */
function absent(context: RuleContext, missing: Direction[]): Problem[] {
  const groups: Direction[][] = [];
  for (const direction of missing) {
    const pair = groups.find((group) => group[0]?.split('-')[0] === direction.split('-')[0]);
    if (pair) pair.push(direction);
    else groups.push([direction]);
  }
  return groups.map((group) => ({
    key: `missing ${group.join(' ')}`,
    itemIds: [],
    sentence: `${capital(group.map((direction) => DIRECTION_WORDS[direction]).join(' and '))} ${group.length > 1 ? 'are' : 'is'} missing; ${6 - missing.length} of six directions are met.`,
    candidates: () => addDirection(context, group),
  }));
}

function tooMuch(
  context: RuleContext,
  seconds: Record<Direction, number>,
  directedS: number,
): Problem[] {
  const most = DIRECTIONS.find((direction) => seconds[direction] > directedS * MOST);
  if (!most) return [];
  const least = DIRECTIONS.reduce((a, b) => (seconds[b] < seconds[a] ? b : a));
  const share = Math.round((100 * seconds[most]) / directedS);
  return [
    {
      key: `too much ${most}`,
      itemIds: workingItems(context.timeline)
        .filter((item) => item.moves.some((move) => move === most.split('-')[0]))
        .map((item) => item.itemId),
      sentence: `${capital(DIRECTION_WORDS[most])} takes ${share} % of the directed time (${showClock(seconds[most])}); ${DIRECTION_WORDS[least]} has least (${showClock(seconds[least])}).`,
      candidates: () => [...addDirection(context, [least]), ...addOneOfEach(context, most)],
    },
  ];
}

/** A light exercise in that direction, where the class is already in its position. */
function addDirection(context: RuleContext, wanted: Direction[]): Repair[] {
  const move = wanted[0]?.split('-')[0];
  const used = new Set(context.timeline.items.map((item) => item.exercise));
  return candidatesOf(context)
    .filter((exercise) => exercise.moves.some((each) => each === move) && !used.has(exercise.slug))
    .map((exercise) => ({ exercise, at: bestPlace(context, exercise) }))
    .sort((a, b) => rank(context, a) - rank(context, b))
    .slice(0, 8)
    .flatMap(({ exercise, at }) => {
      const edit = addAt(context.plan, at, exercise);
      return edit ? [{ label: `Add ${exercise.name}`, edit }] : [];
    });
}

/** One light exercise of every other move, together: for a class that knows one direction only. */
function addOneOfEach(context: RuleContext, most: Direction): Repair[] {
  const others = (['round', 'arch', 'turn', 'side'] as const).filter(
    (move) => move !== most.split('-')[0],
  );
  const used = new Set(context.timeline.items.map((item) => item.exercise));
  const chosen = others.flatMap((move) => {
    const [lightest] = candidatesOf(context)
      .filter(({ slug, moves }) => moves.every((each) => each === move) && !used.has(slug))
      .sort((a, b) => effortOfExercise(a) - effortOfExercise(b));
    return lightest ? [lightest] : [];
  });
  const edits = chosen.flatMap((exercise) => {
    const edit = addAt(context.plan, bestPlace(context, exercise), exercise);
    return edit && edit.type !== 'together' ? [edit] : [];
  });
  if (edits.length < 2) return [];
  const names = chosen.map(({ name }) => name);
  return [
    {
      label: `Add ${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`,
      edit: { type: 'together', edits },
    },
  ];
}

interface Placed {
  exercise: Exercise;
  at: number;
}

/** After the last item in its position that has prepared its load, before the closing segment. */
function bestPlace(context: RuleContext, exercise: Exercise): number {
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

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
