import {
  swept,
  sweepOf,
  type Act,
  type Moment,
  type Swept,
  type SweptCue,
  type SweptSignal,
} from '@which-way/core/probing';
import { readingsAsked, type Ask } from '@which-way/core/log';
import type { Taught } from '@which-way/core/sense/ear';
import type { PromptId, TerminalId } from '@which-way/core/switch';

type SweepAsk = Extract<Ask, { kind: 'sweep' }>;

/** Where a sweep that clicks lead is, for the screen. */
export interface SweepShown {
  stage: Swept['stage'];
  clip: TerminalId;
  /** The lug that is marked; the clip’s own while that is to be touched; null: none. */
  marked: TerminalId | null;
  beeped: readonly TerminalId[];
  /** What was said last: two lugs that are clicked again, or why the sweep starts again. */
  again: readonly TerminalId[];
  voided: Exclude<NonNullable<Swept['says']>, { code: 'again' }>['code'] | null;
}

/** One sweep of the Map that clicks lead: which lugs its places are, and what comes of what is heard. */
export class LedSweep {
  #state: Swept;
  readonly #lugs: readonly TerminalId[];

  private constructor(
    private readonly prompt: PromptId,
    private readonly ask: SweepAsk,
    lugs: readonly TerminalId[],
  ) {
    this.#lugs = lugs;
    this.#state = sweepOf(lugs.length);
  }

  /** The sweep that is asked now; null: what is asked is none, or some of it was answered by hand. */
  static of({ task, hands, found, implied }: Moment): LedSweep | null {
    if (task?.kind !== 'prompt' || task.prompt.ask.kind !== 'sweep') return null;
    if (hands.sense !== 'tone' || hands.typed !== '' || hands.picking || found.size > 0) return null;
    const { id, ask } = task.prompt;
    const lugs = readingsAsked(ask).flatMap(({ key }) =>
      implied.has(key) ? [] : ask.black.filter((lug) => lug === key),
    );
    return lugs.length > 1 ? new LedSweep(id, ask, lugs) : null;
  }

  isOf(other: LedSweep | null): boolean {
    return other?.prompt === this.prompt;
  }

  /** What a place of the sweep is: a lug, its clip, or nothing. */
  lugAt(place: number): TerminalId | null {
    return place === this.#lugs.length ? this.ask.red : (this.#lugs[place] ?? null);
  }

  get clip(): TerminalId {
    return this.ask.red;
  }

  /** Whether it waits for a touch of its clip that begins it. */
  get waits(): boolean {
    return this.#state.stage === 'clip-first';
  }

  take(signal: SweptSignal, taught: Taught, paceMs: number): SweptCue | null {
    const step = swept(this.#state, signal, { ...taught, dwellMs: null }, paceMs);
    this.#state = step.state;
    return step.cue;
  }

  /** What the Map does with what was taken. */
  actOf(places: readonly number[]): Act {
    return { do: 'swept', prompt: this.prompt, sounded: this.#of(places) };
  }

  shown(): SweepShown {
    const { stage, clicked, beeped, says } = this.#state;
    const place = stage === 'leading' || stage === 'clip-last' ? clicked.at(-1)?.place : undefined;
    const marked = stage === 'clip-first' ? this.clip : place === undefined ? null : this.lugAt(place);
    return {
      stage,
      clip: this.clip,
      marked,
      beeped: this.#of([...beeped].sort((one, other) => one - other)),
      again: says?.code === 'again' ? this.#of([...new Set<number>(says.places)]) : [],
      voided: says && says.code !== 'again' ? says.code : null,
    };
  }

  #of(places: readonly number[]): TerminalId[] {
    return places.flatMap((place) => this.#lugs[place] ?? []);
  }
}
