import type { HandSeconds } from '../../log/index.js';
import { needsClips, type Move } from './move.js';

/** What hands take, in seconds, and how many terminals they can tie together. */
export interface HandCosts extends HandSeconds {
  clipsOwned: number;
}

/** Common practice at a bench; editable, and learnt from the time stamps of a job (see `learnHands`). */
export const ORDINARY_HANDS: HandCosts = {
  moveLead: 2.5,
  moveBoth: 4,
  turn: 2,
  read: 1,
  holdMomentary: 1.5,
  clip: 3,
  clipsOwned: 0,
};

/** Where the hands are: the handle, the leads, and the terminals that clips tie on each lead. Places; null: nowhere yet. */
export interface Hands {
  setting: number | null;
  red: number | null;
  black: number | null;
  tied: { red: readonly number[]; black: readonly number[] };
}

const NO_CLIPS: Hands['tied'] = { red: [], black: [] };

export const EMPTY_HANDS: Hands = { setting: null, red: null, black: null, tied: NO_CLIPS };

/** The clips that a move wants: those of a lead with several terminals, or of both. */
function clipsOf(move: Move): Hands['tied'] {
  if (move.kind === 'sweep') return NO_CLIPS;
  const several = (lead: readonly number[]) => (lead.length > 1 ? lead : []);
  return { red: several(move.red), black: several(move.black) };
}

/** What a move costs from where the hands are, and where they are after it. */
export interface Cost {
  seconds: number;
  /** Leads placed on terminals; a clip put on counts as one. */
  touches: number;
  after: Hands;
}

/**
 * The cost of a move of which `touched` is really read (a sweep leaves out what follows). A sweep costs its first
 * move, a move of one lead for each further touch, and the reads; the handle is turned once for each setting it goes to.
 * @param held whether the handle has to be held in a setting.
 */
export function costOf(
  move: Move,
  hands: Hands,
  costs: HandCosts,
  held: (setting: number) => boolean,
  touched: readonly number[] = move.kind === 'sweep' ? move.black : move.settings,
): Cost {
  const clips = clipCost(move, hands, costs);
  return move.kind === 'sweep'
    ? sweepCost(move, { hands, costs, held, clips }, touched)
    : holdCost(move, { hands, costs, held, clips });
}

/** What a move is made with, and what its clips took already. */
interface Making {
  hands: Hands;
  costs: HandCosts;
  held: (setting: number) => boolean;
  clips: { seconds: number; touches: number };
}

function sweepCost(
  { setting, red, black }: Extract<Move, { kind: 'sweep' }>,
  { hands, costs, held, clips }: Making,
  touched: readonly number[],
): Cost {
  const first = touched[0] ?? black[0] ?? red;
  const read = touched.length;
  const start = leadMoves(hands, red, first, costs);
  const turn = hands.setting === setting ? 0 : costs.turn;
  const each = costs.read + (held(setting) ? costs.holdMomentary : 0);
  const further = Math.max(0, read - 1);
  return {
    seconds: clips.seconds + turn + start.seconds + further * costs.moveLead + read * each,
    touches: clips.touches + start.touches + further,
    after: { setting, red, black: touched.at(-1) ?? first, tied: NO_CLIPS },
  };
}

function holdCost(move: Extract<Move, { kind: 'hold' }>, { hands, costs, held, clips }: Making): Cost {
  const { red, black, settings } = move;
  const [one, other] = [red[0] ?? 0, black[0] ?? 0];
  const moves = loneLeadMoves(move, hands);
  const start = needsClips(move)
    ? { seconds: moves ? costs.moveLead : 0, touches: moves ? 1 : 0 }
    : leadMoves(hands, one, other, costs);
  let seconds = clips.seconds + start.seconds;
  let at = hands.setting;
  for (const setting of settings) {
    if (setting !== at) seconds += costs.turn;
    seconds += costs.read + (held(setting) ? costs.holdMomentary : 0);
    at = setting;
  }
  return {
    seconds,
    touches: clips.touches + start.touches,
    after: { setting: at, red: one, black: other, tied: clipsOf(move) },
  };
}

/** Whether the lead that has a single terminal of a bundle has to be brought there; with clips on both there is none. */
function loneLeadMoves(
  { red, black }: { red: readonly number[]; black: readonly number[] },
  hands: Hands,
): boolean {
  if (red.length > 1 && black.length > 1) return false;
  return red.length > 1
    ? leadIsBrought('black', black[0] ?? 0, hands)
    : leadIsBrought('red', red[0] ?? 0, hands);
}

/** Whether a lead has to be brought to a place while clips are on the other: it may lie there from the last bundle. */
export function leadIsBrought(lead: 'red' | 'black', place: number, { tied, ...at }: Hands): boolean {
  const other = lead === 'red' ? tied.black : tied.red;
  return at[lead] !== place || tied[lead].length > 0 || other.length === 0;
}

/** A pair the way round in which fewer leads have to move: red first. */
export function oriented(one: number, other: number, { red, black }: Hands): [red: number, black: number] {
  return red === other || black === one ? [other, one] : [one, other];
}

/** Clips to put on and to take off; with none in the move, all come off. */
function clipChange(move: Move, { tied }: Hands): { on: number[]; off: number[] } {
  const wanted = clipsOf(move);
  const missing = (from: readonly number[], to: readonly number[]) => from.filter((one) => !to.includes(one));
  return {
    on: [...missing(wanted.red, tied.red), ...missing(wanted.black, tied.black)],
    off: [...missing(tied.red, wanted.red), ...missing(tied.black, wanted.black)],
  };
}

function clipCost(move: Move, hands: Hands, { clip }: HandCosts): { seconds: number; touches: number } {
  const { on, off } = clipChange(move, hands);
  return { seconds: (on.length + off.length) * clip, touches: on.length };
}

/** Moving the leads to a pair: one that is there already stays. */
export function leadMoves(
  { red, black, tied }: Hands,
  one: number,
  other: number,
  { moveLead, moveBoth }: HandCosts,
): { seconds: number; touches: number } {
  const there =
    (tied.red.length === 0 && red === one ? 1 : 0) + (tied.black.length === 0 && black === other ? 1 : 0);
  if (there === 2) return { seconds: 0, touches: 0 };
  return there === 1 ? { seconds: moveLead, touches: 1 } : { seconds: moveBoth, touches: 2 };
}

/** A list from one place on, round to the place before it: the order in which a handle comes to what stands there. */
export function fromHere<T>(all: readonly T[], here: number | null): T[] {
  const start = Math.max(0, here ?? 0);
  return [...all.slice(start), ...all.slice(0, start)];
}
