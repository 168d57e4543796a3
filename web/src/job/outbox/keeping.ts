import { KEEPING_WORDS } from '@which-way/words/kept';

/** Milliseconds that the browser has to say that it kept something; a silent one counts as one that does not. */
const PATIENCE_MS = 2500;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];

interface Piece {
  store: () => Promise<void>;
  /** The browser has refused it, or has not answered in time. */
  failed: boolean;
  tries: number;
}

/**
 * Knows of each piece of unsent work whether the browser keeps it through a reload. What it will not keep (storage missing,
 * refusing, silent, full) is tried again as long as it is needed.
 */
export class Keeping {
  readonly #pieces = new Map<string, Piece>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  #reason = '';

  /** @param onChange called when the answer to `unkept` is another one. */
  constructor(private readonly onChange: () => void) {}

  /** How many pieces are in this open page alone, as far as is known. */
  get unkept(): number {
    return [...this.#pieces.values()].filter(({ failed }) => failed).length;
  }

  /** What the browser said last when it did not keep something. */
  get reason(): string {
    return this.#reason;
  }

  /** Keeps a piece: now, or as soon as the browser will. */
  keep(id: string, store: () => Promise<void>): void {
    const piece: Piece = { store, failed: false, tries: 0 };
    this.#pieces.set(id, piece);
    void this.#try(id, piece);
  }

  /** The piece is on the server, or not wanted any more. */
  release(ids: readonly string[]): void {
    let known = false;
    for (const id of ids) {
      known ||= this.#pieces.get(id)?.failed ?? false;
      this.#pieces.delete(id);
    }
    if (known) this.onChange();
  }

  close(): void {
    clearTimeout(this.#timer);
  }

  async #try(id: string, piece: Piece): Promise<void> {
    piece.tries += 1;
    try {
      await within(PATIENCE_MS, piece.store());
      if (this.#pieces.get(id) === piece) this.#pieces.delete(id);
      if (piece.failed) this.onChange();
    } catch (error) {
      if (this.#pieces.get(id) !== piece) return;
      this.#reason = keepingTrouble(error);
      piece.failed = true;
      this.onChange();
      this.#later();
    }
  }

  #later(): void {
    clearTimeout(this.#timer);
    const failed = [...this.#pieces].filter(([, piece]) => piece.failed);
    if (failed.length === 0) return;
    const tries = Math.min(...failed.map(([, piece]) => piece.tries));
    this.#timer = setTimeout(
      () => {
        for (const [id, piece] of failed) if (this.#pieces.get(id) === piece) void this.#try(id, piece);
      },
      RETRY_MS[Math.min(tries - 1, RETRY_MS.length - 1)],
    );
  }
}

class SilentStorage extends Error {}

/** Why the browser does not keep something, in a sentence; what an engine says of itself is no news for a person. */
function keepingTrouble(error: unknown): string {
  if (error instanceof SilentStorage) return KEEPING_WORDS.silent;
  const full = error instanceof Error && /quota/i.test(`${error.name} ${error.message}`);
  return full ? KEEPING_WORDS.full : KEEPING_WORDS.refuses;
}

function within<Value>(milliseconds: number, promise: Promise<Value>): Promise<Value> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new SilentStorage()), milliseconds);
    promise.then(resolve, reject).finally(() => clearTimeout(timer));
  });
}
