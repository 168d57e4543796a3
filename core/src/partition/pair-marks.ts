/** A mark or none for each pair of places, the same both ways round: one byte a cell, so that large switches stay quick. */
export class PairMarks {
  private constructor(
    /** How many places there are. */
    readonly size: number,
    private readonly cells: Uint8Array,
  ) {}

  /** No pair is marked. */
  static none(size: number): PairMarks {
    return new PairMarks(size, new Uint8Array(size * size));
  }

  /** These pairs are marked. */
  static of(size: number, pairs: Iterable<readonly [number, number]>): PairMarks {
    const marks = PairMarks.none(size);
    for (const [a, b] of pairs) marks.mark(a, b);
    return marks;
  }

  has(a: number, b: number): boolean {
    return this.cells[a * this.size + b] === 1;
  }

  mark(a: number, b: number): void {
    this.cells[a * this.size + b] = this.cells[b * this.size + a] = 1;
  }

  unmark(a: number, b: number): void {
    this.cells[a * this.size + b] = this.cells[b * this.size + a] = 0;
  }

  /** Whether any pair is marked. */
  any(): boolean {
    return this.cells.includes(1);
  }

  /** How many pairs are marked. */
  count(): number {
    let cells = 0;
    for (const cell of this.cells) cells += cell;
    return cells / 2;
  }

  copy(): PairMarks {
    return new PairMarks(this.size, this.cells.slice());
  }
}

/** The place of a pair in a table kept row by row. */
export const cellOf = (size: number, a: number, b: number): number => a * size + b;

/** The place of a pair in such a table whichever way round: that of its smaller place first. */
export const pairCell = (size: number, a: number, b: number): number => (a < b ? a * size + b : b * size + a);
