import type { EarSignal } from '../../sense/ear/index.js';
import type { Lag } from './capture.js';

/** What leads and answers a sweep: the ear, the time, and the pedal. */
export type SweptSignal =
  | EarSignal
  /** Time goes on; `heard`: so far the sound has been listened to, which lags where the program is held up. */
  | { kind: 'tick'; at: number; heard: number }
  /** One press says that the rest was silent; `undo`, a long one: the whole sweep is undone. */
  | { kind: 'pedal'; at: number; undo: boolean }
  | { kind: 'lost'; at: number };

/** Why a sweep counts for nothing and begins again at its clip. */
export type SweepVoid = 'clip-silent' | 'out-of-step' | 'lost' | 'undone';

/** What a sweep that clicks lead wants done now. */
export type SweptCue =
  /** A click in the ear, and the marker on a lug by its place; past the last: on the clip, and then on nothing. */
  | { cue: 'click'; place: number }
  /** It beeped there: said back. */
  | { cue: 'heard'; place: number }
  /** A beep that lay between two clicks: both lugs are clicked again. */
  | { cue: 'again'; places: readonly [number, number] }
  | { cue: 'void'; why: SweepVoid }
  /** The clip has closed the sweep: is the rest silent? */
  | { cue: 'agree' }
  /** What beeped; the rest was silent. */
  | { cue: 'take'; places: readonly number[] };

/**
 * Where a sweep stands: its clip is touched first, then a click for each lug, then the clip again, on a click too; then one more
 * click on which nothing may beep, since a hand that is a lug behind is at the clip only then; then a person agrees.
 */
export interface Swept {
  stage: 'clip-first' | 'leading' | 'clip-last' | 'closed' | 'rest' | 'agree';
  lugs: number;
  /** Places that were clicked, each with its last click, in the order of the clicks. */
  clicked: readonly { place: number; at: number }[];
  queue: readonly number[];
  /** When the next click comes, or the stage ends. */
  nextAt: number;
  beeped: ReadonlySet<number>;
  /** A tone sounds, and began for this place; null: for none that is sure. */
  tone: { place: number | null } | null;
  ended: number | null;
  /** What was said last: told until the next. */
  says: { code: 'again'; places: readonly [number, number] } | { code: SweepVoid } | null;
}

/** So far from its click a touch may lie. */
const NEAR_MS = 150;
/** Silence between two touches; less is one that chatters. */
const LIFTED_MS = 250;
/** The ear is a few frames behind. */
const BEHIND_MS = 40;

/** Milliseconds from click to click: the person’s own pace, and never so short that a late beep could be the next lug’s. */
export const sweepStep = (paceMs: number, { delayMs }: Lag): number => Math.max(paceMs, 1.5 * delayMs + 300);

/** A sweep over so many lugs that waits for the first touch of its clip. */
export const sweepOf = (lugs: number, says: Swept['says'] = null): Swept => ({
  stage: 'clip-first',
  lugs,
  clicked: [],
  queue: Array.from({ length: lugs }, (_, place) => place),
  nextAt: Infinity,
  beeped: new Set(),
  tone: null,
  ended: null,
  says,
});

/** How long after its click a beep may still be told. */
const latest = ({ delayMs, leastMs }: Lag): number => 1.3 * delayMs + NEAR_MS + leastMs + BEHIND_MS;

interface Step {
  state: Swept;
  cue: SweptCue | null;
}

/**
 * One signal on. Only the lug that a touch’s own click marked is answered by it; what lies between two clicks is asked again, and
 * nothing is taken before the clip has answered at both ends and a person has agreed.
 * @param paceMs milliseconds from lug to lug, as the person likes it
 */
export function swept(state: Swept, signal: SweptSignal, lag: Lag, paceMs: number): Step {
  switch (signal.kind) {
    case 'lost':
      return voids(state, 'lost');
    case 'steady':
      return stays(state);
    case 'pedal':
      if (signal.undo) return state.stage === 'clip-first' ? stays(state) : voids(state, 'undone');
      return state.stage === 'agree'
        ? {
            state: sweepOf(state.lugs),
            cue: { cue: 'take', places: [...state.beeped].sort((a, b) => a - b) },
          }
        : stays(state);
    case 'ended':
      return ends(state, signal.at, sweepStep(paceMs, lag));
    case 'began':
      return begins(state, signal.at, lag, paceMs);
    case 'tick':
      return goesOn(state, signal, lag, sweepStep(paceMs, lag));
  }
}

const stays = (state: Swept): Step => ({ state, cue: null });

