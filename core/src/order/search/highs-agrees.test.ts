import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { orderProgram } from '../../testing/order-program.ts';
import { problemOf, randomClass } from '../../testing/random-order-problem.ts';
import { searchSubsets } from './exact.ts';

/** An independent solver for integer programs: HiGHS, Huangfu and Hall, Math. Prog. Comp. 10 (2018). */
let highs: Awaited<ReturnType<typeof highsLoader>>;
beforeAll(async () => {
  highs = await highsLoader();
});

const SEEDS = Array.from({ length: 20 }, (_, index) => ({
  seed: 100 + index,
  count: index < 14 ? 7 : index < 18 ? 8 : index < 19 ? 9 : 10,
}));

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
