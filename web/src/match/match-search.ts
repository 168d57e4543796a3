import type { MatchedEntry, MatchQuestion } from '@which-way/contract';
import type { MatchResult } from '@which-way/core/match';
import { createStore } from 'zustand/vanilla';
import { api, NoServerError, toldOf } from '../api/client.js';

export interface SearchState {
  /** Best first. */
  candidates: MatchedEntry[];
  looked: number;
  all: number;
  counts: Record<MatchResult['kind'], number> | null;
  running: boolean;
  trouble: { message: string; hint: string } | null;
}

const NOTHING: SearchState = {
  candidates: [],
  looked: 0,
  all: 0,
  counts: null,
  running: false,
  trouble: null,
};

/** One search through the library, on the server, where the library is; it can be stopped at any time. */
export class MatchSearch {
  readonly store = createStore<SearchState>(() => NOTHING);
  #asked = '';
  #leave: AbortController | null = null;

  /** Begins anew, unless the very same was asked before. */
  start(question: MatchQuestion): void {
    const asked = JSON.stringify(question);
    if (asked === this.#asked) return;
    this.stop();
    this.#asked = asked;
    const leave = new AbortController();
    this.#leave = leave;
    this.store.setState({ ...NOTHING, running: true }, true);
    void this.#run(question, leave);
  }

  stop(): void {
    this.#leave?.abort();
    this.#leave = null;
    this.#asked = '';
    this.store.setState({ running: false });
  }

  async #run(question: MatchQuestion, leave: AbortController): Promise<void> {
    try {
      const found = await api.match(question, leave.signal);
      if (this.#leave === leave) this.store.setState({ ...found, running: false });
    } catch (error) {
      if (this.#leave !== leave) return;
      this.#asked = '';
      const away = error instanceof NoServerError;
      const told = toldOf(error);
      const hint = away
        ? 'The library is on the server: nothing can be looked up until it is back.'
        : told.hint;
      this.store.setState({ running: false, trouble: { message: told.message, hint } });
    }
  }
}
