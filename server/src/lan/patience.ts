/** First wait after a wrong code, in seconds; it doubles with each further one. */
const FIRST_WAIT = 1;
const LONGEST_WAIT = 300;
/** Wrong codes from all addresses together that are let pass before all who were wrong wait. */
const SHARED_FREE = 20;
const FORGET_AFTER_MS = 30 * 60_000;

interface Tally {
  wrong: number;
  last: number;
}

/**
 * Slows down whoever tries codes: each wrong one doubles the wait of its address. Many wrong ones together, from whatever
 * addresses, make those wait too that were wrong before; an address that never was is not locked out by others.
 */
export class Patience {
  readonly #byAddress = new Map<string, Tally>();
  #shared: Tally = { wrong: 0, last: 0 };

  /** @param now milliseconds, of any clock that only goes forward. */
  constructor(private readonly now: () => number = () => performance.now()) {}

  /** Seconds that this address still has to wait; 0 when it may try. */
  waitOf(address: string): number {
    this.#forget();
    const own = this.#byAddress.get(address);
    if (!own) return 0;
    return Math.max(this.#left(own, own.wrong), this.#left(this.#shared, this.#shared.wrong - SHARED_FREE));
  }

  wrong(address: string): void {
    const own = this.#byAddress.get(address);
    const last = this.now();
    this.#byAddress.set(address, { wrong: (own?.wrong ?? 0) + 1, last });
    this.#shared = { wrong: this.#shared.wrong + 1, last };
  }

  right(address: string): void {
    this.#byAddress.delete(address);
  }

  #left({ last }: Tally, count: number): number {
    if (count <= 0) return 0;
    const wait = Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** Math.min(count - 1, 20));
    return Math.max(0, Math.ceil(wait - (this.now() - last) / 1000));
  }

  #forget(): void {
    const old = this.now() - FORGET_AFTER_MS;
    for (const [address, { last }] of this.#byAddress) if (last < old) this.#byAddress.delete(address);
    if (this.#shared.last < old) this.#shared = { wrong: 0, last: 0 };
  }
}
