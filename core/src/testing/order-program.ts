import { LinearProgram } from '../draft/program/linear-program.ts';
import type { Curve } from '../search/curve.ts';
import { hasBit, NO_BITS } from '../search/marks.ts';
import type { OrderProblem } from '../search/problem.ts';
import { entryOf } from '../search/entry.ts';

/**
 * An order problem of one group without pauses as an integer program in CPLEX LP format: who follows
 * whom, who stands anywhere before whom, and every cost said again in those variables. It shares the
 * numbers with the search, not its code.
 */
export function orderProgram(problem: OrderProblem): string {
  const program = new LinearProgram();
  const count = problem.items.length;
  const indices = Array.from({ length: count }, (_, index) => index);
  const pairs = indices.flatMap((i) => indices.filter((j) => j !== i).map((j) => [i, j] as const));
  const follows = (i: number, j: number) => `x_${i}_${j}`;
  const precedes = (i: number, j: number) => `p_${i}_${j}`;

  for (const j of indices) {
    program.binary(`x_s_${j}`, problem.setUpFirst.at(j) ?? NaN);
    program.binary(`x_${j}_t`, 0);
  }
  for (const [i, j] of pairs) {
    program.binary(follows(i, j), problem.setUp.at(i, j) + problem.nearSum.at(i, j));
    program.binary(precedes(i, j), 0);
    program.row(`${follows(i, j)} - ${precedes(i, j)} <= 0`);
  }
  program.row(`${indices.map((j) => `x_s_${j}`).join(' + ')} = 1`);
  program.row(`${indices.map((j) => `x_${j}_t`).join(' + ')} = 1`);
  for (const j of indices) {
    const others = indices.filter((i) => i !== j);
    program.row(`x_s_${j} + ${others.map((i) => follows(i, j)).join(' + ')} = 1`);
    program.row(`x_${j}_t + ${others.map((i) => follows(j, i)).join(' + ')} = 1`);
  }
  for (const [i, j] of pairs) {
    if (i < j) program.row(`${precedes(i, j)} + ${precedes(j, i)} = 1`);
    for (const k of indices) {
      if (k === i || k === j) continue;
      program.row(`${precedes(i, j)} + ${precedes(j, k)} - ${precedes(i, k)} <= 1`);
    }
  }
  problem.before.forEach((earlier, unit) => {
    const j = entryOf(entryOf(problem.units, unit), 0);
    for (const each of earlier)
      program.row(`${precedes(entryOf(entryOf(problem.units, each), 0), j)} = 1`);
  });

  /** Costs what is not prepared: 1 unless one of these stands before `j`. */
  const unless = (name: string, j: number, prepared: (i: number) => boolean, cost: number) => {
    if (cost === 0) return;
    program.positive(name, cost);
    const before = indices.filter((i) => i !== j && prepared(i)).map((i) => precedes(i, j));
    program.row(`${[name, ...before].join(' + ')} >= 1`);
  };
  const { items } = problem;
  for (const j of indices) {
    const item = items[j];
    if (!item) continue;
    problem.marks.forEach(({ costS }, mark) => {
      if (!hasBit(item.wants, mark)) return;
      const leaves = (i: number) => hasBit(items[i]?.leaves ?? NO_BITS, mark);
      unless(`mark_${j}_${mark}`, j, leaves, costS);
    });
  }
  for (const { first, second, costS } of problem.soft) program.cost(precedes(second, first), costS);

  for (const [i, j] of pairs) {
    const [from, to] = [items[i], items[j]];
    if (!from || !to) continue;
    problem.things.forEach(({ costS }, thing) => {
      const bit = 1 << thing;
      if ((to.thingBits & bit) === 0 || (from.thingBits & bit) !== 0) return;
      const held = indices.filter(
        (k) => k !== i && k !== j && ((items[k]?.thingBits ?? 0) & bit) !== 0,
      );
      const name = `again_${i}_${j}_${thing}`;
      if (held.length > 0) program.positive(name, costS);
      for (const k of held) program.row(`${name} - ${follows(i, j)} - ${precedes(k, j)} >= -1`);
    });
  }
  for (const j of indices) curveRows(program, problem, j, indices, precedes);
  return program.text();
}

/** The cost of a place goes straight between these shares of the class; a binary says between which two. */
function curveRows(
  program: LinearProgram,
  problem: OrderProblem,
  j: number,
  indices: readonly number[],
  precedes: (i: number, j: number) => string,
): void {
  const item = problem.items[j];
  if (!item) return;
  const points = item.curves.flatMap(({ curve }) => curve);
  const shares = [...new Set([0, 1, ...points.map(({ share }) => share)])].sort((a, b) => a - b);
  const costS = (share: number) =>
    item.curves.reduce((sum, { curve }) => sum + between(curve, share), 0);
  const others = indices
    .filter((i) => i !== j)
    .map((i) => ` - ${(problem.items[i]?.ownS ?? 0) / problem.totalS} ${precedes(i, j)}`)
    .join('');
  shares.forEach((share, at) => {
    program.positive(`l_${j}_${at}`, costS(share));
    if (at > 0) program.binary(`d_${j}_${at}`, 0);
    const sides = [at, at + 1].filter((each) => each > 0 && each < shares.length);
    program.row(`l_${j}_${at} - ${sides.map((each) => `d_${j}_${each}`).join(' - ')} <= 0`);
  });
  program.row(`${shares.map((_s, at) => `l_${j}_${at}`).join(' + ')} = 1`);
  program.row(
    `${shares
      .slice(1)
      .map((_s, at) => `d_${j}_${at + 1}`)
      .join(' + ')} = 1`,
  );
  const middle = shares.map((share, at) => `${share} l_${j}_${at}`).join(' + ');
  program.row(`${middle}${others} = ${item.ownS / 2 / problem.totalS}`);
}

/** Straight between the points on both sides of a share; said again, not shared with the search. */
function between(points: Curve, share: number): number {
  const after = points.find((point) => point.share >= share) ?? points.at(-1);
  const before = points.findLast((point) => point.share <= share) ?? points[0];
  if (!after || !before) throw new Error('a curve has points');
  if (after.share <= before.share) return before.seconds;
  const part = (share - before.share) / (after.share - before.share);
  return (1 - part) * before.seconds + part * after.seconds;
}
