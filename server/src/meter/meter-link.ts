import { setTimeout as sleep } from 'node:timers/promises';
import { NO_READING, printable, type WiredReading } from '@which-way/core/sense/meter';
import type { MeterStanding } from '@which-way/contract';
import { Conversation, MeterLost } from './conversation.js';
import type { Protocol } from './protocols.js';
import type { Transport } from './transport.js';

/** Milliseconds until it is tried again: twice as long each time, up to the second. */
const [FIRST_WAIT, LONGEST_WAIT] = [250, 8000];
/** Milliseconds between two readings that are told to the pages. */
const TELL_MS = 25;
/** Lines that are kept for whoever looks. */
const KEPT_LINES = 40;
const SHOWN_LETTERS = 80;

/** What is known of a meter, without who takes its readings. */
export interface LinkState {
  standing: MeterStanding;
  name: string;
  reading: WiredReading;
  trouble: string | null;
}

/** Keeps up a connection to one meter: talks with it, and tries again when it is gone, for as long as it is wanted. */
export class MeterLink {
  readonly lines: string[] = [];
  #state: LinkState = { standing: 'connecting', name: '', reading: NO_READING, trouble: null };
  #meter: Conversation | null = null;
  readonly #leave = new AbortController();
  #told = 0;
  #held: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly open: () => Promise<Transport>,
    private readonly protocol: Protocol,
    private readonly tell: (state: LinkState) => void,
  ) {
    void this.#run();
  }

  get state(): LinkState {
    return this.#state;
  }

  /** Ends it for good. */
  end(): void {
    this.#leave.abort();
    clearTimeout(this.#held);
    this.#meter?.end();
  }

  async #run(): Promise<void> {
    let wait = FIRST_WAIT;
    while (!this.#isEnded) {
      const why = await this.#once(() => (wait = FIRST_WAIT));
      if (this.#isEnded) return;
      this.#say({ standing: 'lost', reading: NO_READING, trouble: why });
      await sleep(wait, undefined, { signal: this.#leave.signal }).catch(() => undefined);
      wait = Math.min(2 * wait, LONGEST_WAIT);
      if (!this.#isEnded) this.#say({ standing: 'connecting' });
    }
  }

  /** One connection, from its beginning to its end; why it ended. */
  async #once(stands: () => void): Promise<string> {
    try {
      const wire = await this.open();
      this.#meter = new Conversation(wire, (line) => this.#keep(line));
      if (this.#isEnded) this.#meter.end();
      return await this.protocol(this.#meter, {
        ready: (name) => {
          stands();
          this.#say({ standing: 'ready', name, reading: NO_READING, trouble: null });
        },
        late: () => this.#say({ standing: 'late', reading: NO_READING }),
        read: (reading) => this.#read(reading),
        error: (trouble) => this.#say({ trouble }),
      });
    } catch (error) {
      if (error instanceof MeterLost) return error.ending;
      // A code alone: where the meter is stays on this machine.
      const { code, message } = error as NodeJS.ErrnoException;
      return printable(code ?? message, SHOWN_LETTERS);
    } finally {
      this.#meter?.end();
      this.#meter = null;
    }
  }

  get #isEnded(): boolean {
    return this.#leave.signal.aborted;
  }

  #keep(line: string): void {
    this.lines.push(printable(line, SHOWN_LETTERS));
    if (this.lines.length > KEPT_LINES) this.lines.shift();
  }

  /** Of many readings at once those are told in which the leads were lifted, or nothing was said: steady is only what had no gap. */
  #read(reading: WiredReading): void {
    const isGap = this.#held !== undefined && this.#state.reading.value.kind !== 'ohms';
    if (!isGap || reading.value.kind !== 'ohms') this.#state = { ...this.#state, standing: 'ready', reading };
    const left = this.#told + TELL_MS - Date.now();
    if (left <= 0 && this.#held === undefined) return this.#say({});
    this.#held ??= setTimeout(() => this.#say({}), Math.max(0, left));
  }

  #say(change: Partial<LinkState>): void {
    clearTimeout(this.#held);
    this.#held = undefined;
    this.#told = Date.now();
    this.#state = { ...this.#state, ...change };
    this.tell(this.#state);
  }
}
