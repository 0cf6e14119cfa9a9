/** Spearman's rank correlation, -1 to 1; ties share the mean of their ranks. */
export function rankCorrelation(one: readonly number[], other: readonly number[]): number {
  return correlation(ranksOf(one), ranksOf(other));
}

function ranksOf(values: readonly number[]): number[] {
  return values.map((value) => {
    const less = values.filter((each) => each < value).length;
    const same = values.filter((each) => each === value).length;
    return less + (same + 1) / 2;
  });
}

/** Pearson's. */
function correlation(one: readonly number[], other: readonly number[]): number {
  const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
  const [a, b] = [one.map((each) => each - mean(one)), other.map((each) => each - mean(other))];
  const dot = (x: readonly number[], y: readonly number[]) =>
    x.reduce((sum, each, index) => sum + each * (y[index] ?? 0), 0);
  return dot(a, b) / Math.sqrt(dot(a, a) * dot(b, b));
}
