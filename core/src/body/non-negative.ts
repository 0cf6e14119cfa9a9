/** One equation: what its unknowns are multiplied by, what it should come to, and how much it counts. */
export interface Equation {
  factors: readonly number[];
  comesTo: number;
  weight: number;
}

/** Less than this is rounding. */
const NOTHING = 5e-9;

/**
 * The unknowns, none of them below zero, that miss the equations least (weighed squares): the active set of
 * Lawson and Hanson, Solving Least Squares Problems (1974), chapter 23, from memory; by normal equations,
 * which a few dozen unknowns of like size allow. `reluctance` says for each unknown how much its own size
 * counts beside the misses: it makes the choice that equations leave.
 */
export function solveNonNegative(
  equations: readonly Equation[],
  reluctance: readonly number[],
): number[] {
  const unknowns = reluctance.length;
  const gram = reluctance.map((weight, at) => {
    const row = new Float64Array(unknowns);
    row[at] = weight * weight;
    return row;
  });
  const right = new Float64Array(unknowns);
  for (const { factors, comesTo, weight } of equations) {
    const square = weight * weight;
    for (let i = 0; i < unknowns; i += 1) {
      const factor = factors[i];
      const row = gram[i];
      if (!factor || !row) continue;
      right[i] = (right[i] ?? 0) + square * factor * comesTo;
      for (let j = 0; j <= i; j += 1) {
        const other = factors[j];
        if (other) row[j] = (row[j] ?? 0) + square * factor * other;
      }
    }
  }
  gram.forEach((row, i) => {
    for (let j = 0; j < i; j += 1) (gram[j] ?? row)[i] = row[j] ?? 0;
  });
  return activeSet(gram, right, unknowns);
}

function activeSet(gram: readonly Float64Array[], right: Float64Array, unknowns: number): number[] {
  const free = firstFree(gram, right, unknowns);
  let now = retreat(gram, right, new Array<number>(unknowns).fill(0), free);
  // Each round lets one unknown go; three times their number is more than any body has needed.
  for (let round = 0; round < 3 * unknowns; round += 1) {
    const next = steepest(gram, right, now, free);
    if (next === undefined) break;
    free.add(next);
    now = retreat(gram, right, now, free);
  }
  return now;
}

/** A good start: the plain answer without what falls below zero in it, again until nothing does. */
function firstFree(
  gram: readonly Float64Array[],
  right: Float64Array,
  unknowns: number,
): Set<number> {
  let free = Array.from({ length: unknowns }, (_each, at) => at);
  for (;;) {
    const wanted = solveSymmetric(gram, right, free);
    const kept = free.filter((_each, at) => (wanted[at] ?? 0) > NOTHING);
    if (kept.length === free.length) return new Set(free);
    free = kept;
  }
}

/** Of those held at zero, the one whose growth betters the answer most. */
function steepest(
  gram: readonly Float64Array[],
  right: Float64Array,
  now: readonly number[],
  free: ReadonlySet<number>,
): number | undefined {
  let [best, most] = [-1, NOTHING];
  gram.forEach((row, index) => {
    if (free.has(index)) return;
    let slope = right[index] ?? 0;
    for (const each of free) slope -= (row[each] ?? 0) * (now[each] ?? 0);
    if (slope > most) [best, most] = [index, slope];
  });
  return best < 0 ? undefined : best;
}

/** Goes towards the answer of those that are free as far as none of them falls below zero. */
function retreat(
  gram: readonly Float64Array[],
  right: Float64Array,
  from: readonly number[],
  free: Set<number>,
): number[] {
  let now = [...from];
  while (free.size > 0) {
    const order = [...free];
    const wanted = solveSymmetric(gram, right, order);
    const falling = order.filter((_each, at) => (wanted[at] ?? 0) <= NOTHING);
    if (falling.length === 0) {
      now = now.map(() => 0);
      order.forEach((each, at) => (now[each] = wanted[at] ?? 0));
      return now;
    }
    let share = 1;
    order.forEach((each, at) => {
      const [here, there] = [now[each] ?? 0, wanted[at] ?? 0];
      if (there <= NOTHING) share = Math.min(share, here / Math.max(here - there, NOTHING));
    });
    order.forEach((each, at) => {
      const here = now[each] ?? 0;
      now[each] = here + share * ((wanted[at] ?? 0) - here);
      if ((now[each] ?? 0) > NOTHING) return;
      now[each] = 0;
      free.delete(each);
    });
  }
  return now;
}

/** Cholesky's way, for the rows and columns that are named. */
function solveSymmetric(
  gram: readonly Float64Array[],
  right: Float64Array,
  order: readonly number[],
): number[] {
  const size = order.length;
  const lower = new Float64Array(size * size);
  const at = (row: number, column: number): number => lower[row * size + column] ?? 0;
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column <= row; column += 1) {
      let sum = gram[order[row] ?? -1]?.[order[column] ?? -1] ?? 0;
      for (let k = 0; k < column; k += 1) sum -= at(row, k) * at(column, k);
      lower[row * size + column] =
        row === column ? Math.sqrt(Math.max(sum, NOTHING)) : sum / at(column, column);
    }
  }
  const half = new Array<number>(size).fill(0);
  for (let row = 0; row < size; row += 1) {
    let sum = right[order[row] ?? -1] ?? 0;
    for (let k = 0; k < row; k += 1) sum -= at(row, k) * (half[k] ?? 0);
    half[row] = sum / at(row, row);
  }
  const answer = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = half[row] ?? 0;
    for (let k = row + 1; k < size; k += 1) sum -= at(k, row) * (answer[k] ?? 0);
    answer[row] = sum / at(row, row);
  }
  return answer;
}
