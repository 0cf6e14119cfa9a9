import type { CostId } from '../plan/school.ts';
import type { BandPoint } from '../review/swell.ts';

/** One exercise of the class, reduced to the numbers that its place in the order depends on. */
export interface PlacedItem {
  itemId: string;
  name: string;
  /** Seconds of everything but the set-up, which depends on what comes before. */
  ownS: number;
  /** 0 rest to 5. */
  effort: number;
  spineLoad: number;
  /** Bit of the position it begins in, and of all it takes. */
  startBit: number;
  positionBits: number;
  /** Two bits a foundation: taught at all, taught to a depth of 2 or more. */
  taughtBits: number;
  needs: number[];
  propBits: number;
  /** What the rules ask of a set that is already done. */
  isAwareness: boolean;
  warmsBelly: boolean;
  bendsLoaded: boolean;
  moved: 'low' | 'high' | 'neither';
}

/** A cost between two neighbours, row by row: `from × items + to`. */
export type PairTable = Float64Array;

/** Costs of what comes before what, however far apart. */
export interface SoftPrecedence {
  first: number;
  second: number;
  costS: number;
}

/** What an offence costs in seconds-equivalent; weights and standings are already counted in. */
export interface PlaceCosts {
  /** Per step of effort outside the band, and per tenth of the class that the peak is away. */
  effort: number;
  peak: number;
  load: number;
  needs: number;
  /** Loaded rounding before the belly is warm. */
  warm: number;
  /** The upper back alone before the lower. */
  lowFirst: number;
  /** Something else than awareness first. */
  awareness: number;
  propsAgain: number;
}

/** Everything the search needs: no plan, no catalogue, only numbers. */
export interface OrderProblem {
  items: PlacedItem[];
  /** Items that stay together, in their order, by index. */
  units: number[][];
  /** Units that share a stretch of the class, in today's order. Groups keep their order. */
  groups: number[][];
  /** For each unit, the units of its group that must come before it. */
  before: number[][];
  /** For each unit, the place in its group (pauses counted) where it must begin, or -1. */
  pinnedAt: number[];
  /** For each group: pauses by place, in seconds. */
  pauses: ReadonlyMap<number, number>[];
  /** Seconds of set-up, when the position is met already and when it is new to the class. */
  setUpMet: PairTable;
  setUpNew: PairTable;
  setUpFirst: Float64Array;
  /** What neighbours cost besides, by name; none of it counts across a pause. */
  near: Partial<Record<CostId, PairTable>>;
  nearSum: PairTable;
  soft: SoftPrecedence[];
  place: PlaceCosts;
  band: readonly BandPoint[];
  hardest: number;
  hardestCount: number;
  hasLowMover: boolean;
  totalS: number;
}

/** The best known of one order: the sequence of units, all groups, and what it costs. */
export interface ScoredOrder {
  units: number[];
  costS: number;
}
