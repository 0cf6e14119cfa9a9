import { z } from 'zod';
import type { Position, Tempo } from '../../movement/vocabulary.ts';
import { TEMPOS } from '../../movement/vocabulary.ts';

/** Seconds for one repetition (out and back, one side). All figures are common practice. */
export interface TempoPace {
  /** Once known and under way. */
  plainS: number;
  /** The first one while it is briefly recalled. */
  recalledS: number;
  /** The first one while it is explained to people who have not met it. */
  explainedS: number;
}

export const TEMPO_PACE = {
  breath: { plainS: 9, recalledS: 11, explainedS: 14 },
  'articulate-large': { plainS: 14.5, recalledS: 20, explainedS: 24 },
  'articulate-small': { plainS: 7, recalledS: 10.5, explainedS: 14 },
  'lift-trunk': { plainS: 7, recalledS: 11.5, explainedS: 14 },
  squeeze: { plainS: 7, recalledS: 8.5, explainedS: 12 },
  'limb-slow': { plainS: 5, recalledS: 5.5, explainedS: 11 },
  'limb-steady': { plainS: 2.9, recalledS: 3.8, explainedS: 8 },
  circle: { plainS: 5, recalledS: 5.7, explainedS: 11 },
  turn: { plainS: 4.8, recalledS: 7.5, explainedS: 12 },
  'roll-down': { plainS: 17.5, recalledS: 21, explainedS: 28 },
  sequence: { plainS: 10, recalledS: 16, explainedS: 22 },
  pulse: { plainS: 0.8, recalledS: 0.8, explainedS: 2 },
  'reach-hold': { plainS: 15, recalledS: 18, explainedS: 26 },
  hold: { plainS: 26, recalledS: 28, explainedS: 32 },
} as const satisfies Record<Tempo, TempoPace>;

/** Seconds for what happens between and around repetitions. All figures are common practice. */
export const SET_UP = {
  firstShapeS: 18,
  flowingChangeS: 9,
  alignedChangeS: 18,
  sideToBackS: 4,
  rearrangeS: 8,
  swapSideS: 6,
  rollOverS: 12,
  propPlacedS: 6,
  propPutDownS: 5,
  overCushionsS: 19,
  springsS: 9,
  barS: 5,
  headrestS: 5,
  loopsS: 12,
  boxS: 25,
  turnRoundS: 15,
  betweenSetsS: 8,
  /** From one variant to the next: the feet or hands go elsewhere. */
  betweenVariantsS: 4,
  betweenHoldsS: 4,
} as const;

/** Seconds of words before the first repetition. All figures are common practice. */
export const TEACHING = {
  fullOneOptionS: 9,
  fullLadderS: 47,
  briefOneOptionS: 6,
  briefWithOptionsS: 13,
  stretchS: 4,
  repeatS: 2,
  /** Spoken over the set, for each option past the second. */
  furtherOptionS: 12,
} as const;

/** One standard deviation, as a share of the part. Common practice, to be learned from one's own classes. */
export const SPREAD = {
  work: 0.25,
  setUp: 0.4,
  teaching: 0.4,
  /** What a clock or the plan decides. */
  clocked: 0.03,
  /** The whole day runs quick or slow. */
  day: 0.08,
} as const;

const factor = z.number().min(0.3).max(3);

/** A teacher's own pace; every factor multiplies the common figure. */
export const Pace = z.strictObject({
  teaching: z.enum(['quick', 'steady', 'unhurried']).default('steady'),
  setUpFactor: factor.default(1),
  teachingFactor: factor.default(1),
  tempoFactors: z.partialRecord(z.enum(TEMPOS), factor).default({}),
});
export type Pace = z.infer<typeof Pace>;

export const STEADY_PACE: Pace = {
  teaching: 'steady',
  setUpFactor: 1,
  teachingFactor: 1,
  tempoFactors: {},
};

export const TEACHING_SPEED = { quick: 0.7, steady: 1, unhurried: 1.35 } as const;

/** Shapes that must be lined up before work can begin, wherever one comes from. */
export const ALIGNED: ReadonlySet<Position> = new Set<Position>([
  'side-lying',
  'side-support',
  'prone',
]);
