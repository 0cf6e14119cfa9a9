import { effortOfExercise } from '../../body/load/option-load.ts';
import { DIRECTIONS, type Direction } from '../../movement/directions.ts';
import { capital, DIRECTION_WORDS, listWords } from '../../movement/words.ts';
import { showClock } from '../../plan/show-time.ts';
import { coverDirections } from '../coverage.ts';
import { addWhereItFits, bestPlace } from '../light-additions.ts';
import { directedS, movedS, MOVES } from '../moved-seconds.ts';
import { addAt, leaveAllOut, leaveOut, together } from '../repairs.ts';
import type { Problem, Repair, Rule, RuleContext } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** No direction may take more than this share of the directed time. */
const MOST = 0.5;

/** In a draft every way of the spine takes at least this, and a little less than the most. */
const LEAST_WAY_S = 25;
const DRAFT_MARGIN = 0.04;

export const sixDirections: Rule = {
  id: 'six-directions',
  name: 'All six directions',
  statement:
    'The spine goes in all six directions over the class, and none takes over half of that time.',
  kind: 'coverage',
  why: 'A spine keeps the directions it is taken in; the one that is forgotten is forgotten every week.',
  usually: 'must',
  draft(rows) {
    const { directionMost } = rows.school.targets;
    for (const move of MOVES) {
      rows.total((choice) => movedS(choice, move), { least: LEAST_WAY_S });
      // Sides come in pairs, so turns count twice.
      rows.total(
        (choice) => movedS(choice, move) - (directionMost - DRAFT_MARGIN) * directedS(choice),
        { most: 0 },
      );
    }
  },
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
  const turningThatWay = context.worked.filter(({ timed }) =>
    timed.moves.some((move) => move === most.split('-')[0]),
  );
  const share = Math.round((100 * seconds[most]) / directedS);
  return [
    {
      key: `too much ${most}`,
      itemIds: turningThatWay.map(({ item }) => item.id),
      sentence: `${capital(DIRECTION_WORDS[most])} takes ${share} % of the directed time (${showClock(seconds[most])}); ${DIRECTION_WORDS[least]} has least (${showClock(seconds[least])}).`,
      candidates: () => [
        ...addDirection(context, [least]),
        ...addOneOfEach(context, most),
        ...turningThatWay.map(leaveOut),
        ...leaveAllOut(turningThatWay),
      ],
    },
  ];
}

/** A light exercise in that direction, where the class is already in its position. */
function addDirection(context: RuleContext, wanted: Direction[]): Repair[] {
  const move = wanted[0]?.split('-')[0];
  const turning = unusedOf(context).filter(({ moves }) => moves.some((each) => each === move));
  return addWhereItFits(context, turning);
}

/** One light exercise of every other move, together: for a class that knows one direction only. */
function addOneOfEach(context: RuleContext, most: Direction): Repair[] {
  const others = MOVES.filter((move) => move !== most.split('-')[0]);
  const unused = unusedOf(context);
  const chosen = others.flatMap((move) => {
    const [lightest] = unused
      .filter(({ moves }) => moves.every((each) => each === move))
      .sort((a, b) => effortOfExercise(a) - effortOfExercise(b));
    return lightest ? [lightest] : [];
  });
  if (chosen.length < 2) return [];
  const edit = together(
    chosen.map((exercise) => addAt(context.plan, bestPlace(context, exercise), exercise)),
  );
  return edit ? [{ label: `Add ${listWords(chosen.map(({ name }) => name))}`, edit }] : [];
}
