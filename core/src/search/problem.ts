import type { CostId } from '../plan/school.ts';
import type { Curve } from './curve.ts';
import type { Bits, Mark } from './marks.ts';
import type { PairTable } from './pair-table.ts';

/** One exercise of the class, reduced to what its place in the order depends on. */
export interface PlacedItem {
  itemId: string;
  name: string;
  /** Seconds of everything but the set-up, which depends on what comes before. */
  ownS: number;
  /** Marks that it leaves for what follows, and those it wants to find. */
  leaves: Bits;
  wants: Bits;
  /** Things that it uses: fetched again where they were put away between. */
  thingBits: number;
  /** What standing at a share of the class costs, all in all and by name. */
  curve: Curve;
  curves: { cost: CostId; curve: Curve }[];
}

/** Costs of what comes before what, however far apart. */
export interface SoftPrecedence {
  first: number;
  second: number;
  cost: CostId;
  costS: number;
}

/** Everything the search needs: no plan, no catalogue, no rule, only numbers with weights counted in. */
export interface OrderProblem {
  items: PlacedItem[];
  /** Items that stay together, in their order, by index. */
  units: number[][];
  /** Units that share a stretch of the class, in today's order. Stretches keep their order. */
  stretches: number[][];
  /** For each unit, the units of its stretch that must come before it. */
  before: number[][];
  /** For each unit, the place in its stretch (pauses counted) where it must begin, or -1. */
  pinnedAt: number[];
  /** For each stretch: pauses by place, in seconds. */
  pauses: ReadonlyMap<number, number>[];
  /** Seconds of set-up behind each other item, and at the beginning. */
  setUp: PairTable;
  setUpFirst: Float64Array;
  /** What neighbours cost besides, by name; none of it counts across a pause. */
  near: ReadonlyMap<CostId, PairTable>;
  nearSum: PairTable;
  soft: SoftPrecedence[];
  /** What each mark costs that is wanted in vain, by bit. */
  marks: readonly Mark[];
  /** What each thing costs that is fetched again, by bit. */
  things: readonly { cost: CostId; costS: number }[];
  totalS: number;
}

/** The best known of one order: the sequence of units, all stretches, and what it costs. */
export interface ScoredOrder {
  units: number[];
  costS: number;
}
