import { effortOfExercise } from '../../body/load/option-load.ts';
import { DIRECTIONS, type Direction } from '../../movement/directions.ts';
import { movesOf, type Exercise } from '../../movement/exercise.ts';
import { capital, DIRECTION_WORDS, listWords } from '../../movement/words.ts';
import { showClock } from '../../plan/show-time.ts';
import { coverDirections } from '../coverage.ts';
import { addWhereItFits, bestPlace } from '../light-additions.ts';
import { directedS, movedS, MOVES } from '../moved-seconds.ts';
import { addAt, leaveAllOut, leaveOut, together } from '../repairs.ts';
import type { Choosable } from '../draft-rows.ts';
import type { Problem, Repair, Rule, RuleContext } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** No direction may take more than this share of the directed time. */
const MOST = 0.75;
/** A shorter class has no time for all of them. Common practice. */
const FROM_S = 1200;

/** In a draft every way of the spine takes at least this, and a little less than the most; on the machine more is rounded. */
const LEAST_WAY_S = 25;
const DRAFT_MARGIN = 0.04;
const ON_MACHINE_MOST = 0.6;

export const sixDirections: Rule = {
  id: 'six-directions',
  name: 'All six directions',
  statement:
    'From 20 minutes on the spine goes in all six directions over the class, and none takes over three quarters of that time.',
  kind: 'coverage',
  why: 'A spine keeps the directions it is taken in; the one that is forgotten is forgotten every week.',
  usually: 'must',
  speaksFrom: 'class',
  draft(rows) {
    if (rows.school.defaults.dose.kind === 'timed') return;
    const { directionMost } = rows.school.targets;
    for (const move of MOVES) {
      rows.total((choice) => movedS(choice, move), { least: LEAST_WAY_S });
      const mostOf = ({ exercise }: Choosable) =>
        exercise.machine === 'reformer'
          ? Math.max(directionMost, ON_MACHINE_MOST)
          : directionMost - DRAFT_MARGIN;
      // Sides come in pairs, so turns count twice.
      rows.total((choice) => movedS(choice, move) - mostOf(choice) * directedS(choice), {
        most: 0,
      });
    }
  },
  find(context) {
    // By the clock, trunk, hips, hands and legs come in turn; directions are nobody's aim.
    const isTimed = context.school.defaults.dose.kind === 'timed';
    if (context.plan.targetS < FROM_S || isTimed) return [];
    const { seconds, directedS } = coverDirections(context.timeline);
    const missing = DIRECTIONS.filter((direction) => seconds[direction] < 1);
    const lacking = absent(context, missing);
    return lacking.length > 0 ? lacking : tooMuch(context, seconds, directedS);
  },
};

/** All that is missing is one thing to settle. */
function absent(context: RuleContext, missing: Direction[]): Problem[] {
  if (missing.length === 0) return [];
  const words = missing.map((direction) => DIRECTION_WORDS[direction]);
  const moves = [...new Set(missing.map((direction) => direction.split('-')[0]))];
  return [
    {
      key: 'missing',
      itemIds: [],
      sentence: `${capital(listWords(words))} ${missing.length > 1 ? 'are' : 'is'} missing; ${6 - missing.length} of six directions are met.`,
      candidates: () =>
        moves.length > 1 ? addAsFewAsCover(context, moves) : addDirection(context, missing),
    },
  ];
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
  return addEach(
    context,
    MOVES.filter((move) => move !== most.split('-')[0]),
  );
}

/** One exercise for all that is missing where there is one; else as few as it takes, the lightest first. */
function addAsFewAsCover(context: RuleContext, moves: readonly (string | undefined)[]): Repair[] {
  const unused = unusedOf(context);
  const gain = (exercise: Exercise, left: ReadonlySet<string | undefined>) =>
    movesOf(exercise).filter((move) => left.has(move)).length;
  const all = unused.filter((exercise) => gain(exercise, new Set(moves)) === moves.length);
  const chosen: Exercise[] = [];
  const left = new Set(moves);
  while (left.size > 0) {
    const [best] = unused
      .filter((exercise) => !chosen.includes(exercise) && gain(exercise, left) > 0)
      .sort((a, b) => gain(b, left) - gain(a, left) || effortOfExercise(a) - effortOfExercise(b));
    if (!best) break;
    chosen.push(best);
    for (const move of movesOf(best)) left.delete(move);
  }
  const edit = together(
    chosen.map((exercise) => addAt(context.plan, bestPlace(context, exercise), exercise)),
  );
  const several = edit ? [{ label: `Add ${listWords(chosen.map(({ name }) => name))}`, edit }] : [];
  return [...addWhereItFits(context, all), ...several];
}

/** One light exercise of each move, together. */
function addEach(context: RuleContext, moves: readonly (string | undefined)[]): Repair[] {
  const unused = unusedOf(context);
  const chosen = moves.flatMap((move) => {
    const [lightest] = unused
      .filter(({ moves: own }) => own.every((each) => each === move))
      .sort((a, b) => effortOfExercise(a) - effortOfExercise(b));
    return lightest ? [lightest] : [];
  });
  if (chosen.length < 2) return [];
  const edit = together(
    chosen.map((exercise) => addAt(context.plan, bestPlace(context, exercise), exercise)),
  );
  return edit ? [{ label: `Add ${listWords(chosen.map(({ name }) => name))}`, edit }] : [];
}
