import { effortOfExercise } from '../../body/load/option-load.ts';
import { measuresOf } from '../../body/measures/measures-of.ts';
import { movesOf, type Exercise } from '../../movement/exercise.ts';
import type { SpineMove } from '../../movement/vocabulary.ts';
import { addBeforeIt, leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { Rule, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';

/** Rounding with less load than this wakes the spine; it is not what the belly is warmed for. */
const LOADED = 1;

/** A still spine with the deep support at work. */
function warmsBelly(exercise: Exercise, moves: readonly SpineMove[]): boolean {
  return (
    moves.every((move) => move === 'still') &&
    exercise.family !== 'release' &&
    exercise.teaches.some(({ foundation }) => foundation === 'support' || foundation === 'levers')
  );
}

function bendsLoaded(moves: readonly SpineMove[], spineLoad: number): boolean {
  return moves.includes('round') && spineLoad >= LOADED;
}

/** The share of the class in which the belly is not yet warm by itself. Common practice. */
const EARLY = 0.2;

/** A curl from lying or a roll back from sitting; a tilt, a bridge or a cat only wakes the spine. */
function curls({ exercise, option, timed }: Worked): boolean {
  if (!bendsLoaded(timed.moves, timed.spineLoad) || exercise.family === 'awareness') return false;
  if (timed.position === 'seated') return true;
  return timed.position === 'supine' && (measuresOf(option).whole.chestLifted?.peak ?? 0) >= 1;
}

export const stillBeforeBend: Rule = {
  id: 'still-before-bend',
  name: 'Still before bending',
  statement:
    'The belly is warmed in a still spine before a curl or a roll back early in the class.',
  kind: 'order',
  why: 'A belly that has learned to draw in with a still spine hollows in the curl; one that has not domes.',
  usually: 'must',
  order: [
    {
      cost: 'sequence',
      marks: {
        leaves: ({ exercise, timed }) => (warmsBelly(exercise, timed.moves) ? ['warm'] : []),
        wants: ({ timed }) => (bendsLoaded(timed.moves, timed.spineLoad) ? ['warm'] : []),
      },
    },
  ],
  draft(rows, standing) {
    if (standing !== 'must') return;
    for (const choice of rows.pool) {
      if (!bendsLoaded(choice.moves, choice.spineLoad)) continue;
      rows.wants(choice, ({ exercise, moves }) => warmsBelly(exercise, moves));
    }
  },
  find(context) {
    const earlyS = context.timeline.totalS * EARLY;
    const bend = context.worked.find(curls);
    if (!bend || bend.timed.startS > earlyS) return [];
    const isWarm = context.worked.some(
      ({ at, exercise, timed }) => at < bend.at && warmsBelly(exercise, timed.moves),
    );
    if (isWarm) return [];
    return [
      {
        key: 'first',
        itemIds: [bend.item.id],
        sentence: `${bend.exercise.name} curls up early, and no exercise before it warms the belly in a still spine.`,
        candidates: () => {
          const later = context.worked.filter(
            ({ at, exercise, timed }) => at > bend.at && warmsBelly(exercise, timed.moves),
          );
          const gentle = unusedOf(context)
            .filter((exercise) => warmsBelly(exercise, movesOf(exercise)))
            .sort(
              (a, b) =>
                Number(b.position === bend.timed.position) -
                  Number(a.position === bend.timed.position) ||
                effortOfExercise(a) - effortOfExercise(b),
            );
          return [
            ...later.slice(0, 3).flatMap((warming) => moveBeforeEach(context, warming, [bend])),
            ...moveAfterEach(context, bend, later.slice(0, 2)),
            ...addBeforeIt(context, bend, gentle.slice(0, 4)),
            leaveOut(bend),
          ];
        },
      },
    ];
  },
};
