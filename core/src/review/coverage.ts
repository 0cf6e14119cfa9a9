import { measuresOf } from '../body/measures/measures-of.ts';
import { DIRECTIONS, type Direction } from '../movement/directions.ts';
import {
  BODY_PARTS,
  FOUNDATIONS,
  POSITIONS,
  type BodyPart,
  type Foundation,
  type Position,
} from '../movement/vocabulary.ts';
import {
  BODY_PART_WORDS,
  DIRECTION_WORDS,
  FOUNDATION_WORDS,
  POSITION_WORDS,
} from '../movement/words.ts';
import type { SchoolTargets } from '../plan/school.ts';
import {
  secondsOf,
  type TimedItem,
  type TimedPart,
  type Timeline,
} from '../plan/timing/timeline.ts';
import type { RuleContext, Worked } from './rule.ts';

/** What a longer class touches. Common practice. */
export const WANTED_PARTS: readonly BodyPart[] = [
  'trunk-front',
  'trunk-back',
  'trunk-sides',
  'hip-front',
  'hip-back',
  'hip-outside',
  'hip-inside',
  'shoulders',
];

/** A shorter class can't touch everything. */
export const WHOLE_BODY_FROM_S = 2400;

/** From so much of its weight on the hands a body stands on them; a hand on the bar or beside the seat steadies. Common practice. */
const ON_HANDS = 0.2;

export const onHands = ({ option }: Pick<Worked, 'option'>) =>
  option.demands.includes('weight-on-wrists') ||
  (measuresOf(option).whole.wrist?.peak ?? 0) >= ON_HANDS;

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

/** One thing that a class is made of: how long, and how long it should be. */
export interface CoverageLine {
  group: 'directions' | 'body parts' | 'foundations' | 'positions' | 'spine load' | 'on the hands';
  name: string;
  seconds: number;
  /** Left out where the school sets no target. */
  leastS?: number;
  mostS?: number;
}

const LOAD_NAMES = [
  'lying',
  'all fours, low bridge, chest lift',
  'sitting or standing tall',
  'leaning back, rolling through sitting',
  'bent far forward, rolled on the back',
] as const;
const HEAVY_FROM = 3;

/** The least that a part of the body is worked for it to count as touched. */
const TOUCHED_S = 20;

/**
 * The whole class by direction, body part, foundation, position, load on the spine and weight on the
 * hands, against what the school wants in a class of this length. Seconds of work, sides included;
 * positions count all of an item's time.
 */
export function coverClass(context: RuleContext): CoverageLine[] {
  const { worked, school, plan, timeline } = context;
  const { targets } = school;
  const totalS = timeline.totalS;
  return [
    ...directionLines(timeline, targets),
    ...bodyPartLines(worked, plan.targetS),
    ...foundationLines(worked, targets, totalS),
    ...tally(POSITIONS, (each: Position, { timed }) =>
      timed.position === each ? timed.durationS : 0,
    )(worked).map(([position, seconds]) => ({
      group: 'positions' as const,
      name: POSITION_WORDS[position],
      seconds,
    })),
    ...loadLines(worked, targets, totalS),
    {
      group: 'on the hands',
      name: 'weight on the hands',
      seconds: sumOf(worked.filter(onHands)),
      mostS: Math.round(targets.handsMost * totalS),
    },
  ];
}

function workS({ timed }: Worked): number {
  return secondsOf(timed, 'work');
}

function sumOf(worked: readonly Worked[]): number {
  return worked.reduce((sum, each) => sum + workS(each), 0);
}

/** Seconds for each of these, in their order. */
function tally<T>(all: readonly T[], count: (each: T, worked: Worked) => number) {
  return (worked: readonly Worked[]): [T, number][] =>
    all.map((each) => [each, worked.reduce((sum, one) => sum + count(each, one), 0)]);
}

function directionLines(timeline: Timeline, targets: SchoolTargets): CoverageLine[] {
  const { seconds, directedS } = coverDirections(timeline);
  return DIRECTIONS.map((direction) => ({
    group: 'directions',
    name: DIRECTION_WORDS[direction],
    seconds: Math.round(seconds[direction]),
    leastS: Math.round(targets.directionLeast * directedS),
    mostS: Math.round(targets.directionMost * directedS),
  }));
}

function bodyPartLines(worked: readonly Worked[], targetS: number): CoverageLine[] {
  const seconds = tally(BODY_PARTS, (part: BodyPart, each) =>
    each.exercise.bodyParts.includes(part) ? workS(each) : 0,
  )(worked);
  return seconds.map(([part, sum]) => ({
    group: 'body parts',
    name: BODY_PART_WORDS[part],
    seconds: sum,
    ...(targetS >= WHOLE_BODY_FROM_S && WANTED_PARTS.includes(part) ? { leastS: TOUCHED_S } : {}),
  }));
}

function foundationLines(
  worked: readonly Worked[],
  targets: SchoolTargets,
  totalS: number,
): CoverageLine[] {
  const least: Partial<Record<Foundation, number>> = {
    support: targets.supportLeast,
    release: targets.releaseLeast,
  };
  const seconds = tally(FOUNDATIONS, (foundation: Foundation, each) =>
    each.exercise.teaches.some((taught) => taught.foundation === foundation) ? workS(each) : 0,
  )(worked);
  return seconds.map(([foundation, sum]) => ({
    group: 'foundations',
    name: FOUNDATION_WORDS[foundation],
    seconds: sum,
    ...(least[foundation] === undefined ? {} : { leastS: Math.round(least[foundation] * totalS) }),
  }));
}

/** The heaviest two classes share one most: what one takes, the other may not. */
function loadLines(
  worked: readonly Worked[],
  targets: SchoolTargets,
  totalS: number,
): CoverageLine[] {
  const seconds = LOAD_NAMES.map((_name, load) =>
    sumOf(worked.filter(({ timed }) => timed.spineLoad === load)),
  );
  const heavy = (seconds[HEAVY_FROM] ?? 0) + (seconds[HEAVY_FROM + 1] ?? 0);
  return LOAD_NAMES.map((name, load) => {
    const own = seconds[load] ?? 0;
    const left = Math.max(0, Math.round(targets.heavyMost * totalS) - (heavy - own));
    return {
      group: 'spine load',
      name: `${load}: ${name}`,
      seconds: own,
      ...(load >= HEAVY_FROM ? { mostS: left } : {}),
    };
  });
}
