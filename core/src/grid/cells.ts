// Numbers in a row, or in rows of the same length, all there from the beginning: reading one is a number, never undefined.
// An index beyond the end is a defect of the caller, as with a plain array.

/** Whole numbers of 32 bits: counts, indexes, and sets as bits. */
export class Ints {
  readonly cells: Int32Array;

  /** @param columns the length of a row, for `cell` */
  constructor(
    of: number | Iterable<number>,
    readonly columns = 1,
  ) {
    this.cells = typeof of === 'number' ? new Int32Array(of) : Int32Array.from(of);
  }

  /** So many numbers, each made from its index. */
  static from(length: number, make: (index: number) => number, columns = 1): Ints {
    const made = new Ints(length, columns);
    for (let index = 0; index < length; index += 1) made.cells[index] = make(index);
    return made;
  }

  /** So many of one number. */
  static filled(length: number, value: number, columns = 1): Ints {
    const made = new Ints(length, columns);
    made.cells.fill(value);
    return made;
  }

  /** Rows of the same length, one after another. */
  static rows(rows: readonly (readonly number[])[]): Ints {
    return new Ints(rows.flat(), rows[0]?.length ?? 1);
  }

  get length(): number {
    return this.cells.length;
  }

  /** The number at an index. */
  get(index: number): number {
    return this.cells[index] as number;
  }

  set(index: number, value: number): void {
    this.cells[index] = value;
  }

  /** Adds to the number at an index. */
  add(index: number, by: number): void {
    this.cells[index] = (this.cells[index] as number) + by;
  }

  /** The number in a row and a column. */
  cell(row: number, column: number): number {
    return this.cells[row * this.columns + column] as number;
  }

  /** One with the same numbers, of its own. */
  copy(): Ints {
    return new Ints(this.cells, this.columns);
  }

  /** Sets these bits at an index, beside those that are set. */
  setBits(index: number, bits: number): void {
    this.cells[index] = (this.cells[index] as number) | bits;
  }

  /** Takes over all numbers of another that is as long. */
  takeOver(from: Ints): void {
    this.cells.set(from.cells);
  }
}

/** Numbers with fractions, in double precision. */
export class Reals {
  readonly cells: Float64Array;

  /** @param columns the length of a row, for `cell` */
  constructor(
    of: number | Iterable<number>,
    readonly columns = 1,
  ) {
    this.cells = typeof of === 'number' ? new Float64Array(of) : Float64Array.from(of);
  }

  /** So many of one number. */
  static filled(length: number, value: number): Reals {
    const made = new Reals(length);
    made.cells.fill(value);
    return made;
  }

  get length(): number {
    return this.cells.length;
  }

  /** The number at an index. */
  get(index: number): number {
    return this.cells[index] as number;
  }

  set(index: number, value: number): void {
    this.cells[index] = value;
  }

  /** Adds to the number at an index. */
  add(index: number, by: number): void {
    this.cells[index] = (this.cells[index] as number) + by;
  }

  /** The number in a row and a column. */
  cell(row: number, column: number): number {
    return this.cells[row * this.columns + column] as number;
  }

  /** Exchanges two rows. */
  swapRows(one: number, other: number): void {
    if (one === other) return;
    const { columns, cells } = this;
    const kept = cells.slice(one * columns, (one + 1) * columns);
    cells.copyWithin(one * columns, other * columns, (other + 1) * columns);
    cells.set(kept, other * columns);
  }
}
