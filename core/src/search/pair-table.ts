/** A number for each pair of neighbours. What is not in it was never worked out: asking for it throws. */
export class PairTable {
  readonly size: number;
  private readonly values: Float64Array;

  constructor(size: number) {
    this.size = size;
    this.values = new Float64Array(size * size);
  }

  at(from: number, to: number): number {
    const value = this.values[this.cellOf(from, to)];
    if (value === undefined) throw new Error(`no cost from item ${from} to item ${to}`);
    return value;
  }

  add(from: number, to: number, more: number): void {
    const cell = this.cellOf(from, to);
    this.values[cell] = this.at(from, to) + more;
  }

  /** Beyond the row there is nothing, not the next row. */
  private cellOf(from: number, to: number): number {
    return to < this.size ? from * this.size + to : -1;
  }
}
