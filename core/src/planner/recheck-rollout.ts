import { costOf, type HandCosts, type Hands } from './hands.js';
import type { Move } from './move.js';
import { copyBoard, heldOn, takeMove, type RecheckBoard } from './recheck-board.js';
import { bestHolds, QUICK, THOROUGH } from './recheck-bundles.js';
import type { Weights, Work } from './recheck-sides.js';

/** What the search goes by, one after another: each finds other moves (these and the next tuned on drawn switches). */
const WEIGHTS: readonly Weights[] = [
  { join: 2, ahead: 0.1 },
  { join: 5, ahead: 0.3 },
  { join: 1, ahead: 0 },
  { join: 8, ahead: -0.1 },
];

/** So many moves of each are played out. */
const MOVES = 7;

/** Moves that take longer than the quickest by more than this share are not played out by other weights. */
const NEARLY = 0.1;

/** No more is looked at for one move: on larger switches fewer are played out, on the largest none. */
const MOST_LOOKS = 300_000;

/** Of those so many are played out by the other weights too. */
const FINAL = 9;

/** The best hold of the moment by the quicker search: for when there is no time to think. */
export const quickHold = (board: RecheckBoard, hands: Hands, costs: HandCosts): Move | null =>
  bestHolds(board, hands, costs, WEIGHTS[0] as Weights, QUICK)[0] ?? null;

/**
 * The hold after which the whole rest of a re-check is quickest: the best moves that the search finds by several weights
 * are each played out to the end by a quicker search, every answer as expected, the quickest of them once more by other
 * weights, and the one with the fewest seconds in all is taken. null when nothing is left that may be asked.
 */
export function quickestHold(board: RecheckBoard, hands: Hands, costs: HandCosts): Move | null {
  const work: Work = { looks: 0 };
  const [first, ...others] = WEIGHTS;
  const found = WEIGHTS.map((weights) =>
    work.looks < MOST_LOOKS ? bestHolds(board, hands, costs, weights, THOROUGH, work) : [],
  );
  const moves = distinct(
    Array.from({ length: MOVES }, (_, rank) => found.flatMap((list) => list[rank] ?? [])).flat(),
  );
  if (moves.length < 2 || first === undefined) return moves[0] ?? null;
  let least = Infinity;
  const known = new Map<string, number>();
  /** Plays a move out once by each weights; Infinity where it takes longer than the quickest so far by more than a share. */
  const play = (move: Move, weights: Weights, share = 0): Played => {
    const name = `${JSON.stringify(move)} ${weights.join}`;
    let seconds = known.get(name);
    if (seconds === undefined) {
      seconds = playedOut(board, move, hands, costs, weights, least * (1 + share), work);
      known.set(name, seconds);
    }
    least = Math.min(least, seconds);
    return { move, seconds };
  };
  // What the quicker search would go on with: the rest of what was played out for the move before is among these.
  const goingOn = WEIGHTS.flatMap((weights) => {
    if (work.looks >= MOST_LOOKS) return [];
    const [move] = bestHolds(board, hands, costs, weights, QUICK, work);
    return move ? [play(move, weights)] : [];
  });
  const played = moves.map((move) => play(move, first, NEARLY)).sort(quickerFirst);
  const final = played.slice(0, FINAL).flatMap(({ move }) => others.map((weights) => play(move, weights)));
  const [best] = [...goingOn, ...played, ...final].sort(quickerFirst);
  return best !== undefined && best.seconds < Infinity ? best.move : (moves[0] ?? null);
}

/** A move and the seconds of all until nothing is left. */
interface Played {
  move: Move;
  seconds: number;
}

const quickerFirst = (one: Played, other: Played): number =>
  one.seconds === other.seconds ? 0 : one.seconds - other.seconds;

/** Each move once. */
function distinct(moves: readonly Move[]): Move[] {
  const known = new Set<string>();
  return moves.filter((move) => {
    const name = JSON.stringify(move);
    return !known.has(name) && known.add(name);
  });
}

/**
 * Seconds of a move and of all that the quicker search asks after it; Infinity where that is more than `most`, or looked at
 * for too long.
 */
function playedOut(
  first: RecheckBoard,
  move: Move,
  from: Hands,
  costs: HandCosts,
  weights: Weights,
  most: number,
  work: Work,
): number {
  const board = copyBoard(first);
  const held = heldOn(board);
  let [hands, seconds, next]: [Hands, number, Move | undefined] = [from, 0, move];
  while (next) {
    if (work.looks >= MOST_LOOKS || seconds > most) return Infinity;
    takeMove(board, next);
    const cost = costOf(next, hands, costs, held);
    hands = cost.after;
    seconds += cost.seconds;
    next = bestHolds(board, hands, costs, weights, QUICK, work)[0];
  }
  return seconds;
}
