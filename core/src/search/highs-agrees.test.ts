import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { orderProgram } from '../testing/order-program.ts';
import { problemOf, randomClass } from '../testing/random-order-problem.ts';
import { searchSubsets } from './exact.ts';

/** An independent solver for integer programs: HiGHS, Huangfu and Hall, Math. Prog. Comp. 10 (2018). */
let highs: Awaited<ReturnType<typeof highsLoader>>;
beforeAll(async () => {
  highs = await highsLoader();
});

/** Instances that the solver is done with in a second or two; others take it a minute (`bench/search.ts`). */
const SEEDS = [
  ...[205, 210, 221, 222, 227, 230, 239].map((seed) => ({ seed, count: 7 })),
  { seed: 311, count: 8 },
  { seed: 419, count: 9 },
];

describe('an integer program of the same costs', () => {
  it.each(SEEDS)('has the same optimum as the search by subsets: %o', ({ seed, count }) => {
    const problem = problemOf(randomClass(seed, count, 1, 0));
    const search = searchSubsets(problem, { known: Infinity, mostStates: 1_000_000 });
    let step = search.next();
    while (!step.done) step = search.next();
    if (step.value.kind !== 'best') throw new Error(step.value.kind);
    const solution = highs.solve(orderProgram(problem), { mip_rel_gap: 0, mip_abs_gap: 1e-6 });
    expect(solution.Status).toBe('Optimal');
    expect(solution.ObjectiveValue).toBeCloseTo(step.value.order.costS, 3);
  });
});
