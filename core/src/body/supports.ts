import type { Contact } from './contacts.ts';
import type { Vec3 } from './space.ts';

/** A contact with the share of body weight that it carries. */
export interface Support extends Contact {
  share: number;
}

/**
 * Shares the weight among the contacts: the firmness-weighted least squares solution of the balance of force and of
 * moments about both level axes, with no contact pulling. Contacts that would pull are dropped and
 * the rest solved again, as in an active set. When the weight cannot be balanced (a moving or a
 * held body) the answer is the nearest one, and `balanced` is false.
 */
export function shareWeight(
  contacts: readonly Contact[],
  centre: Vec3,
): { supports: Support[]; balanced: boolean } {
  let active = contacts.map((_, index) => index);
  let shares: number[] = [];
  while (active.length > 0) {
    const bearing = active.flatMap((index) => contacts[index] ?? []);
    shares = leastSquares(bearing, centre);
    const pulling = shares.flatMap((share, at) => (share < -1e-9 ? [at] : []));
    if (pulling.length === 0) break;
    const worst = pulling.reduce((a, b) => ((shares[a] ?? 0) < (shares[b] ?? 0) ? a : b));
    active = active.filter((_, at) => at !== worst);
  }
  const supports = contacts.map((contact, index) => {
    const at = active.indexOf(index);
    return { ...contact, share: at < 0 ? 0 : (shares[at] ?? 0) };
  });
  return { supports, balanced: isBalanced(supports, centre) };
}

/** A centimetre and a half of lever, on a body of 1.75 m. */
const BALANCED_WITHIN = 0.009;
/** Of body weight: rounding of the shares. */
const CARRIED_WITHIN = 0.02;

function isBalanced(supports: readonly Support[], centre: Vec3): boolean {
  let force = 0;
  let alongX = 0;
  let alongZ = 0;
  for (const { share, at } of supports) {
    force += share;
    alongX += share * (at[0] - centre[0]);
    alongZ += share * (at[2] - centre[2]);
  }
  return (
    Math.abs(force - 1) < CARRIED_WITHIN &&
    Math.abs(alongX) < BALANCED_WITHIN &&
    Math.abs(alongZ) < BALANCED_WITHIN
  );
}

/**
 * The shares f with A f = b that are least when weighed by firmness W, where A's rows are force and
 * the moments about x and z: f = W Aᵀ (A W Aᵀ + ε)⁻¹ b. The small ε keeps contacts in one line
 * solvable.
 */
function leastSquares(contacts: readonly Contact[], centre: Vec3): number[] {
  const rows = contacts.map(
    ({ at, firmness }) => [1, at[0] - centre[0], at[2] - centre[2], firmness] as const,
  );
  const gram = [0, 1, 2].map((i) =>
    [0, 1, 2].map(
      (j) =>
        rows.reduce((sum, row) => sum + row[i as 0] * row[j as 0] * row[3], 0) +
        (i === j ? 1e-7 : 0),
    ),
  );
  const y = solve(gram, [1, 0, 0]);
  return rows.map(
    (row) => row[3] * (row[0] * (y[0] ?? 0) + row[1] * (y[1] ?? 0) + row[2] * (y[2] ?? 0)),
  );
}

/** Gaussian elimination with partial pivoting, for a few unknowns. */
function solve(matrix: number[][], right: number[]): number[] {
  const m = matrix.map((row, index) => [...row, right[index] ?? 0]);
  const n = m.length;
  const at = (row: number, column: number): number => m[row]?.[column] ?? 0;
  for (let column = 0; column < n; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < n; row += 1) {
      if (Math.abs(at(row, column)) > Math.abs(at(pivot, column))) pivot = row;
    }
    const [a, b] = [m[column], m[pivot]];
    if (a && b) [m[column], m[pivot]] = [b, a];
    for (let row = 0; row < n; row += 1) {
      if (row === column || at(column, column) === 0) continue;
      const factor = at(row, column) / at(column, column);
      m[row] = (m[row] ?? []).map((value, index) => value - factor * at(column, index));
    }
  }
  return m.map((_, index) => (at(index, index) === 0 ? 0 : at(index, n) / at(index, index)));
}
