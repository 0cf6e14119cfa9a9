import type { PropUse } from '../../movement/exercise.ts';
import type { Position, Posture, Side, SpineMove, Tempo } from '../../movement/vocabulary.ts';

export type PartKind =
  'set-up' | 'teaching' | 'work' | 'side-change' | 'set-rest' | 'rest' | 'pause';

/**
 * What a part's length depends on, for the likely range: the pace of work, with the breath stated or open; words and
 * set-up; or nothing but the clock.
 */
export type Varies = 'work' | 'open work' | 'words' | 'clock';

/** Where a number comes from, so that the screen can answer "why?". */
export type NumberSource = 'common practice' | 'set in the plan' | 'your pace';

export interface TimedPart {
  kind: PartKind;
  /** Left out when the part belongs to no side; `alternating` changes side every repetition. */
  side?: Side | 'alternating';
  set?: number;
  /** What it is, where it follows the dose without a break: "20 small". */
  phase?: string;
  /** The option, where an item is made of several variants. */
  variant?: number;
  startS: number;
  durationS: number;
  /** How many repetitions, breaths or holds the part holds, for counting aloud. */
  count?: number;
  /** Seconds of the first and of each later repetition. */
  firstS?: number;
  eachS?: number;
  reason: string;
  source: NumberSource;
  varies: Varies;
}

/** One time that an item is done. */
export interface TimedItem {
  /** The item of the plan. */
  itemId: string;
  /** This time: the first has the item’s own id. */
  occurrenceId: string;
  /** Which time of how many, where its bracket is gone through more than once; in a series, on which side. */
  pass?: { bracketId: string; number: number; of: number; side?: Side };
  segmentId: string;
  kind: 'exercise' | 'pause';
  name: string;
  exercise?: string;
  /** Where one side alone is done this time. */
  side?: Side;
  /** The option whose props, place and effort the group is shown. */
  option?: number;
  /** The kind of repetition that it is done in. */
  tempo?: Tempo;
  position?: Position;
  endPosition?: Position;
  /** How exactly, within the position. */
  posture?: Posture;
  /** What is held, at the option shown. */
  props: readonly PropUse[];
  moves: readonly SpineMove[];
  effort: number;
  spineLoad: number;
  startS: number;
  durationS: number;
  parts: TimedPart[];
}

export interface TimedSegment {
  segmentId: string;
  name: string;
  startS: number;
  durationS: number;
  items: TimedItem[];
}

/** An 80 % range for the total. */
export interface LikelyRange {
  lowS: number;
  highS: number;
  standardDeviationS: number;
  reason: string;
}

/** Everything about time that follows from a plan; whole seconds throughout. */
export interface Timeline {
  totalS: number;
  targetS: number;
  /** Positive when the class runs over. */
  overS: number;
  likely: LikelyRange;
  segments: TimedSegment[];
  items: TimedItem[];
}

/** Seconds of the given kinds of part in one item. */
export function secondsOf(item: TimedItem, ...kinds: PartKind[]): number {
  return item.parts
    .filter((part) => kinds.includes(part.kind))
    .reduce((sum, part) => sum + part.durationS, 0);
}

/** How the class divides, as shares of the total. */
export function shareOfTime(timeline: Timeline): {
  work: number;
  setUp: number;
  teaching: number;
  rest: number;
} {
  const total = Math.max(1, timeline.totalS);
  const share = (...kinds: PartKind[]) =>
    timeline.items.reduce((sum, item) => sum + secondsOf(item, ...kinds), 0) / total;
  return {
    work: share('work'),
    setUp: share('set-up', 'side-change'),
    teaching: share('teaching'),
    rest: share('rest', 'set-rest', 'pause'),
  };
}