const voids = ({ lugs }: Swept, why: SweepVoid): Step => ({
  state: sweepOf(lugs, { code: why }),
  cue: { cue: 'void', why },
});

/** A tone is over: the first touch of the clip opens the sweep. */
function ends(state: Swept, at: number, stepMs: number): Step {
  const { stage, tone } = state;
  const opens = stage === 'clip-first' && tone !== null;
  return stays({
    ...state,
    tone: null,
    ended: at,
    ...(opens && { stage: 'leading', nextAt: at + stepMs, says: null }),
  });
}

function begins(state: Swept, at: number, lag: Lag, paceMs: number): Step {
  const { stage, clicked, beeped, ended } = state;
  const touched = at - lag.delayMs;
  const last = clicked.at(-1);
  const chatters = ended !== null && at - ended < LIFTED_MS + lag.holdMs;
  const unsure = { ...state, tone: { place: null } };
  switch (stage) {
    case 'clip-first':
      return chatters ? stays(state) : stays(unsure);
    case 'leading': {
      if (!last) return stays(unsure);
      const near = Math.abs(touched - last.at) <= NEAR_MS;
      // The same touch once more is no second one.
      if (near && beeped.has(last.place)) return stays({ ...state, tone: { place: last.place } });
      if (near && !chatters)
        return {
          state: {
            ...state,
            tone: { place: last.place },
            beeped: new Set(beeped).add(last.place),
            says: null,
          },
          cue: { cue: 'heard', place: last.place },
        };
      return again(unsure, touched > last.at ? 'next' : 'before', at, sweepStep(paceMs, lag));
    }
    case 'clip-last':
      if (!last || Math.abs(touched - last.at) > NEAR_MS) return voids(state, 'out-of-step');
      return stays({
        ...state,
        stage: 'closed',
        tone: { place: null },
        nextAt: last.at + sweepStep(paceMs, lag),
      });
    case 'closed':
      return chatters ? stays(state) : voids(state, 'out-of-step');
    case 'rest':
      return voids(state, 'out-of-step');
    case 'agree':
      return stays(state);
  }
}

/** A touch between two clicks: of the lug that is marked and the one beside it none is answered, and both are clicked again. */
function again(state: Swept, side: 'next' | 'before', at: number, stepMs: number): Step {
  const { clicked, queue, beeped, lugs } = state;
  const here = clicked.at(-1)?.place ?? 0;
  const beside = side === 'next' ? (queue[0] ?? here) : (clicked.at(-2)?.place ?? here);
  const places = [Math.min(here, beside), Math.max(here, beside)] as const;
  const doubted = new Set<number>(places);
  return {
    state: {
      ...state,
      stage: 'leading',
      clicked: clicked.filter(({ place }) => !doubted.has(place)),
      queue: [...doubted, ...queue.filter((place) => !doubted.has(place) && place < lugs)],
      nextAt: at + 2 * stepMs,
      beeped: new Set([...beeped].filter((place) => !doubted.has(place))),
      says: { code: 'again', places },
    },
    cue: { cue: 'again', places },
  };
}

/** Time goes on: the next click, or the end of a wait, once all that sounded until then has been heard. */
function goesOn(state: Swept, { at, heard }: { at: number; heard: number }, lag: Lag, stepMs: number): Step {
  const { stage, queue, tone, clicked, lugs, nextAt } = state;
  if (heard < nextAt) return stays(state);
  switch (stage) {
    case 'clip-first':
    case 'agree':
      return stays(state);
    case 'leading': {
      // Still sounding at the next click: it may be of both lugs. One that is asked again anyway is waited for.
      if (tone !== null)
        return tone.place === null
          ? stays({ ...state, nextAt: at + stepMs })
          : again({ ...state, tone: { place: null } }, 'next', at, stepMs);
      const [place = lugs, ...rest] = queue;
      return {
        state: {
          ...state,
          stage: place === lugs ? 'clip-last' : 'leading',
          queue: rest,
          clicked: [...clicked, { place, at }],
          nextAt: at + (place === lugs ? latest(lag) : stepMs),
        },
        cue: { cue: 'click', place },
      };
    }
    case 'clip-last':
      return voids(state, 'clip-silent');
    case 'closed':
      return {
        state: {
          ...state,
          stage: 'rest',
          clicked: [...clicked, { place: lugs + 1, at }],
          nextAt: at + latest(lag),
        },
        cue: { cue: 'click', place: lugs + 1 },
      };
    case 'rest':
      return tone === null
        ? { state: { ...state, stage: 'agree', nextAt: Infinity }, cue: { cue: 'agree' } }
        : voids(state, 'out-of-step');
  }
}
