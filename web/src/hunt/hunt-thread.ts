import type { Evidence, FoundFaults } from '@which-way/core/circuit';
import { wrap, type Remote } from 'comlink';
import type { HuntWorker } from './hunt.worker.js';
import type { Hunted } from './hunted.js';

/** A thread that hunts in one machine. While it is at work only what was asked last waits; what was asked between is dropped. */
export class HuntThread {
  readonly #thread = new Worker(new URL('./hunt.worker.ts', import.meta.url), { type: 'module' });
  readonly #remote: Remote<HuntWorker> = wrap<HuntWorker>(this.#thread);
  readonly #begun: Promise<void>;
  #wanted: { evidence: Evidence; take: (found: FoundFaults) => void } | null = null;
  #busy = false;

  /** @param onFailure it broke, and answers no more */
  constructor(
    hunted: Hunted,
    private readonly onFailure: () => void,
  ) {
    this.#thread.onerror = onFailure;
    this.#begun = this.#remote.of(hunted);
  }

  /** Works out what evidence comes to. */
  ask(evidence: Evidence, take: (found: FoundFaults) => void): void {
    this.#wanted = { evidence, take };
    if (!this.#busy) void this.#work().catch(this.onFailure);
  }

  async #work(): Promise<void> {
    this.#busy = true;
    await this.#begun;
    while (this.#wanted) {
      const { evidence, take } = this.#wanted;
      this.#wanted = null;
      take(await this.#remote.found(evidence));
    }
    this.#busy = false;
  }

  /** Ends it at once, whatever it is at. */
  stop(): void {
    this.#thread.terminate();
  }
}
