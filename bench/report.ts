export interface Summary {
  median: number;
  p95: number;
  p99: number;
  count: number;
}

export function summarise(values: readonly number[]): Summary {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { median: at(0.5), p95: at(0.95), p99: at(0.99), count: sorted.length };
}

/** One line: what, figures in milliseconds, and what to hold them against. */
export function report(
  what: string,
  { median, p95, p99, count }: Summary,
  reference: string,
): void {
  const show = (value: number) => `${value.toFixed(2)} ms`;
  process.stdout.write(
    `${what}: median ${show(median)}, p95 ${show(p95)}, p99 ${show(p99)} over ${count} (${reference})\n`,
  );
}
