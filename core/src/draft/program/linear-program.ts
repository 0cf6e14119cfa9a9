/** A linear program with whole numbers, as it grows; written in CPLEX LP format. Minimises. */
export class LinearProgram {
  readonly #costs = new Map<string, number>();
  readonly #rows: string[] = [];
  readonly #binaries: string[] = [];

  /** A variable that is 0 or 1. */
  binary(name: string, cost = 0): void {
    this.#binaries.push(name);
    this.cost(name, cost);
  }

  /** Anything from 0 up, which is what a variable is unless it is said otherwise. */
  positive(name: string, cost = 0): void {
    this.cost(name, cost);
  }

  cost(name: string, cost: number): void {
    this.#costs.set(name, (this.#costs.get(name) ?? 0) + cost);
  }

  /** A row as text, e.g. "x + 2 y <= 4". */
  row(text: string): void {
    this.#rows.push(` c${this.#rows.length}: ${text}`);
  }

  text(): string {
    const objective = sumText([...this.#costs].map(([name, cost]) => [cost, name] as const));
    const binaries = this.#binaries.length > 0 ? `Binary\n ${this.#binaries.join('\n ')}\n` : '';
    return `Minimize\n obj: ${objective}\nSubject To\n${this.#rows.join('\n')}\n${binaries}End\n`;
  }
}

/** A sum as text: `3 x - 2 y`, a term a line; terms of nothing fall away. */
export function sumText(terms: readonly (readonly [coefficient: number, name: string])[]): string {
  const written = terms
    .filter(([coefficient]) => coefficient !== 0)
    .map(
      ([coefficient, name]) => `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} ${name}`,
    );
  return written.length === 0 ? '0 nothing' : written.join('\n ');
}
