import type { SpineMove } from '../movement/vocabulary.ts';
import type { Choosable } from './draft-rows.ts';

/** The moves of the spine that go somewhere. */
export const MOVES = ['round', 'arch', 'turn', 'side'] as const;

/** Seconds that a choice goes one way; several moves share its time. */
export function movedS({ moves, workS }: Choosable, move: SpineMove): number {
  const going: readonly SpineMove[] = moves.filter((each) => each !== 'still');
  return going.includes(move) ? workS / going.length : 0;
}

/** Seconds that a choice goes anywhere. */
export function directedS(choice: Choosable): number {
  return MOVES.reduce((sum, move) => sum + movedS(choice, move), 0);
}
