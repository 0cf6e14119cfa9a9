import type { CostId } from '../plan/school.ts';
import { costAt } from './curve.ts';
import { eachMissing } from './marks.ts';
import type { OrderProblem, PlacedItem } from './problem.ts';

/** All that a set of done items leaves behind; its order does not matter. */
export interface DoneState {
  timeS: number;
  /** Marks left, in two words. */
  marksLow: number;
  marksHigh: number;
  /** Things used. */
  thingBits: number;
}

export const NOTHING_DONE: DoneState = {
  timeS: 0,
  marksLow: 0,
  marksHigh: 0,
  thingBits: 0,
};

export function withItem(state: DoneState, item: PlacedItem): DoneState {
  return {
    timeS: state.timeS + item.ownS,
    marksLow: state.marksLow | item.leaves.low,
    marksHigh: state.marksHigh | item.leaves.high,
    thingBits: state.thingBits | item.thingBits,
  };
}

export function withPause(state: DoneState, seconds: number): DoneState {
  return { ...state, timeS: state.timeS + seconds };
}

/** Tells each cost of an item that comes after a set of others. The order of the set does not matter. */
export function tellPlaceCosts(
  problem: OrderProblem,
  state: DoneState,
  item: PlacedItem,
  tell: (cost: CostId, costS: number) => void,
): void {
  const share = shareOf(problem, state, item);
  for (const { cost, curve } of item.curves) tell(cost, costAt(curve, share));
  eachMissing(problem.marks, item.wants, state.marksLow, state.marksHigh, ({ cost, costS }) =>
    tell(cost, costS),
  );
}

/** The same as one number, for speed. */
export function placeCostS(problem: OrderProblem, state: DoneState, item: PlacedItem): number {
  let sum = costAt(item.curve, shareOf(problem, state, item));
  const isComplete =
    (item.wants.low & ~state.marksLow) === 0 && (item.wants.high & ~state.marksHigh) === 0;
  if (isComplete) return sum;
  eachMissing(problem.marks, item.wants, state.marksLow, state.marksHigh, ({ costS }) => {
    sum += costS;
  });
  return sum;
}

/** The share of the class that is done half-way through the item. */
function shareOf(problem: OrderProblem, state: DoneState, item: PlacedItem): number {
  return (state.timeS + item.ownS / 2) / problem.totalS;
}

/** Tells each thing that is fetched once more: used before, put away since, wanted now. */
export function tellThingsAgain(
  problem: OrderProblem,
  state: DoneState,
  before: PlacedItem,
  item: PlacedItem,
  tell: (cost: CostId, costS: number) => void,
): void {
  for (
    let left = item.thingBits & state.thingBits & ~before.thingBits;
    left !== 0;
    left &= left - 1
  ) {
    const thing = problem.things[31 - Math.clz32(left & -left)];
    if (!thing) throw new Error('a thing without a price');
    tell(thing.cost, thing.costS);
  }
}

export function thingsAgainS(
  problem: OrderProblem,
  state: DoneState,
  before: PlacedItem,
  item: PlacedItem,
): number {
  if ((item.thingBits & state.thingBits & ~before.thingBits) === 0) return 0;
  let sum = 0;
  tellThingsAgain(problem, state, before, item, (_cost, costS) => {
    sum += costS;
  });
  return sum;
}
