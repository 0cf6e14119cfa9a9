import { LinearProgram } from '../draft/linear-program.ts';
import type { OrderProblem } from '../search/problem.ts';

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
    program.binary(`x_s_${j}`, problem.setUpFirst[j] ?? 0);
    program.binary(`x_${j}_t`, 0);
  }
  for (const [i, j] of pairs) {
    const cell = i * count + j;
    program.binary(follows(i, j), (problem.setUpMet[cell] ?? 0) + (problem.nearSum[cell] ?? 0));
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
    const j = problem.units[unit]?.[0] ?? 0;
    for (const each of earlier) program.row(`${precedes(problem.units[each]?.[0] ?? 0, j)} = 1`);
  });

  /** Costs what is not prepared: 1 unless one of these stands before `j`. */
  const unless = (name: string, j: number, prepared: (i: number) => boolean, cost: number) => {
    if (cost === 0) return;
    program.positive(name, cost);
    const before = indices.filter((i) => i !== j && prepared(i)).map((i) => precedes(i, j));
    program.row(`${[name, ...before].join(' + ')} >= 1`);
  };
  const { items, place } = problem;
  for (const j of indices) {
    const item = items[j];
    if (!item) continue;
    for (let load = 1; load < item.spineLoad; load += 1) {
      unless(`load_${j}_${load}`, j, (i) => (items[i]?.spineLoad ?? 0) >= load, place.load);
    }
    item.needs.forEach((need, at) => {
      const teaches = (i: number) => ((items[i]?.taughtBits ?? 0) & need) !== 0;
      unless(`need_${j}_${at}`, j, teaches, place.needs);
    });
    if (item.bendsLoaded) unless(`warm_${j}`, j, (i) => items[i]?.warmsBelly ?? false, place.warm);
    if (item.moved === 'high' && problem.hasLowMover) {
      unless(`low_${j}`, j, (i) => items[i]?.moved !== 'neither', place.lowFirst);
    }
    if (!item.isAwareness) program.cost(`x_s_${j}`, place.awareness);
  }
  for (const { first, second, costS } of problem.soft) program.cost(precedes(second, first), costS);

  for (const [i, j] of pairs) {
    const cell = i * count + j;
    const [from, to] = [items[i], items[j]];
    if (!from || !to) continue;
    const met = indices.filter(
      (k) => k !== j && ((items[k]?.positionBits ?? 0) & to.startBit) !== 0,
    );
    const extra = (problem.setUpNew[cell] ?? 0) - (problem.setUpMet[cell] ?? 0);
    if (extra > 0) {
      program.positive(`new_${i}_${j}`, extra);
      const before = met.map((k) => ` + ${precedes(k, j)}`).join('');
      program.row(`new_${i}_${j} - ${follows(i, j)}${before} >= 0`);
    }
    for (let prop = 0; prop < 10; prop += 1) {
      const bit = 1 << prop;
      if ((to.propBits & bit) === 0 || (from.propBits & bit) !== 0) continue;
      const held = indices.filter(
        (k) => k !== i && k !== j && ((items[k]?.propBits ?? 0) & bit) !== 0,
      );
      if (held.length === 0) continue;
      const name = `again_${i}_${j}_${prop}`;
      program.positive(name, place.propsAgain);
      for (const k of held) program.row(`${name} - ${follows(i, j)} - ${precedes(k, j)} >= -1`);
    }
  }
  for (const j of indices) effortRows(program, problem, j, indices, precedes);
  return program.text();
}

/** The effort cost goes straight between these shares of the class; a binary says between which two. */
function effortRows(
  program: LinearProgram,
  problem: OrderProblem,
  j: number,
  indices: readonly number[],
  precedes: (i: number, j: number) => string,
): void {
  const item = problem.items[j];
  if (!item) return;
  const shares = breakpoints(problem, item.effort);
  const others = indices
    .filter((i) => i !== j)
    .map((i) => ` - ${(problem.items[i]?.ownS ?? 0) / problem.totalS} ${precedes(i, j)}`)
    .join('');
  shares.forEach((share, at) => {
    program.positive(`l_${j}_${at}`, effortAt(problem, item.effort, share));
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

const PEAK = [0.55, 0.85] as const;

function breakpoints({ band }: OrderProblem, effort: number): number[] {
  const shares = new Set<number>([0, 1, ...PEAK, ...band.map(({ share }) => share)]);
  band.slice(1).forEach((to, index) => {
    const from = band[index];
    if (!from) return;
    for (const edge of ['low', 'high'] as const) {
      const rise = to[edge] - from[edge];
      const part = rise === 0 ? -1 : (effort - from[edge]) / rise;
      if (part > 0 && part < 1) shares.add(from.share + part * (to.share - from.share));
    }
  });
  return [...shares].sort((a, b) => a - b);
}

function effortAt(problem: OrderProblem, effort: number, share: number): number {
  const next = problem.band.findIndex((point) => point.share >= share - 1e-12);
  const to = problem.band[next];
  const from = problem.band[Math.max(0, next - 1)];
  if (!from || !to) throw new Error('the band covers the class');
  const part = to === from ? 0 : (share - from.share) / (to.share - from.share);
  const low = from.low + part * (to.low - from.low);
  const high = from.high + part * (to.high - from.high);
  const outside = Math.max(0, low - effort, effort - high) * problem.place.effort;
  if (problem.hardestCount === 0 || effort < problem.hardest) return outside;
  const away = Math.max(0, PEAK[0] - share, share - PEAK[1]);
  return outside + (away * 10 * problem.place.peak) / problem.hardestCount;
}
