import type { MatchResult, Requirement } from '@which-way/core/match';
import type { KnownSwitch } from '@which-way/core/switch';
import { wrap } from 'comlink';
import { createStore } from 'zustand/vanilla';
import { rankOf } from './rank.js';
import type { MatchWorker } from './match.worker.js';

/** A library entry with what came out for it. */
export interface Candidate {
  known: KnownSwitch;
  result: MatchResult;
}

export interface SearchState {
  /** Best first, as far as the search got. */
  candidates: Candidate[];
  all: number;
  running: boolean;
  trouble: string | null;
}

/** One search through the library in a worker of its own; it can be stopped at any time. */
export class MatchSearch {
  readonly store = createStore<SearchState>(() => ({
    candidates: [],
    all: 0,
    running: false,
    trouble: null,
  }));
  #thread: Worker | null = null;
  #asked = '';

  /** Begins anew, unless the very same was asked before. */
  start(requirement: Requirement, library: readonly KnownSwitch[]): void {
    const asked = JSON.stringify([
      requirement,
      requirement.known && [...requirement.known],
      library.map(({ id }) => id),
    ]);
    if (asked === this.#asked) return;
    this.stop();
    this.#asked = asked;
    this.store.setState({ candidates: [], all: library.length, running: true, trouble: null });
    const thread = new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' });
    this.#thread = thread;
    thread.onerror = () => {
      this.store.setState({ trouble: 'The search could not be started. Reload the page.' });
      this.stop();
    };
    void this.#run(thread, requirement, library);
  }

  stop(): void {
    this.#thread?.terminate();
    this.#thread = null;
    this.#asked = '';
    this.store.setState({ running: false });
  }

  async #run(thread: Worker, requirement: Requirement, library: readonly KnownSwitch[]): Promise<void> {
    const worker = wrap<MatchWorker>(thread);
    for (const known of library) {
      const { terminals, positions } = known;
      const result = await worker.match(requirement, { terminals, positions });
      if (this.#thread !== thread) return;
      const candidates = [...this.store.getState().candidates, { known, result }];
      this.store.setState({ candidates: candidates.sort((one, other) => rankOf(one) - rankOf(other)) });
    }
    this.store.setState({ running: false });
    thread.terminate();
    this.#thread = null;
  }
}
