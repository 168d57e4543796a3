import type { MatchAnswer, MatchedEntry, MatchQuestion } from '@which-way/contract';
import type { MatchResult } from '@which-way/core/match';
import { createStore } from 'zustand/vanilla';
import { api, NoServerError, toldOf } from '../../api/client.js';
import { MATCH_SEARCH_TEXT } from '@which-way/words/screens/parts/finding/match-search';

/** What a change of what is asked did: which candidates come, which go. */
export interface ListChange {
  come: string[];
  go: string[];
}

export interface SearchState {
  /** What the candidates were compared with: their terminals and positions mean nothing to another requirement. */
  shape: string;
  /** Best first; while it runs, those that were found so far. */
  candidates: MatchedEntry[];
  looked: number;
  all: number;
  counts: Record<MatchResult['kind'], number> | null;
  running: boolean;
  /** The whole library was looked at. */
  done: boolean;
  /** Beside the answer before; null: there was none to compare with. */
  change: ListChange | null;
  trouble: { message: string; hint: string } | null;
}

const NOTHING: SearchState = {
  shape: '',
  candidates: [],
  looked: 0,
  all: 0,
  counts: null,
  running: false,
  done: false,
  change: null,
  trouble: null,
};

/** What candidates are compared with, as a text: the wires and positions that they are laid on. */
export const shapeOf = ({ pattern, terminals }: MatchQuestion): string =>
  JSON.stringify([pattern, terminals]);

/** One search through the library, on the server, where the library is; it can be stopped at any time. */
export class MatchSearch {
  readonly store = createStore<SearchState>(() => NOTHING);
  #asked = '';
  #leave: AbortController | null = null;
  /** Names of those that might do, by the last whole answer. */
  #before: { words: string; named: MatchAnswer['named'] } | null = null;

  /** Begins anew, unless the very same was asked before. What was found last stays in sight until something is found. */
  start(question: MatchQuestion): void {
    const asked = JSON.stringify(question);
    if (asked === this.#asked) return;
    this.stop();
    this.#asked = asked;
    const leave = new AbortController();
    this.#leave = leave;
    this.store.setState({ running: true, done: false, trouble: null, change: null, looked: 0 });
    void this.#run(question, leave);
  }

  /** Ends the search; what was found so far stays. */
  stop(): void {
    this.#leave?.abort();
    this.#leave = null;
    this.#asked = '';
    this.store.setState({ running: false });
  }

  async #run(question: MatchQuestion, leave: AbortController): Promise<void> {
    try {
      const hear = ({ candidates, looked, all, counts }: MatchAnswer) => {
        if (this.#leave === leave)
          this.store.setState({ candidates, looked, all, counts, shape: shapeOf(question) });
      };
      const found = await api.match(question, leave.signal, hear);
      if (this.#leave !== leave) return;
      hear(found);
      const { words } = question;
      // With other words it is another list: nothing comes or goes by what is asked.
      const before = this.#before?.words === words ? this.#before.named : null;
      this.store.setState({ running: false, done: true, change: changeOf(before, found.named) });
      this.#before = { words, named: found.named };
    } catch (error) {
      if (this.#leave !== leave) return;
      this.#asked = '';
      const away = error instanceof NoServerError;
      const told = toldOf(error);
      const hint = away ? MATCH_SEARCH_TEXT.theLibraryIsOnThe : told.hint;
      this.store.setState({ ...NOTHING, trouble: { message: told.message, hint } });
    }
  }
}

/** Which of the newer answer were not in the older one, and the other way round. */
export function changeOf(
  before: MatchAnswer['named'] | null,
  after: MatchAnswer['named'],
): ListChange | null {
  if (!before) return null;
  const [had, has] = [new Set(before.map(({ id }) => id)), new Set(after.map(({ id }) => id))];
  return {
    come: after.filter(({ id }) => !had.has(id)).map(({ name }) => name),
    go: before.filter(({ id }) => !has.has(id)).map(({ name }) => name),
  };
}
