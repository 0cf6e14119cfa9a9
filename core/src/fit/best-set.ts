/** One thing that can be done about the time: of those about the same, one at most is taken. */
export interface Choosable {
  about: string;
  /** Whole seconds that it gains, more than 0. */
  gainS: number;
  /** What it costs, in whatever unit the misses are priced in. */
  cost: number;
}

/** What it costs to miss the wanted seconds: nothing within `freeS`, then by the second, too little or too much. */
export interface MissPrice {
  freeS: number;
  tooLittle: number;
  tooMuch: number;
}

/** The price of gaining so many seconds where others were wanted. */
export function missCost(gainedS: number, wantedS: number, price: MissPrice): number {
  const missS = Math.max(0, Math.abs(gainedS - wantedS) - price.freeS);
  return missS * (gainedS < wantedS ? price.tooLittle : price.tooMuch);
}

/**
 * The set that costs least, its miss counted in: exact, by dynamic programming over seconds. After each group, for every
 * sum of seconds, the least that it costs and what was taken last; sums past all use are left out.
 */
export function bestSet<T extends Choosable>(
  choices: readonly T[],
  wantedS: number,
  price: MissPrice,
): T[] {
  const groups = groupsOf(choices);
  const most = wantedS + Math.max(0, ...choices.map(({ gainS }) => gainS));
  let costs = new Float64Array(most + 1).fill(Infinity);
  costs[0] = 0;
  const taken = groups.map((group) => {
    const after = costs.slice();
    const came: (T | undefined)[] = new Array<T | undefined>(most + 1).fill(undefined);
    for (const choice of group) {
      for (let sum = choice.gainS; sum <= most; sum += 1) {
        const cost = (costs[sum - choice.gainS] ?? Infinity) + choice.cost;
        if (cost < (after[sum] ?? Infinity)) {
          after[sum] = cost;
          came[sum] = choice;
        }
      }
    }
    costs = after;
    return came;
  });
  let best = 0;
  const priced = (sum: number) => (costs[sum] ?? Infinity) + missCost(sum, wantedS, price);
  for (let sum = 1; sum <= most; sum += 1) if (priced(sum) < priced(best)) best = sum;
  return walkBack(taken, best);
}

/** Those about the same thing together. */
function groupsOf<T extends Choosable>(choices: readonly T[]): T[][] {
  const groups = new Map<string, T[]>();
  for (const choice of choices) {
    const group = groups.get(choice.about);
    if (group) group.push(choice);
    else groups.set(choice.about, [choice]);
  }
  return [...groups.values()];
}

function walkBack<T extends Choosable>(taken: readonly (T | undefined)[][], from: number): T[] {
  const set: T[] = [];
  let sum = from;
  for (const came of taken.toReversed()) {
    const choice = came[sum];
    if (!choice) continue;
    set.unshift(choice);
    sum -= choice.gainS;
  }
  return set;
}
