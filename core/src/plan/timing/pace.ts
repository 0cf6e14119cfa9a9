import { z } from 'zod';
import type { Tempo } from '../../movement/vocabulary.ts';
import { TEMPOS } from '../../movement/vocabulary.ts';
import { ClassStyle } from '../class-style.ts';

/** Seconds of one in- or out-breath, by what moves. Common practice. */
export const PHASE_S = {
  spine: { brisk: 3, steady: 4.2, slow: 5.5 },
  limbs: { brisk: 1.6, steady: 3.2, slow: 4.4 },
} as const satisfies Record<string, Record<ClassStyle, number>>;

/** How one kind of repetition moves; seconds out and back, one side. Common practice. */
export interface KindOfPace {
  /** Moved at its own pace, whatever the breath does. */
  naturalS: number;
  /** Where the plan doesn't say whether it is breathed: what it came to in classes, both taken together. */
  unknownS: number;
  moves: keyof typeof PHASE_S;
  /** The styles in which it follows the breath when the plan says nothing of the item. */
  breathedIn: readonly ClassStyle[];
  /** Rolls through the whole spine: takes longer than its breaths, and a breath to prepare where there is time. */
  isLargeRoll?: true;
}

const BREATHED: readonly ClassStyle[] = ['slow', 'steady'];
const SLOW: readonly ClassStyle[] = ['slow'];

export const KIND_PACE: Record<Tempo, KindOfPace> = {
  // Breath is breathed, whatever the plan says of it.
  breath: { naturalS: 8.4, unknownS: 8.4, moves: 'spine', breathedIn: BREATHED },
  'articulate-large': {
    naturalS: 10,
    unknownS: 15.5,
    moves: 'spine',
    breathedIn: BREATHED,
    isLargeRoll: true,
  },
  'articulate-small': { naturalS: 4, unknownS: 6.4, moves: 'spine', breathedIn: BREATHED },
  hinge: { naturalS: 2.4, unknownS: 2.4, moves: 'spine', breathedIn: SLOW },
  'lift-trunk': { naturalS: 6, unknownS: 11, moves: 'spine', breathedIn: BREATHED },
  squeeze: { naturalS: 5, unknownS: 6.5, moves: 'spine', breathedIn: BREATHED },
  'limb-slow': { naturalS: 4.7, unknownS: 5.8, moves: 'limbs', breathedIn: SLOW },
  'limb-steady': { naturalS: 3.6, unknownS: 4.5, moves: 'limbs', breathedIn: SLOW },
  circle: { naturalS: 4.3, unknownS: 4, moves: 'limbs', breathedIn: SLOW },
  turn: { naturalS: 5, unknownS: 6.2, moves: 'limbs', breathedIn: SLOW },
  'held-curl': { naturalS: 3.1, unknownS: 3.1, moves: 'limbs', breathedIn: SLOW },
  'held-bridge': { naturalS: 3.1, unknownS: 3.1, moves: 'limbs', breathedIn: SLOW },
  'roll-down': {
    naturalS: 14,
    unknownS: 17,
    moves: 'spine',
    breathedIn: BREATHED,
    isLargeRoll: true,
  },
  sequence: { naturalS: 11, unknownS: 11, moves: 'limbs', breathedIn: SLOW },
  quick: { naturalS: 1.4, unknownS: 1.4, moves: 'limbs', breathedIn: [] },
  pulse: { naturalS: 0.8, unknownS: 0.8, moves: 'limbs', breathedIn: [] },
  'reach-hold': { naturalS: 12, unknownS: 14, moves: 'spine', breathedIn: BREATHED },
  hold: { naturalS: 20, unknownS: 20, moves: 'spine', breathedIn: [] },
};

/** How repetitions differ from phases times seconds, and from their own pace. Common practice. */
export const REPETITION = {
  /** A large roll takes this much longer than its breaths. */
  largeRoll: 1.3,
  /** Phases of a large roll in a slow class: a breath to prepare is among them. */
  slowRollPhases: 3,
  /** As many as this on a side are counted aloud where the plan doesn't say that they are breathed. */
  countedFrom: 10,
  countedSpine: 0.4,
  countedLimbs: 0.85,
  /** Seconds more for the first one, in words at once … */
  firstBriefS: 8,
  /** … and where it is explained and the plan doesn't say for how long. */
  firstExplainedS: 13,
  /** Into a reached shape that is held, and out of it. */
  reachS: 5,
} as const;

