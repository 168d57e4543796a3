import { createCourseMemory, type CourseMemory } from './course-memory.js';
import { costOf, type HandCosts, type Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import { copyBoard, heldOn, takeMove, type RecheckBoard } from './recheck-board.js';
import { bestHolds, QUICK, THOROUGH, type HoldSearch } from './recheck-bundles.js';
import { polished, wholeCourse, type WholeCourse } from './recheck-polish.js';
import type { Weights, Work } from './recheck-sides.js';

/** What the search goes by, one after another: each finds other moves (these and the next tuned on drawn switches). */
const WEIGHTS: readonly [Weights, ...Weights[]] = [
  { join: 2, ahead: 0.1 },
  { join: 5, ahead: 0.3 },
  { join: 1, ahead: 0 },
  { join: 8, ahead: -0.1 },
];

/** So many moves of each are played out. */
const MOVES = 7;

/** Moves that take longer than the quickest by more than this share are not played out by other weights. */
const NEARLY = 0.1;

/** No more is looked at for one move: on larger switches fewer are played out. */
const MOST_LOOKS = 100_000;

/** Of those so many are played out by the other weights too. */
const FINAL = 9;

/** Of all that was played out so many are made quicker, by looking at so many changes at most. */
const POLISHED = 4;
const CHANGES = 5000;

/** The best hold of the moment by the quicker search: for when there is no time to think. */
export const quickHold = (board: RecheckBoard, hands: Hands, costs: HandCosts): Move | null =>
  bestHolds({ board, hands, costs, weights: WEIGHTS[0] }, QUICK)[0] ?? null;

/**
 * The hold after which the whole rest of a re-check is quickest. What the search would go on with is played out to the end,
 * every answer as expected, and so are the best moves that it finds by several weights, the quickest of them by all weights;
 * the quickest of those courses, and what was left of earlier ones, are made quicker as a whole (see `polished`), and the
 * first move of the best is taken. null when nothing is left that may be asked.
 */
export function quickestHold(
  board: RecheckBoard,
  hands: Hands,
  costs: HandCosts,
  memory: CourseMemory = createCourseMemory(),
): Move | null {
  const work: Work = { looks: 0 };
  const tired = () => work.looks >= MOST_LOOKS;
  const [first, ...others] = WEIGHTS;
  let least = Infinity;
  const known = new Map<string, WholeCourse>();
  /** Plays a move out once by each weights; Infinity where it takes longer than the quickest so far by more than a share. */
  const play = (move: Move, weights: Weights, most: () => number): WholeCourse => {
    const name = `${JSON.stringify(move)} ${weights.join}`;
    let plan = known.get(name);
    if (!plan) {
      plan = playedOut({ board, hands, costs, weights, work }, move, most);
      known.set(name, plan);
    }
    least = Math.min(least, plan.seconds);
    return plan;
  };
  const within = (share: number) => () => (tired() ? -1 : least * (1 + share));
  // There is always one course that comes to its end, however large the switch is.
  const goingOn = WEIGHTS.flatMap((weights, at) => {
    if (at > 0 && tired()) return [];
    const [move] = bestHolds({ board, hands, costs, weights, work }, QUICK);
    return move ? [play(move, weights, at > 0 ? within(0) : () => Infinity)] : [];
  });
  if (goingOn.length === 0) return null;
  const found = WEIGHTS.map((weights) =>
    tired() ? [] : bestHolds({ board, hands, costs, weights, work }, THOROUGH),
  );
  const moves = distinct(
    Array.from({ length: MOVES }, (_, rank) => found.flatMap((list) => list[rank] ?? [])).flat(),
  );
  const played = moves.map((move) => play(move, first, within(NEARLY))).sort(quickerFirst);
  const final = played
    .slice(0, FINAL)
    .flatMap(({ moves: [move] }) => (move ? others.map((weights) => play(move, weights, within(0))) : []));
  const before = memory.restsFor(board).flatMap((rest) => wholeCourse(board, hands, costs, rest) ?? []);
  const [best] = [...new Set([...goingOn, ...played, ...final, ...before])]
    .filter(({ seconds }) => seconds < Infinity)
    .sort(quickerFirst)
    .slice(0, POLISHED)
    .map((course) => polished(board, hands, costs, course.moves, CHANGES))
    .sort(quickerFirst);
  if (best) memory.remember(board, best.moves.slice(1));
  return best?.moves[0] ?? null;
}

const quickerFirst = (one: WholeCourse, other: WholeCourse): number =>
  one.seconds === other.seconds ? 0 : one.seconds - other.seconds;

/** Each move once. */
function distinct(moves: readonly Move[]): Move[] {
  const known = new Set<string>();
  return moves.filter((move) => {
    const name = JSON.stringify(move);
    return !known.has(name) && known.add(name);
  });
}

/** A move and all that the quicker search asks after it; its seconds are Infinity where they come to more than `most`. */
function playedOut(search: HoldSearch, move: Move, most: () => number): WholeCourse {
  const board = copyBoard(search.board);
  const held = heldOn(board);
  const moves: Move[] = [];
  let [hands, seconds, next]: [Hands, number, Move | undefined] = [search.hands, 0, move];
  while (next) {
    moves.push(next);
    if (seconds > most()) return { moves, seconds: Infinity };
    takeMove(board, next);
    const cost = costOf(next, hands, search.costs, held);
    hands = cost.after;
    seconds += cost.seconds;
    next = bestHolds({ ...search, board, hands }, QUICK)[0];
  }
  return { moves, seconds };
}
