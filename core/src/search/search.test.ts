import { describe, expect, it } from 'vitest';
import { problemOf, randomClass } from '../testing/random-order-problem.ts';
import { lowerBound } from './bound.ts';
import { createEvaluator } from './evaluate.ts';
import { searchSubsets } from './exact.ts';
import { improve } from './improve.ts';
import type { OrderProblem, ScoredOrder } from './problem.ts';
import { scoreOrder } from './score-order.ts';

/** Every order of a list. */
function* permutations<T>(list: readonly T[]): Generator<T[]> {
  if (list.length < 2) yield [...list];
  for (const [index, first] of list.entries()) {
    if (list.length < 2) return;
    for (const rest of permutations(list.toSpliced(index, 1))) yield [first, ...rest];
  }
}

/** Every order of the units that keeps each stretch together and in its place. */
function* ordersOf(problem: OrderProblem, stretch = 0): Generator<number[]> {
  const units = problem.stretches[stretch];
  if (!units) {
    yield [];
    return;
  }
  for (const own of permutations(units)) {
    for (const rest of ordersOf(problem, stretch + 1)) yield [...own, ...rest];
  }
}

function bruteForce(problem: OrderProblem): number {
  let least = Infinity;
  for (const units of ordersOf(problem)) {
    const { costS, breaks } = scoreOrder(problem, units);
    if (breaks === 0) least = Math.min(least, costS);
  }
  return least;
}

function finish<T>(generator: Generator<unknown, T>): T {
  let step = generator.next();
  while (!step.done) step = generator.next();
  return step.value;
}

function exactOf(problem: OrderProblem, known = Infinity): ScoredOrder | undefined {
  const result = finish(searchSubsets(problem, { known, mostStates: 5_000_000 }));
  if (result.kind === 'too-many') throw new Error('too many states');
  return result.kind === 'best' ? result.order : undefined;
}

const shuffled = (problem: OrderProblem, seed: number): number[] =>
  problem.stretches.flatMap((stretch) => {
    const rest = [...stretch];
    let value = seed;
    return stretch.map(() => {
      value = (value * 48271) % 2147483647;
      return rest.splice(value % rest.length, 1)[0] ?? 0;
    });
  });

/** Sizes up to 8 items, one part or two, with pauses, blocks and pins. */
const CASES = Array.from({ length: 40 }, (_, index) => {
  const seed = index + 1;
  const count = 2 + (index % 6);
  return {
    seed,
    count,
    parts: index % 3 === 0 ? 2 : 1,
    pauses: index % 4 === 1 ? 1 : index % 8 === 6 ? 2 : 0,
    pinned: index % 5 === 2 ? ['e1'] : [],
    joined: index % 7 === 3 ? ['e2'] : [],
  };
});
const caseOf = ({ seed, count, parts, pauses, pinned, joined }: (typeof CASES)[number]) =>
  problemOf(randomClass(seed, count, parts, pauses), {
    pinned: new Set(pinned),
    joined: new Set(joined),
  });

describe('the search by subsets', () => {
  it.each(CASES)('finds what trying every order finds: %o', (each) => {
    const problem = caseOf(each);
    const least = bruteForce(problem);
    const found = exactOf(problem);
    if (least === Infinity) {
      expect(found).toBeUndefined();
      return;
    }
    expect(found?.costS).toBeCloseTo(least, 6);
    const score = scoreOrder(problem, found?.units ?? []);
    expect(score.costS).toBeCloseTo(least, 6);
    expect(score.breaks).toBe(0);
  });

  it.each([51, 52])('does so with 8 items: seed %i', (seed) => {
    const problem = problemOf(randomClass(seed, 8, 1, 1));
    expect(exactOf(problem)?.costS).toBeCloseTo(bruteForce(problem), 6);
  });

  it('finds the same with a good order known, and nothing better than the best', () => {
    for (const seed of [3, 4, 5]) {
      const problem = problemOf(randomClass(seed, 9, 1, 0));
      const best = exactOf(problem)?.costS ?? 0;
      expect(exactOf(problem, best + 5)?.costS).toBeCloseTo(best, 6);
      expect(exactOf(problem, best)).toBeUndefined();
    }
  });

  it('gives a bound that no order undercuts when there are too many states', () => {
    const bounds = [6, 7, 8, 9].flatMap((seed) => {
      const problem = problemOf(randomClass(seed, 9, 1, 0));
      const best = exactOf(problem)?.costS ?? 0;
      return [5, 40, 200].flatMap((mostStates) => {
        const result = finish(searchSubsets(problem, { known: best + 20, mostStates }));
        return result.kind === 'too-many' ? [{ best, bound: result.bound }] : [];
      });
    });
    expect(bounds.length).toBeGreaterThan(4);
    for (const { best, bound } of bounds) expect(bound).toBeLessThanOrEqual(best + 1e-6);
  });

  it('is never beaten by a shuffle that keeps the constraints', () => {
    for (const seed of [11, 12, 13]) {
      const problem = problemOf(randomClass(seed, 12, 2, 1));
      const best = exactOf(problem)?.costS ?? Infinity;
      for (let turn = 1; turn <= 200; turn += 1) {
        const { costS, breaks } = scoreOrder(problem, shuffled(problem, seed * 1000 + turn));
        if (breaks === 0) expect(costS).toBeGreaterThanOrEqual(best - 1e-6);
      }
    }
  });
});