/** Seconds for what happens between and around repetitions. All figures are common practice. */
export const SET_UP = {
  firstShapeS: 12.5,
  otherOptionS: 3,
  samePositionS: 5,
  samePositionHoldS: 7,
  risenS: 2,
  nearS: 10,
  fullS: 13.5,
  linedUpS: 23,
  sideToBackS: 4,
  twinS: 9,
  swapSideS: 7,
  rollOverS: 15,
  propPlacedS: 9,
  propMovedS: 8.5,
  propPutDownS: 2,
  /** Lying down over cushions, and sitting up from them. */
  overCushionsS: 19,
  springsS: 9,
  barS: 5,
  headrestS: 5,
  loopsS: 12,
  boxS: 25,
  turnRoundS: 15,
  betweenSetsS: 8,
  /** From one variant to the next: the feet or hands go elsewhere. */
  betweenVariantsS: 3,
  betweenHoldsS: 5,
} as const;

/** Seconds of words before the first repetition. All figures are common practice. */
export const TEACHING = {
  againS: 1,
  stretchS: 1.5,
  briefS: 4.5,
  optionsS: 8,
  /** The first time that the class is in a position. */
  newPositionS: 4.5,
  fullS: 30,
} as const;

/**
 * One standard deviation, as a share. `teacher` is shared by the whole class: how far a teacher who is not known lies
 * from the common figures; `item` is each item's own. Common practice.
 */
export const SPREAD = {
  work: { teacher: 0.1, unknownTeacher: 0.25, item: 0.35, unknownItem: 0.4 },
  words: { teacher: 0.3, unknownTeacher: 0.4 },
  /** Of the words and set-up of an item: seconds of variance for each second. */
  wordsItemS: 6,
  /** What a clock or the plan decides. */
  clocked: 0.03,
} as const;

/**
 * What is believed of logged classes, in logarithms: `t` between teachers, `s` from one class of a teacher to the next
 * (for a kind: from item to item). Common practice.
 */
export const LEARNING = {
  words: { t: 0.36, s: 0.21 },
  work: { t: 0.1, s: 0.13 },
  openWork: { t: 0.25, s: 0.14 },
  kind: { t: 0.2, s: 0.4 },
  /** However many classes: no teacher is more regular than that. */
  least: { work: 0.05, words: 0.12 },
} as const;

const factor = z.number().min(0.3).max(3);

/** A teacher's own pace; every factor multiplies the common figure. */
export const Pace = z.strictObject({
  teaching: z.enum(['quick', 'steady', 'unhurried']).default('steady'),
  setUpFactor: factor.default(1),
  teachingFactor: factor.default(1),
  /** Of everything that is counted, before the kinds that have their own. */
  workFactor: factor.default(1),
  tempoFactors: z.partialRecord(z.enum(TEMPOS), factor).default({}),
  /** What is otherwise in classes that are led in a style: each multiplies the factor of all classes. */
  byStyle: z
    .partialRecord(ClassStyle, z.strictObject({ wordsFactor: factor, workFactor: factor }))
    .optional(),
  /** Taught classes that it was learned from: the more, the narrower the likely range. */
  classes: z.number().int().min(0).max(1000).default(0),
});
export type Pace = z.infer<typeof Pace>;

/** A teacher's own pace, and whether each class that is taught changes it by itself. */
export const OwnPace = Pace.extend({ follows: z.boolean().default(false) });
export type OwnPace = z.infer<typeof OwnPace>;

/** The pace of a class that is led so; where its style is not said, that of all classes. */
export function paceIn(pace: Pace, style: ClassStyle | undefined): Pace {
  const own = style && pace.byStyle?.[style];
  if (!own) return pace;
  return {
    ...pace,
    setUpFactor: pace.setUpFactor * own.wordsFactor,
    teachingFactor: pace.teachingFactor * own.wordsFactor,
    workFactor: pace.workFactor * own.workFactor,
  };
}

export const STEADY_PACE: Pace = {
  teaching: 'steady',
  setUpFactor: 1,
  teachingFactor: 1,
  workFactor: 1,
  tempoFactors: {},
  classes: 0,
};

const TALK = { quick: 0.6, steady: 1, unhurried: 1.5 } as const satisfies Record<
  Pace['teaching'],
  number
>;

/** On words and on set-up: who talks little moves on quickly too. Common practice. */
export function talkFactor({ teaching }: Pace): number {
  return TALK[teaching];
}

/** How far so many classes are believed: `k / (k + s² / t²)`. */
export function weightOf(count: number, { t, s }: { t: number; s: number }): number {
  return count === 0 ? 0 : count / (count + (s * s) / (t * t));
}
