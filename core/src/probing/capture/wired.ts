import type { Value } from '../../log/index.js';
import type { WiredReading } from '../../sense/meter/index.js';
import { isHeldAsk } from '../task.js';
import type { Moment } from '../moment.js';
import { HELD, touchAsked } from './hears-for.js';

/** What a meter on a wire tells, with its time in milliseconds; or that something else is asked now; `key` null: nothing it may answer. */
export type WiredSignal =
  | { kind: 'read'; reading: WiredReading; at: number }
  | { kind: 'asked'; key: string | null; at: number }
  /** The pedal, while the leads are held and the handle turns: it is there now. */
  | { kind: 'there'; at: number }
  /** The pedal, while the leads lie on a contact: the handle moved under them, and what they read is something new. */
  | { kind: 'moved'; at: number }
  /** The meter is gone, or another device took it. */
  | { kind: 'lost'; at: number };

/** What is held from signal to signal. */
export interface WiredCapture {
  key: string | null;
  since: number;
  /** The leads were lifted since the last that was taken, or nothing was taken yet: the next contact is another one. */
  armed: boolean;
  /** The last readings that are alike, all in one range. */
  alike: { ohms: number; rangeOhms: number | null }[];
  /** Since when it has been over range without a break, after it was asked; null: it is not. */
  openSince: number | null;
  /** The handle is there, as the pedal said: the next steady value counts, whatever it is. */
  there: boolean;
  /** How many in a row were over range, while the handle is there. */
  overs: number;
  /** When the last reading came. */
  readAt: number;
}

export const idleWired: WiredCapture = {
  ...{ key: null, since: -Infinity, armed: false, alike: [], openSince: null, there: false, overs: 0 },
  readAt: -Infinity,
};

/** So many alike in one range are steady. */
const STEADY = 3;
/** Readings that are further apart do not belong together: the page was hidden, or the server away. */
const GAP_MS = 1200;
/** They are alike within so much of the larger, or so many ohms. */
const [ALIKE_SHARE, ALIKE_OHMS] = [0.02, 0.03];

/** What something that was taken says: why it was not, where it was not. */
export interface WiredStep {
  state: WiredCapture;
  /** What the touch that is asked reads, steady. */
  takes: Value | null;
  aside: 'not-lifted' | 'nothing-asked' | null;
}

/** One step on from a state. */
const stepFrom =
  (state: WiredCapture) =>
  (next: Partial<WiredCapture>, takes: Value | null = null, aside: WiredStep['aside'] = null): WiredStep => ({
    state: { ...state, ...next },
    takes,
    aside,
  });

/** Over range may be taken by a dwell only where the switch is touched: leads together and clips have to conduct. */
const mayBeOpen = (key: string): boolean => key.startsWith('prompt ') || key.startsWith('again ');

/**
 * One signal on. Three alike in one range answer what is asked, once: what is asked next needs leads that were lifted, or a handle that the
 * pedal says has moved. Over range answers nothing by itself, but after a dwell that a person chose.
 * @param dwellMs how long it has to be over range until that counts as open; null: only a pedal says so.
 */
export function captureWired(state: WiredCapture, signal: WiredSignal, dwellMs: number | null): WiredStep {
  const after = stepFrom(state);
  switch (signal.kind) {
    case 'asked':
      return signal.key === state.key
        ? after({})
        : after({ key: signal.key, since: signal.at, alike: [], openSince: null, there: false, overs: 0 });
    case 'there':
      return after({ there: true, alike: [], overs: 0, openSince: null });
    case 'moved':
      return after({ armed: true, alike: [], openSince: null });
    case 'lost':
      return { state: { ...idleWired, key: state.key, since: signal.at }, takes: null, aside: null };
    case 'read': {
      const isGap = signal.at - state.readAt > GAP_MS;
      const now = { ...state, readAt: signal.at, ...(isGap && { alike: [], overs: 0, openSince: null }) };
      return now.key?.startsWith(HELD) ? heldReading(now, signal.reading) : readsTouch(now, signal, dwellMs);
    }
  }
}

/** While the leads are held nothing counts before the pedal says that the handle is there. */
function heldReading(state: WiredCapture, { value, rangeOhms }: WiredReading): WiredStep {
  const after = stepFrom(state);
  if (!state.there || value.kind === 'none') return after({ alike: [], overs: 0 });
  if (value.kind === 'over') {
    const overs = state.overs + 1;
    if (overs < STEADY) return after({ alike: [], overs });
    return after({ there: false, alike: [], overs: 0 }, { kind: 'over' });
  }
  const alike = alikeWith(state.alike, { ohms: value.ohms, rangeOhms });
  if (alike.length < STEADY) return after({ alike, overs: 0 });
  return after({ there: false, alike: [], overs: 0 }, value);
}

function readsTouch(
  state: WiredCapture,
  { reading: { value, rangeOhms }, at }: Extract<WiredSignal, { kind: 'read' }>,
  dwellMs: number | null,
): WiredStep {
  const after = stepFrom(state);
  switch (value.kind) {
    case 'none':
      return after({ alike: [], openSince: null });
    case 'over': {
      // Lifted: the next contact is another one.
      const openSince = state.openSince ?? at;
      const waited = dwellMs !== null && at - Math.max(openSince, state.since) >= dwellMs;
      if (!waited || state.key === null || !mayBeOpen(state.key))
        return after({ armed: true, alike: [], openSince });
      // Once for what is asked: the next is asked before it counts again.
      return after({ armed: true, alike: [], openSince: null, key: null }, { kind: 'over' });
    }
    case 'ohms': {
      if (state.key === null) return after({ alike: [], openSince: null }, null, 'nothing-asked');
      if (!state.armed) return after({ alike: [], openSince: null }, null, 'not-lifted');
      const alike = alikeWith(state.alike, { ohms: value.ohms, rangeOhms });
      if (alike.length < STEADY) return after({ alike, openSince: null });
      return after({ armed: false, alike: [], openSince: null, key: null }, value);
    }
  }
}

/** The readings that are alike and in one range, the newest last: all of them, or it alone. */
function alikeWith(
  before: WiredCapture['alike'],
  reading: WiredCapture['alike'][number],
): WiredCapture['alike'] {
  const all = [...before, reading];
  const ohms = all.map((one) => one.ohms);
  const spread = Math.max(...ohms) - Math.min(...ohms);
  const isAlike =
    spread <= Math.max(ALIKE_OHMS, ALIKE_SHARE * Math.max(...ohms)) &&
    all.every((one) => one.rangeOhms === reading.rangeOhms);
  return isAlike ? all : [reading];
}

/** What a meter on a wire would answer now; null: it answers nothing here. The same touches as the ear, in ohms. */
export const wiredFor = (moment: Moment): string | null =>
  moment.hands.sense === 'ohms' ? touchAsked(moment) : null;

/** Whether the pedal says 'the handle is there' and the meter what is read there. */
export const heldByWire = ({ task, hands }: Moment): boolean =>
  hands.sense === 'ohms' && task?.kind === 'prompt' && isHeldAsk(task.prompt.ask);
