import { LineBuffer } from '@which-way/core/sense/meter';
import type { Transport } from './transport.js';

/** Why a conversation ended, as a code. */
export type Ending = 'closed' | 'silent' | 'nonsense' | 'ended';

/** The meter is gone, or is none. */
export class MeterLost extends Error {
  constructor(
    readonly ending: Ending,
    message: string = ending,
  ) {
    super(message);
  }
}

/** Lines that wait to be read; a meter that talks faster than it is heard loses the oldest. */
const MOST_WAITING = 500;

/** Letters a second of the fastest meter; what floods the wire is cut off. */
const MOST_A_SECOND = 200_000;

/** Lines to and from a meter over one wire. Once it ended, every wait ends. */
export class Conversation {
  readonly #lines = new LineBuffer();
  readonly #waiting: string[] = [];
  #wake: (() => void) | null = null;
  #ended: MeterLost | null = null;
  #second = { began: 0, letters: 0 };

  constructor(
    private readonly wire: Transport,
    /** Hears each line that comes, for whoever looks at them. */
    private readonly overheard: (line: string) => void = () => undefined,
  ) {
    wire.listen(
      (text) => {
        if (this.#isFlood(text.length)) return;
        for (const line of this.#lines.push(text)) {
          this.overheard(line);
          this.#waiting.push(line);
          if (this.#waiting.length > MOST_WAITING) this.#waiting.shift();
        }
        this.#wake?.();
      },
      (why) => {
        this.#ended ??= new MeterLost(why === null ? 'ended' : 'closed', why ?? 'ended');
        this.#wake?.();
      },
    );
  }

  say(command: string): void {
    if (!this.#ended) this.wire.write(`${command}\n`);
  }

  /** The answer to a command. @throws MeterLost after so many milliseconds without one: what comes later must not answer something else. */
  async ask(command: string, milliseconds: number, onLate: () => void = () => undefined): Promise<string> {
    this.#waiting.length = 0;
    this.say(command);
    return this.next(milliseconds, onLate);
  }

  /** The next line. @param onLate called once, when half of the time is over. */
  async next(milliseconds: number, onLate: () => void = () => undefined): Promise<string> {
    const until = Date.now() + milliseconds;
    const late = setTimeout(onLate, milliseconds / 2);
    try {
      for (;;) {
        const line = this.#waiting.shift();
        if (line !== undefined) return line;
        if (this.#ended) throw this.#ended;
        const left = until - Date.now();
        if (left <= 0) throw new MeterLost('silent');
        await this.#something(left);
      }
    } finally {
      clearTimeout(late);
    }
  }

  end(): void {
    this.#ended ??= new MeterLost('ended');
    this.#wake?.();
    this.wire.end();
  }

  #isFlood(letters: number): boolean {
    const now = Date.now();
    if (now - this.#second.began > 1000) this.#second = { began: now, letters: 0 };
    this.#second.letters += letters;
    if (this.#second.letters <= MOST_A_SECOND) return false;
    this.#ended ??= new MeterLost('nonsense');
    this.#wake?.();
    this.wire.end();
    return true;
  }

  #something(milliseconds: number): Promise<void> {
    return new Promise((resolve) => {
      const done = () => {
        clearTimeout(timer);
        this.#wake = null;
        resolve();
      };
      const timer = setTimeout(done, milliseconds);
      this.#wake = done;
    });
  }
}
