import { DIRECTIONS, type Direction } from '@wrenfern/core/movement/directions';
import type { SpineMove } from '@wrenfern/core/movement/vocabulary';

/** Equal petals for the moves of one exercise, for a small rose. */
export function petalsOf(moves: readonly SpineMove[]): Record<Direction, number> {
  return Object.fromEntries(
    DIRECTIONS.map((direction) => {
      const move = direction.split('-')[0];
      return [direction, moves.some((each) => each === move) ? 60 : 0];
    }),
  ) as Record<Direction, number>;
}
