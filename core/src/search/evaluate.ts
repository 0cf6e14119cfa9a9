import type { OrderProblem } from './problem.ts';
import { effortCost, NOTHING_DONE, propsAgain, type DoneState } from './state.ts';

/** What each broken constraint costs: more than any order can. */
const BROKEN = 1e6;

/**
 * The cost of an order as one number, without the names: what `scoreOrder` adds up, written for speed.
 * Broken constraints cost more than anything else, so that a search can walk out of them.
 */
export function createEvaluator(problem: OrderProblem): (units: readonly number[]) => number {
  const { items, place } = problem;
  const count = items.length;
  const softFirst = items.map((_item, second) =>
    problem.soft.filter((each) => each.second === second),
  );
  const groupSizes = problem.groups.map((group) => group.length);
  const done = new Uint8Array(count);
  const unitAt = new Int32Array(problem.units.length);
  const state: DoneState = { ...NOTHING_DONE };

  /** Puts one item behind all that is done; `last` is its neighbour, -1 for none. */
  const add = (index: number, last: number, isPaused: boolean): number => {
    const item = items[index];
    if (!item) return 0;
    const middle = (state.timeS + item.ownS / 2) / problem.totalS;
    let cost = effortCost(problem, item.effort, middle);
    cost += Math.max(0, item.spineLoad - state.highestLoad - 1) * place.load;
    for (const need of item.needs) if ((state.taughtBits & need) === 0) cost += place.needs;
    if (item.bendsLoaded && !state.isWarm) cost += place.warm;
    if (item.moved === 'high' && problem.hasLowMover && !state.hasMovedBack) {
      cost += place.lowFirst;
    }
    if (state.count === 0 && !item.isAwareness) cost += place.awareness;
    for (const { first, costS } of softFirst[index] ?? []) if (!done[first]) cost += costS;
    const before = last < 0 ? undefined : items[last];
    if (before) {
      const cell = last * count + index;
      const isMet = (state.metBits & item.startBit) !== 0;
      cost += (isMet ? problem.setUpMet[cell] : problem.setUpNew[cell]) ?? 0;
      if (item.propBits & state.propBits)
        cost += propsAgain(state, before, item) * place.propsAgain;
      if (!isPaused) cost += problem.nearSum[cell] ?? 0;
    } else {
      cost += problem.setUpFirst[index] ?? 0;
    }
    state.timeS += item.ownS;
    if (item.spineLoad > state.highestLoad) state.highestLoad = item.spineLoad;
    state.taughtBits |= item.taughtBits;
    state.metBits |= item.positionBits;
    state.propBits |= item.propBits;
    state.isWarm ||= item.warmsBelly;
    state.hasMovedBack ||= item.moved !== 'neither';
    state.count += 1;
    done[index] = 1;
    return cost;
  };

  return (units) => {
    Object.assign(state, NOTHING_DONE);
    done.fill(0);
    units.forEach((unit, at) => (unitAt[unit] = at));
    let cost = 0;
    let last = -1;
    let isPaused = false;
    let at = 0;
    for (let group = 0; group < groupSizes.length; group += 1) {
      const pauses = problem.pauses[group] ?? new Map<number, number>();
      const end = at + (groupSizes[group] ?? 0);
      let slot = 0;
      for (; at < end; at += 1) {
        const unit = units[at] ?? 0;
        for (const earlier of problem.before[unit] ?? []) {
          if ((unitAt[earlier] ?? 0) > at) cost += BROKEN;
        }
        const pinned = problem.pinnedAt[unit] ?? -1;
        let isFirst = true;
        for (const index of problem.units[unit] ?? []) {
          for (let pauseS = pauses.get(slot); pauseS !== undefined; pauseS = pauses.get(slot)) {
            state.timeS += pauseS;
            isPaused = true;
            slot += 1;
            if (!isFirst) cost += BROKEN;
          }
          if (isFirst && pinned >= 0 && pinned !== slot) cost += BROKEN;
          isFirst = false;
          cost += add(index, last, isPaused);
          last = index;
          isPaused = false;
          slot += 1;
        }
      }
      for (const [later, seconds] of pauses) {
        if (later < slot) continue;
        state.timeS += seconds;
        isPaused = true;
      }
    }
    return cost;
  };
}
