import { DIRECTIONS, type Direction } from '../movement/directions.ts';
import type { TimedItem, TimedPart, Timeline } from '../plan/timing/timeline.ts';

export const DIRECTION_WORDS = {
  round: 'rounding',
  arch: 'arching',
  'turn-left': 'turning left',
  'turn-right': 'turning right',
  'side-left': 'side-bending left',
  'side-right': 'side-bending right',
} as const satisfies Record<Direction, string>;

export interface DirectionCoverage {
  seconds: Record<Direction, number>;
  /** Seconds of work in which the spine moves in any direction. */
  directedS: number;
}

/** Seconds of work by direction of the spine; an exercise of several moves shares its time evenly. */
export function coverDirections(timeline: Timeline): DirectionCoverage {
  const seconds = Object.fromEntries(DIRECTIONS.map((direction) => [direction, 0])) as Record<
    Direction,
    number
  >;
  for (const item of timeline.items) {
    for (const part of item.parts) {
      if (part.kind === 'work') addPart(seconds, item, part);
    }
  }
  const directedS = DIRECTIONS.reduce((sum, direction) => sum + seconds[direction], 0);
  return { seconds, directedS };
}

function addPart(seconds: Record<Direction, number>, item: TimedItem, part: TimedPart): void {
  const moves = item.moves.filter((move) => move !== 'still');
  for (const move of moves) {
    const share = part.durationS / moves.length;
    if (move === 'round' || move === 'arch') {
      seconds[move] += share;
    } else if (part.side === 'left' || part.side === 'right') {
      seconds[`${move}-${part.side}`] += share;
    } else {
      seconds[`${move}-left`] += share / 2;
      seconds[`${move}-right`] += share / 2;
    }
  }
}
