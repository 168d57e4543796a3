import type { MatchAnswer, MatchedEntry, MatchQuestion } from '@which-way/contract';
import type { MatchResult } from '@which-way/core/match';
import { createStore } from 'zustand/vanilla';
import { api, NoServerError, toldOf } from '../../api/client.js';
import { MATCH_SEARCH_TEXT } from '@which-way/words/screens/parts/finding/match-search';

/** What a change of what is asked did: how many candidates come and go, and the names of the best of them. */
export interface ListChange {
  come: Moved;
  go: Moved;
}

export interface Moved {
  count: number;
  names: string[];
}

/** Those that might do, by a whole answer, and the names of those that were listed. */
export interface Answered {
  words: string;
  does: readonly string[];
  names: ReadonlyMap<string, string>;
  /** All that do are among them: of more than a number only some are told, and then nobody knows how many come and go. */
  whole: boolean;
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
  /** Those that do, of the whole answer. */
  answered: Answered | null;
  /** Beside the answer before; null: there was none to compare with. */
  change: ListChange | null;
  trouble: { message: string; hint: string } | null;
}

export const NOTHING_SEARCHED: SearchState = {
  shape: '',
  candidates: [],
  looked: 0,
  all: 0,
  counts: null,
  running: false,
  done: false,
  answered: null,
  change: null,
  trouble: null,
};

/** What candidates are compared with, as a text: the wires and positions that they are laid on. */
export const shapeOf = ({ pattern, terminals }: MatchQuestion): string =>
  JSON.stringify([pattern, terminals]);

/** Characters of an id by which those that do are told. */
const ID_END = 12;

/** One search through the library, on the server, where the library is; it can be stopped at any time. */
export class MatchSearch {
  readonly store = createStore<SearchState>(() => NOTHING_SEARCHED);
  #asked = '';
  #leave: AbortController | null = null;
  /** The last whole answer. */
  #before: Answered | null = null;

  /** Begins anew, unless the very same was asked before. What was found last stays in sight until something is found. */
  start(question: MatchQuestion): void {
    const asked = JSON.stringify(question);
    if (asked === this.#asked) return;
    this.stop();
    this.#asked = asked;
    const leave = new AbortController();
    this.#leave = leave;
    this.store.setState({
      running: true,
      done: false,
      trouble: null,
      answered: null,
      change: null,
      looked: 0,
    });
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
      // A line holds only what was not told before.
      const told = new Map<string, MatchedEntry>();
      const hear = ({ fresh, order, looked, all, counts }: MatchAnswer) => {
        for (const one of fresh) told.set(one.known.id, one);
        const candidates = order.flatMap((id) => told.get(id) ?? []);
        if (this.#leave === leave)
          this.store.setState({ candidates, looked, all, counts, shape: shapeOf(question) });
      };
      const found = await api.match(question, leave.signal, hear);
      if (this.#leave !== leave) return;
      hear(found);
      const names = new Map([...told.values()].map(({ known }) => [known.id.slice(-ID_END), known.name]));
      const { 'same-wiring': same, 'fits-so-far': sofar, undecided } = found.counts;
      const whole = found.does.length === same + sofar + undecided;
      const answered: Answered = { words: question.words, does: found.does, names, whole };
      // With other words it is another list: nothing comes or goes by what is asked.
      const before = this.#before?.words === question.words ? this.#before : null;
      this.store.setState({ running: false, done: true, answered, change: changeOf(before, answered) });
      this.#before = answered;
    } catch (error) {
      if (this.#leave !== leave) return;
      this.#asked = '';
      const away = error instanceof NoServerError;
      const told = toldOf(error);
      const hint = away ? MATCH_SEARCH_TEXT.theLibraryIsOnThe : told.hint;
      this.store.setState({ ...NOTHING_SEARCHED, trouble: { message: told.message, hint } });
    }
  }
}

/** Which of the newer answer were not in the older one, and the other way round. */
export function changeOf(
  before: Omit<Answered, 'words'> | null,
  after: Omit<Answered, 'words'>,
): ListChange | null {
  if (!before?.whole || !after.whole) return null;
  const moved = (there: typeof after, other: typeof after): Moved => {
    const has = new Set(other.does);
    const moves = there.does.filter((end) => !has.has(end));
    return { count: moves.length, names: moves.flatMap((end) => there.names.get(end) ?? []) };
  };
  return { come: moved(after, before), go: moved(before, after) };
}
