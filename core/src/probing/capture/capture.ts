import type { EarSignal } from '../../sense/ear/index.js';
import type { Act } from '../act.js';
import { HELD } from './hears-for.js';

/** What a meter or an ear tells, with its time in milliseconds: or that something else is asked now; `key` null: nothing it may answer. */
export type CaptureSignal =
  | EarSignal
  | { kind: 'asked'; key: string | null; at: number }
  /** The pedal, while the leads are held and the handle turns: it is there now. */
  | { kind: 'there'; at: number }
  /** Time goes on: the sound has been heard until then, however late the program is. */
  | { kind: 'tick'; at: number }
  /** The microphone is gone, or the page is hidden. */
  | { kind: 'lost'; at: number };

/** Why something that was heard answers nothing. */
export type Aside =
  /** The leads touched before this was asked: it belongs to what was asked before. */
  | 'before-it-was-asked'
  /** Too soon after the last one: the same contact, perhaps. */
  | 'not-lifted'
  | 'nothing-asked'
  /** The pedal says none, and the beeper sounds: one of them is wrong. */
  | 'still-sounds';

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
  /** Since when the handle is there; null: nobody has said so. What is heard counts once the beeper has caught up. */
  there: number | null;
  /** How often the beep began or ended since then, and when last. */
  edges: { count: number; last: number };
}

export const idleCapture: Capture = {
  key: null,
  since: -Infinity,
  sounding: false,
  ended: null,
  doubt: false,
  there: null,
  edges: { count: 0, last: -Infinity },
};

/** Silence that a tone needs before it, beside what the beeper holds on: a contact that chatters is no new touch. */
const LIFTED_MS = 350;

/** How late a beeper sounds, how long it holds on, and how long a person waits. */
export interface Lag {
  delayMs: number;
  holdMs: number;
  /** How long a beep lasts until it is told. */
  leastMs: number;
  /** How long nothing is heard until it counts as silent, where a person chose that; null: only a pedal says so. */
  dwellMs: number | null;
}

/** An ear tells the end of a beep so much after it, and is a few frames behind. */
const [ENDS_MS, BEHIND_MS] = [60, 60];

/** When what a beeper does now is what the leads do now: a beep has come up and was told, or the last one is over and was. */
const caughtUp = ({ delayMs, leastMs, holdMs }: Lag): number =>
  delayMs + Math.max(leastMs, holdMs + ENDS_MS) + BEHIND_MS;

/** So long nothing may begin or end until it counts as at rest, and so long it is waited for: what never rests flickers. */
const [REST_MS, RESTLESS_MS] = [250, 3000];

/** The beep began or ended by what the leads did at `touched`: counted from when the handle is there. */
const withEdge = ({ there, edges }: Capture, touched: number, at: number): Pick<Capture, 'edges'> => ({
  edges: there === null || touched < there ? edges : { count: edges.count + 1, last: at },
});

/** How often it dropped out, or came up and went again; a single beginning or end is no more than the handle coming to rest. */
const dropOuts = ({ edges }: Capture): number => Math.floor(edges.count / 2);

/** Silence is an answer to a touch of the switch alone: leads together and clips have to sound. */
const mayBeSilent = (key: string): boolean => key.startsWith('prompt ') || key.startsWith('again ');

/**
 * One signal on: what it comes to. A tone answers what was asked when its leads touched, once; what is asked next needs a touch of its
 * own. Silence answers nothing.
 */
export function capture(
  state: Capture,
  signal: CaptureSignal,
  lag: Lag,
): { state: Capture; act: Act | null; aside: Aside | null } {
  const { delayMs, holdMs, dwellMs } = lag;
  const after = (next: Partial<Capture>, aside: Aside | null = null) => ({
    ...{ state: { ...state, ...next }, act: null, aside },
  });
  switch (signal.kind) {
    case 'asked':
      return signal.key === state.key
        ? after({})
        : after({ key: signal.key, since: signal.at, doubt: false, there: null });
    case 'ended':
      return after({ sounding: false, ended: signal.at, ...withEdge(state, signal.at - holdMs, signal.at) });
    case 'lost':
      return { state: { ...idleCapture, key: state.key, since: signal.at }, act: null, aside: null };
    case 'steady':
      return after({});
    case 'there':
      return after({ there: signal.at, edges: idleCapture.edges });
    case 'tick': {
      if (state.there !== null) {
        const waited = signal.at - state.there;
        const rests = signal.at - state.edges.last >= REST_MS;
        if (waited < caughtUp(lag) || (!rests && waited < RESTLESS_MS)) return after({});
        const flickered = dropOuts(state);
        return {
          state: { ...state, there: null },
          act: { do: 'step', sounded: state.sounding, heard: true, ...(flickered > 0 && { flickered }) },
          aside: null,
        };
      }
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
      if (state.key.startsWith(HELD))
        return after({ sounding: true, ...withEdge(state, touched, signal.at) });
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
