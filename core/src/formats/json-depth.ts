const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENS: ReadonlySet<number> = new Set([0x5b, 0x7b]);
const CLOSES: ReadonlySet<number> = new Set([0x5d, 0x7d]);

/**
 * Follows how deep JSON is nested while its bytes come, before anybody builds values of it: a reader takes ever longer for each further
 * level. Works on UTF-8, since no byte of a longer character is one of the marks.
 */
export class JsonDepth {
  #levels = 0;
  #inText = false;
  #escaped = false;

  /** The deepest level in these bytes, counted from the beginning of the file. */
  add(bytes: Uint8Array): number {
    let deepest = this.#levels;
    for (const byte of bytes) {
      if (this.#inText) {
        if (this.#escaped) this.#escaped = false;
        else if (byte === BACKSLASH) this.#escaped = true;
        else if (byte === QUOTE) this.#inText = false;
      } else if (byte === QUOTE) this.#inText = true;
      else if (OPENS.has(byte)) {
        this.#levels += 1;
        if (this.#levels > deepest) deepest = this.#levels;
      } else if (CLOSES.has(byte)) this.#levels -= 1;
    }
    return deepest;
  }
}