describe('the quick score', () => {
  it('is the plain one, and far above it where a constraint is broken', () => {
    let broken = 0;
    for (const each of CASES) {
      const problem = caseOf(each);
      const costOf = createEvaluator(problem);
      for (let turn = 1; turn <= 20; turn += 1) {
        const units = shuffled(problem, each.seed * 77 + turn);
        const { costS, breaks } = scoreOrder(problem, units);
        if (breaks > 0) broken += 1;
        expect(costOf(units) - breaks * 1e6).toBeCloseTo(costS, 4);
      }
    }
    expect(broken).toBeGreaterThan(10);
  });

  it('adds up its parts', () => {
    for (const each of CASES) {
      const problem = caseOf(each);
      const { parts, costS } = scoreOrder(problem, problem.stretches.flat());
      expect(Object.values(parts).reduce((sum, part) => sum + part, 0)).toBeCloseTo(costS, 9);
      for (const part of Object.values(parts)) expect(part).toBeGreaterThanOrEqual(0);
    }
  });
});

describe('the lower bound', () => {
  it('is never above the best', () => {
    const shares: number[] = [];
    for (const each of CASES) {
      const problem = caseOf(each);
      const best = exactOf(problem)?.costS;
      if (best === undefined) continue;
      const bound = lowerBound(problem);
      expect(bound).toBeLessThanOrEqual(best + 1e-6);
      shares.push(bound / Math.max(1, best));
    }
    // A bound that says nothing would be right as well.
    shares.sort((a, b) => a - b);
    expect(shares[Math.floor(shares.length / 2)]).toBeGreaterThan(0.5);
  });
});

describe('the local search', () => {
  const options = { seed: 5, evaluations: 12_000 };

  it('comes to the best of small classes, from any start', () => {
    let reached = 0;
    const seeds = [21, 22, 23, 24, 25, 26];
    for (const seed of seeds) {
      const problem = problemOf(randomClass(seed, 8, 1, 0));
      const found = finish(improve(problem, problem.stretches.flat().reverse(), options));
      const best = exactOf(problem)?.costS ?? 0;
      expect(found.costS).toBeGreaterThanOrEqual(best - 1e-6);
      expect(found.costS).toBeLessThan(best * 1.02);
      if (found.costS < best + 1e-6) reached += 1;
    }
    expect(reached).toBeGreaterThanOrEqual(seeds.length - 1);
  });

  it('gives the same for the same seed', () => {
    const problem = problemOf(randomClass(31, 18, 2, 1));
    const start = problem.stretches.flat();
    const once = finish(improve(problem, start, options));
    expect(finish(improve(problem, start, options))).toEqual(once);
  });

  it('never gives back something worse than it was given', () => {
    const problem = problemOf(randomClass(32, 14, 1, 0));
    const best = exactOf(problem);
    const found = finish(improve(problem, best?.units ?? [], { seed: 1, evaluations: 1 }));
    expect(found.costS).toBeCloseTo(best?.costS ?? 0, 6);
  });
});
