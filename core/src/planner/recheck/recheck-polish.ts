import { costOf, type HandCosts, type Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import { heldOn, takeExpected, type RecheckBoard } from './recheck-board.js';

/** A move whose leads stay; a sweep is as many of them as it touches. */
type Hold = Extract<Move, { kind: 'hold' }>;

/** A course of a re-check from where the hands are, and what it takes. */
export interface WholeCourse {
  moves: readonly Move[];
  seconds: number;
}

/** How far a hold is carried along a course, and how many are turned round. */
const SPAN = 8;

/**
 * The same course made quicker, every answer as expected: one change after another that takes fewer seconds and leaves
 * no more than the course did: a hold, a setting or a terminal less, a terminal more (which may spare a clip off and on),
 * the leads or the settings the other way round, holds in another order. A search down hill: not the least there is.
 * @param most changes to look at.
 */
export function polished(
  board: RecheckBoard,
  hands: Hands,
  costs: HandCosts,
  course: readonly Move[],
  most: number,
): WholeCourse {
  const held = heldOn(board);
  const holds = course.flatMap(holdsOf);
  const goal = leftAfter(board, holds);
  let looks = 0;
  const take = (from: Hands, some: readonly Hold[]) => secondsOf(some, from, costs, held);
  const before = (at: number): Hands => {
    const last = holds[at - 1];
    return last ? costOf(last, hands, costs, held).after : hands;
  };
  /** Puts others in the place of some holds if that is quicker and leaves no more. */
  const change = (at: number, many: number, others: readonly Hold[]): boolean => {
    looks += 1;
    const from = before(at);
    const next = holds.slice(at + many, at + many + 1);
    const now = holds.slice(at, at + many);
    const spared = take(from, [...now, ...next]) - take(from, [...others, ...next]);
    if (spared < 1e-9 || !others.every((one) => mayAsk(board, costs, one))) return false;
    const changed = [...holds.slice(0, at), ...others, ...holds.slice(at + many)];
    const settings = new Set([...now, ...others].flatMap((one) => one.settings));
    for (const setting of settings)
      if (leftIn(board, setting, changed) > (goal[setting] as number)) return false;
    holds.splice(at, many, ...others);
    return true;
  };
  for (let better = true; better && looks < most;) {
    better = false;
    for (let at = 0; at < holds.length && looks < most; at += 1) {
      const hold = holds[at] as Hold;
      const found =
        instead(hold, board.places).some((others) => change(at, 1, others)) ||
        inAnotherOrder(holds, at).some((others) => change(at, others.length, others));
      if (found) better = true;
    }
  }
  return { moves: holds, seconds: take(hands, holds) };
}

const holdsOf = (move: Move): Hold[] =>
  move.kind === 'hold'
    ? [move]
    : move.black.map((black) => ({
        kind: 'hold',
        red: [move.red],
        black: [black],
        settings: [move.setting],
      }));

/** What may stand in the place of a hold: nothing first. */
function instead(hold: Hold, places: readonly number[]): Hold[][] {
  const { red, black, settings } = hold;
  const without = (from: readonly number[], one: number) => from.filter((other) => other !== one);
  const fewer = (side: 'red' | 'black') =>
    hold[side].length > 1 ? hold[side].map((one) => ({ ...hold, [side]: without(hold[side], one) })) : [];
  const free = places.filter((place) => !red.includes(place) && !black.includes(place));
  const several = settings.length > 1;
  const one: Hold[] = [
    ...(several ? settings.map((setting) => ({ ...hold, settings: without(settings, setting) })) : []),
    ...(several ? [{ ...hold, settings: settings.toReversed() }] : []),
    { ...hold, red: black, black: red },
    ...fewer('red'),
    ...fewer('black'),
    ...free.flatMap((place) => [
      { ...hold, red: [...red, place] },
      { ...hold, black: [...black, place] },
    ]),
  ];
  return [[], ...one.map((changed) => [changed])];
}

/** A hold and those after it: the hold carried on past some of them, the last of them fetched, and all turned round. */
function inAnotherOrder(holds: readonly Hold[], at: number): Hold[][] {
  const orders: Hold[][] = [];
  for (let end = at + 2; end <= Math.min(holds.length, at + SPAN); end += 1) {
    const some = holds.slice(at, end);
    orders.push([...some.slice(1), some[0] as Hold]);
    if (some.length < 3) continue;
    orders.push([some.at(-1) as Hold, ...some.slice(0, -1)], some.toReversed());
  }
  return orders;
}

/**
 * Whether a hold may be asked at all: pairs that were passed over are not, terminals that are none any more, bundles where
 * they say nothing, nor what wants more clips than there are.
 */
function mayAsk({ places, settings }: RecheckBoard, { clipsOwned }: HandCosts, hold: Hold): boolean {
  const { red, black } = hold;
  const pair = red.length === 1 && black.length === 1;
  if (![...red, ...black].every((place) => places.includes(place))) return false;
  if (!pair && red.length + black.length > clipsOwned) return false;
  const [one, other] = [red[0] as number, black[0] as number];
  return hold.settings.every((setting) =>
    pair ? settings[setting]?.leaveOut.has(one, other) === false : settings[setting]?.pairsOnly === false,
  );
}

/** What a course takes from where the hands are, if it can be made and leaves nothing that would not show; null otherwise. */
export function wholeCourse(
  board: RecheckBoard,
  hands: Hands,
  costs: HandCosts,
  course: readonly Move[],
): WholeCourse | null {
  const holds = course.flatMap(holdsOf);
  const whole =
    holds.every((hold) => mayAsk(board, costs, hold)) && leftAfter(board, holds).every((left) => left === 0);
  return whole ? { moves: course, seconds: secondsOf(holds, hands, costs, heldOn(board)) } : null;
}

/** Seconds of holds, one after another. */
function secondsOf(
  holds: readonly Hold[],
  from: Hands,
  costs: HandCosts,
  held: (setting: number) => boolean,
): number {
  let [at, sum] = [from, 0];
  for (const hold of holds) {
    const { seconds, after } = costOf(hold, at, costs, held);
    [at, sum] = [after, sum + seconds];
  }
  return sum;
}

/** What is left after holds, by setting. */
const leftAfter = (board: RecheckBoard, holds: readonly Hold[]): number[] =>
  board.settings.map((_, setting) => leftIn(board, setting, holds));

/** What is left in a setting after holds: pairs of nets that one reading parts, and readings without which a net falls apart. */
function leftIn(board: RecheckBoard, setting: number, holds: readonly Hold[]): number {
  const one = board.settings[setting] as RecheckBoard['settings'][number];
  const settings = board.settings.slice();
  const here = (settings[setting] = { ...one, single: one.single.copy() });
  for (const { red, black, settings: asked } of holds)
    if (asked.includes(setting)) takeExpected({ ...board, settings }, setting, red, black);
  return here.loose.length + 2 * here.single.count();
}
