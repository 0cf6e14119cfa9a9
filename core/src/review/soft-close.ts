import { teaches } from '../movement/exercise.ts';
import type { TimedItem } from '../plan/timing/timeline.ts';
import type { RuleContext } from './rule.ts';

/** What asks hardly anything is soft; what asks a little more, where it turns, bends aside or is breathed. */
const HARDLY = 1;
const SOFT_EFFORT = 1.5;

/** Lets go, breathes, or turns and bends slowly. */
export function isSoft(item: TimedItem, context: RuleContext): boolean {
  if (item.kind === 'pause') return true;
  const exercise = context.catalogue.require(item.exercise ?? '');
  if (teaches(exercise, 'release') || exercise.family === 'awareness') return true;
  const bends = item.moves.some((move) => move === 'turn' || move === 'side');
  return (
    item.effort <= HARDLY || (item.effort <= SOFT_EFFORT && (bends || item.tempo === 'breath'))
  );
}

/** The run of soft items at the very end. */
export function closing(context: RuleContext): TimedItem[] {
  const items = context.timeline.items;
  const lastHard = items.findLastIndex((item) => !isSoft(item, context));
  return items.slice(lastHard + 1);
}

/** More of a class than a tenth spent resting is padding, three minutes aside. Common practice. */
const LONGEST_REST = { share: 0.1, s: 180 } as const;

export const longestRestS = ({ timeline }: RuleContext) =>
  Math.max(LONGEST_REST.s, LONGEST_REST.share * timeline.totalS);
