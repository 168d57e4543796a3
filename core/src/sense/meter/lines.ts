/** Letters of the longest line that is taken; what is longer is no answer of a meter. */
export const LONGEST_LINE = 200;

/** Puts lines together out of pieces that come as they come; a line that is too long is dropped whole, up to its end. */
export class LineBuffer {
  #begun = '';
  #tooLong = false;
  #dropped = 0;

  /** Lines that were too long so far. */
  get dropped(): number {
    return this.#dropped;
  }

  /** The lines that a piece brings to their end, without their ends. */
  push(piece: string): string[] {
    const lines: string[] = [];
    for (const letter of piece) {
      if (letter === '\n' || letter === '\r') {
        if (this.#begun !== '' && !this.#tooLong) lines.push(this.#begun);
        this.#begun = '';
        this.#tooLong = false;
      } else if (this.#begun.length >= LONGEST_LINE) {
        if (!this.#tooLong) this.#dropped += 1;
        this.#tooLong = true;
      } else if (!this.#tooLong) this.#begun += letter;
    }
    return lines;
  }

  /** What was begun belongs to a connection that is gone. */
  clear(): void {
    this.#begun = '';
    this.#tooLong = false;
  }
}
