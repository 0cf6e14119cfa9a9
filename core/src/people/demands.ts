import { measuresOf, peakOfEither, type OptionMeasures } from '../body/measures/measures-of.ts';
import type { SideMeasure, WholeMeasure } from '../body/measures/measure-names.ts';
import type { Option } from '../movement/exercise.ts';
import { DEMANDS, type Demand } from '../movement/vocabulary.ts';

/** From this much of a measure on, an option makes the demand. */
interface Bound {
  demand: Demand;
  measure: WholeMeasure | SideMeasure;
  from: number;
}

/**
 * Which measure of the body makes which demand, and from where: common practice, where teachers differ the
 * stricter. Angles that a caution forbids from a round number on begin two degrees later, for a drawing is
 * not more exact than that.
 */
const BOUNDS: readonly Bound[] = [
  { demand: 'flexion-unloaded', measure: 'round low', from: 6 },
  { demand: 'flexion-unloaded', measure: 'round mid', from: 12 },
  { demand: 'flexion-unloaded', measure: 'round up', from: 17 },
  { demand: 'flexion-loaded', measure: 'loadedRound', from: 6 },
  { demand: 'extension-small', measure: 'arch low', from: 7 },
  { demand: 'extension-large', measure: 'arch low', from: 15 },
  { demand: 'rotation-small', measure: 'turn low', from: 8 },
  { demand: 'rotation-small', measure: 'turn mid', from: 8 },
  { demand: 'rotation-small', measure: 'turn up', from: 10 },
  { demand: 'rotation-loaded', measure: 'loadedTurn', from: 6 },
  { demand: 'side-bend', measure: 'side low', from: 6 },
  { demand: 'side-bend', measure: 'side mid', from: 8 },
  { demand: 'side-bend', measure: 'side up', from: 8 },
  { demand: 'grip', measure: 'grip', from: 5 },
  { demand: 'belly-pressure', measure: 'belly', from: 45 },
  { demand: 'double-leg-lower', measure: 'legs', from: 33 },
  { demand: 'head-down', measure: 'hipsHigh', from: 18 },
  { demand: 'head-down', measure: 'headLow', from: 20 },
  { demand: 'prone', measure: 'bellyPress', from: 0.1 },
  { demand: 'weight-on-wrists', measure: 'wrist', from: 0.1 },
  { demand: 'weight-on-knees', measure: 'kneecaps', from: 0.05 },
  { demand: 'deep-knee-bend', measure: 'kneeBendLoaded', from: 135 },
  { demand: 'hip-flexion-deep', measure: 'hipBend', from: 92 },
  { demand: 'hip-across-midline', measure: 'hipAcross', from: 2 },
  { demand: 'hip-turned-in', measure: 'hipTurnIn', from: 10 },
  { demand: 'arm-overhead', measure: 'armHigh', from: 120 },
  { demand: 'arm-weight-bearing', measure: 'shoulderLoad', from: 0.1 },
  { demand: 'neck-curl', measure: 'neckFree', from: 8 },
  { demand: 'neck-curl', measure: 'chestLifted', from: 1 },
  { demand: 'lying-flat', measure: 'flat', from: 0.5 },
  { demand: 'balance', measure: 'tips', from: 0.42 },
  { demand: 'flexion-end-range', measure: 'roundSum', from: 60 },
  { demand: 'rotation-end-range', measure: 'turn low', from: 12 },
  { demand: 'rotation-end-range', measure: 'turn mid', from: 18 },
  { demand: 'end-range-joint', measure: 'endShare', from: 0.85 },
];

/** How much of a measure an author says by hand: what is said raises what is measured, never lowers it. */
export function raisedBy({ demands }: Option, measure: WholeMeasure | SideMeasure): number {
  return BOUNDS.reduce(
    (most, bound) =>
      bound.measure === measure && demands.includes(bound.demand)
        ? Math.max(most, bound.from)
        : most,
    0,
  );
}

const MEASURED = new WeakMap<Option, ReadonlySet<Demand>>();

/** The demands that the body model sees: worked out once for an option, or kept with the library. */
export function measuredDemands(option: Option): ReadonlySet<Demand> {
  const known = MEASURED.get(option);
  if (known) return known;
  const measures = measuresOf(option);
  const made = new Set(
    BOUNDS.filter(({ measure, from }) => {
      const peak = peakOf(measures, measure);
      // What is not known is not allowed to whom it concerns.
      return peak === undefined || peak >= from;
    }).map(({ demand }) => demand),
  );
  MEASURED.set(option, made);
  return made;
}

/** What was worked out before, so that nobody waits for it. */
export function keepMeasuredDemands(option: Option, demands: readonly Demand[]): void {
  MEASURED.set(option, new Set(demands));
}

/** What is said by hand although a measure says it: one of the two would be forgotten when it changes. */
export function saidAndMeasured(option: Option): Demand[] {
  const measured = measuredDemands(option);
  return option.demands.filter((demand) => measured.has(demand));
}

const ALL = new WeakMap<Option, readonly Demand[]>();

/** What an option asks of a body: what is measured, and what is said by hand because no measure sees it. */
export function demandsOf(option: Option): readonly Demand[] {
  const known = ALL.get(option);
  if (known) return known;
  const measured = measuredDemands(option);
  const made = DEMANDS.filter((demand) => measured.has(demand) || option.demands.includes(demand));
  ALL.set(option, made);
  return made;
}

function peakOf(measures: OptionMeasures, name: WholeMeasure | SideMeasure): number | undefined {
  return name in measures.whole
    ? measures.whole[name as WholeMeasure]?.peak
    : peakOfEither(measures, name as SideMeasure);
}
