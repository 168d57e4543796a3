import type { EarSignal } from '../../sense/ear/index.js';
import type { Act } from '../act.js';

/** What a meter or an ear tells, with its time in milliseconds: or that something else is asked now; `key` null: nothing it may answer. */
export type CaptureSignal =
  | EarSignal
  | { kind: 'asked'; key: string | null; at: number }
  /** The microphone is gone, or the page is hidden. */
  | { kind: 'lost'; at: number };

/** Why something that was heard answers nothing. */
export type Aside =
  /** The leads touched before this was asked: it belongs to what was asked before. */
  | 'before-it-was-asked'
  /** Too soon after the last one: the same contact, perhaps. */
  | 'not-lifted'
  | 'nothing-asked';

/** What is held from signal to signal. */
export interface Capture {
  /** What is asked, and since when. */
  key: string | null;
  since: number;
  /** A tone is there now. */
  sounding: boolean;
  /** When the last tone ended that was told; null: none was. */
  ended: number | null;
}

export const idleCapture: Capture = { key: null, since: -Infinity, sounding: false, ended: null };

/** Silence that a tone needs before it, beside what the beeper holds on: a contact that chatters is no new touch. */
const LIFTED_MS = 250;

/** How late a beeper sounds, and how long it holds on. */
export interface Lag {
  delayMs: number;
  holdMs: number;
}

/**
 * One signal on: what it comes to. A tone answers what was asked when its leads touched, once; what is asked next needs a touch of its
 * own. Silence answers nothing.
 */
export function capture(
  state: Capture,
  signal: CaptureSignal,
  { delayMs, holdMs }: Lag,
): { state: Capture; act: Act | null; aside: Aside | null } {
  const after = (next: Partial<Capture>, aside: Aside | null = null) => ({
    ...{ state: { ...state, ...next }, act: null, aside },
  });
  switch (signal.kind) {
    case 'asked':
      return signal.key === state.key ? after({}) : after({ key: signal.key, since: signal.at });
    case 'ended':
      return after({ sounding: false, ended: signal.at });
    case 'lost':
      return { state: { ...idleCapture, key: state.key, since: signal.at }, act: null, aside: null };
    case 'steady':
      return after({});
    case 'began': {
      const touched = signal.at - delayMs;
      if (state.key === null) return after({ sounding: true }, 'nothing-asked');
      if (touched < state.since) return after({ sounding: true }, 'before-it-was-asked');
      if (state.ended !== null && signal.at - state.ended < LIFTED_MS + holdMs)
        return after({ sounding: true }, 'not-lifted');
      return {
        state: { ...state, sounding: true },
        act: { do: 'step', sounded: true, heard: true },
        aside: null,
      };
    }
  }
}
