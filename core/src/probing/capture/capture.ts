import type { EarSignal } from '../../sense/ear/index.js';
import type { Act } from '../act.js';

/** What a meter or an ear tells, with its time in milliseconds: or that something else is asked now; `key` null: nothing it may answer. */
export type CaptureSignal =
  | EarSignal
  | { kind: 'asked'; key: string | null; at: number }
  /** Time goes on. */
  | { kind: 'tick'; at: number }
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
  /** A tone was set aside since this was asked: what follows is no silence. */
  doubt: boolean;
}

export const idleCapture: Capture = {
  key: null,
  since: -Infinity,
  sounding: false,
  ended: null,
  doubt: false,
};

/** Silence that a tone needs before it, beside what the beeper holds on: a contact that chatters is no new touch. */
const LIFTED_MS = 350;

/** How late a beeper sounds, how long it holds on, and how long a person waits. */
export interface Lag {
  delayMs: number;
  holdMs: number;
  /** How long nothing is heard until it counts as silent, where a person chose that; null: only a pedal says so. */
  dwellMs: number | null;
}

/** Silence is an answer to a touch of the switch alone: leads together and clips have to sound. */
const mayBeSilent = (key: string): boolean => key.startsWith('prompt ') || key.startsWith('again ');

/**
 * One signal on: what it comes to. A tone answers what was asked when its leads touched, once; what is asked next needs a touch of its
 * own. Silence answers nothing.
 */
export function capture(
  state: Capture,
  signal: CaptureSignal,
  { delayMs, holdMs, dwellMs }: Lag,
): { state: Capture; act: Act | null; aside: Aside | null } {
  const after = (next: Partial<Capture>, aside: Aside | null = null) => ({
    ...{ state: { ...state, ...next }, act: null, aside },
  });
  switch (signal.kind) {
    case 'asked':
      return signal.key === state.key
        ? after({})
        : after({ key: signal.key, since: signal.at, doubt: false });
    case 'ended':
      return after({ sounding: false, ended: signal.at });
    case 'lost':
      return { state: { ...idleCapture, key: state.key, since: signal.at }, act: null, aside: null };
    case 'steady':
      return after({});
    case 'tick': {
      const waited = dwellMs !== null && signal.at - state.since >= dwellMs + delayMs;
      const silent = !state.sounding && !state.doubt && state.key !== null && mayBeSilent(state.key);
      if (!waited || !silent) return after({});
      // Once for what is asked: the next is asked before silence counts again.
      return {
        state: { ...state, key: null },
        act: { do: 'step', sounded: false, heard: true },
        aside: null,
      };
    }
    case 'began': {
      const touched = signal.at - delayMs;
      if (state.key === null) return after({ sounding: true }, 'nothing-asked');
      if (touched < state.since) return after({ sounding: true, doubt: true }, 'before-it-was-asked');
      if (state.ended !== null && signal.at - state.ended < LIFTED_MS + holdMs)
        return after({ sounding: true, doubt: true }, 'not-lifted');
      return {
        state: { ...state, sounding: true },
        act: { do: 'step', sounded: true, heard: true },
        aside: null,
      };
    }
  }
}
