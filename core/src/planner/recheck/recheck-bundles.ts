import { seededRandom, shuffled } from '../../switch/index.js';
import type { HandCosts, Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import type { RecheckBoard } from './recheck-board.js';
import { Sides, type Weights, type Work } from './recheck-sides.js';
import { BLACK, NONE, RED, type OnLead } from './side-seconds.js';
import { holdMove } from '../schools/plain-schools.js';

/** How hard is looked: pairs from which the search goes up hill, and orders in which terminals are dealt to the leads. */
export interface Effort {
  pairs: number;
  deals: number;
}

/** For the move that is made, and for those supposed after it (tuned on drawn switches). */
export const THOROUGH: Effort = { pairs: 8, deals: 6 };
export const QUICK: Effort = { pairs: 2, deals: 1 };

/** What holds are looked for on, from where, and by which weights. */
export interface HoldSearch {
  board: RecheckBoard;
  hands: Hands;
  costs: HandCosts;
  weights: Weights;
  /** What was looked at so far, for whoever has a limit. */
  work?: Work;
}

/** Which lead each place is on, and what that gains in a second. */
interface Found {
  leads: OnLead[];
  rate: number;
}

/**
 * The best moves found, each from another start: some terminals on red, some on black, the rest left out, or a pair, read
 * through all settings in which it shows something. A search up hill from where the clips are, from the best pairs, and
 * from terminals dealt to the side where they gain most; each step adds a terminal, takes one away or moves it over.
 * Best first; empty when nothing is left that may be asked.
 */
export function bestHolds(
  { board, hands, costs, weights, work = { looks: 0 } }: HoldSearch,
  { pairs, deals }: Effort,
): Move[] {
  const sides = new Sides(board, hands, costs, weights, work);
  const starts = [...startsFrom(board, hands, sides).slice(0, pairs), ...dealt(board, sides, deals)];
  const passed = new Set<string>();
  return starts
    .flatMap((start) => upHill(start, board.places, sides, passed) ?? [])
    .sort((one, other) => other.rate - one.rate)
    .map(({ leads }) => {
      lay(leads, board.places, sides);
      return holdOf(leads, sides.settings(), hands);
    });
}

/** The move of two sides, the handle going the shorter way. */
function holdOf(leads: readonly OnLead[], settings: number[], hands: Hands): Move {
  const on = (lead: OnLead) => [...leads.keys()].filter((place) => leads[place] === lead);
  const [red, black] = [on(RED), on(BLACK)];
  const here = hands.setting ?? 0;
  const [first, last] = [settings[0] as number, settings.at(-1) as number];
  const order = Math.abs(here - last) < Math.abs(here - first) ? settings.toReversed() : settings;
  return red.length === 1 && black.length === 1
    ? holdMove(red[0] as number, black[0] as number, order, hands)
    : { kind: 'hold', red, black, settings: order };
}

/** Lays the leads as they are wanted. */
function lay(leads: readonly OnLead[], places: readonly number[], sides: Sides): void {
  for (const place of places) sides.put(place, leads[place] ?? NONE);
}

const laid = ({ size }: RecheckBoard, red: readonly number[], black: readonly number[]): OnLead[] => {
  const leads = new Array<OnLead>(size).fill(NONE);
  for (const place of red) leads[place] = RED;
  for (const place of black) leads[place] = BLACK;
  return leads;
};

const laidIn = ({ size, places }: RecheckBoard, sides: Sides): OnLead[] => {
  const leads = new Array<OnLead>(size).fill(NONE);
  for (const place of places) leads[place] = sides.leadOf(place);
  return leads;
};

/** Where the clips are now, the lone lead on any terminal, and all pairs; those first that gain most in a second. */
function startsFrom(board: RecheckBoard, { tied, black }: Hands, sides: Sides): Found[] {
  const { places } = board;
  const { red } = tied;
  const kept: OnLead[][] =
    red.length > 1
      ? places.filter((place) => !red.includes(place)).map((place) => laid(board, red, [place]))
      : [];
  if (red.length > 0 && tied.black.length > 0) kept.push(laid(board, red, tied.black));
  else if (red.length > 0 && black !== null && !red.includes(black)) kept.push(laid(board, red, [black]));
  return [...kept.map((leads) => ({ leads, rate: rateOf(leads, places, sides) })), ...pairsOf(board, sides)]
    .filter(({ rate }) => rate > 0)
    .sort((one, other) => other.rate - one.rate);
}

function pairsOf(board: RecheckBoard, sides: Sides): Found[] {
  lay([], board.places, sides);
  return board.places.flatMap((a, at) => {
    sides.put(a, RED);
    const found = board.places.slice(at + 1).flatMap((b): Found[] => {
      const rate = sides.rateWith(b, BLACK);
      return rate > 0 ? [{ leads: laid(board, [a], [b]), rate }] : [];
    });
    sides.put(a, NONE);
    return found;
  });
}

function rateOf(leads: readonly OnLead[], places: readonly number[], sides: Sides): number {
  lay(leads, places, sides);
  const place = places[0] as number;
  return sides.rateWith(place, sides.leadOf(place));
}

/** Terminals in seeded orders, each dealt to the side where it gains most, or to none; the best on the way. */
function dealt(board: RecheckBoard, sides: Sides, deals: number): Found[] {
  const { places } = board;
  return Array.from({ length: deals }, (_, seed) => {
    const [first, ...order] = seed === 0 ? places : shuffled(places, seededRandom(seed));
    lay([], places, sides);
    if (first !== undefined) sides.put(first, RED);
    let best: Found | null = null;
    let most = 0;
    for (const place of order) {
      const [onRed, onBlack] = [sides.gainWith(place, RED), sides.gainWith(place, BLACK)];
      if (Math.max(onRed, onBlack) <= most) continue;
      const lead = onRed >= onBlack ? RED : BLACK;
      const rate = sides.rateWith(place, lead);
      most = Math.max(onRed, onBlack);
      sides.put(place, lead);
      if (rate > (best?.rate ?? 0)) best = { leads: laidIn(board, sides), rate };
    }
    return best ?? [];
  }).flat();
}

/** The best that one change after another comes to; null where another search has passed already. */
function upHill(start: Found, places: readonly number[], sides: Sides, passed: Set<string>): Found | null {
  lay(start.leads, places, sides);
  const leads = start.leads.slice();
  let { rate } = start;
  for (;;) {
    const name = leads.join('');
    if (passed.has(name)) return null;
    passed.add(name);
    let [best, changes]: [number, [number, OnLead][]] = [rate + 1e-9, []];
    const offer = (found: number, ...made: [number, OnLead][]) => {
      if (found > best) [best, changes] = [found, made];
    };
    for (const place of places)
      for (const lead of [NONE, RED, BLACK])
        if (lead !== leads[place]) offer(sides.rateWith(place, lead), [place, lead]);
    // A lone lead on another terminal.
    for (const lead of [RED, BLACK]) {
      if (sides.many(lead) !== 1) continue;
      const lone = leads.indexOf(lead);
      sides.put(lone, NONE);
      for (const place of places)
        if (leads[place] === NONE) offer(sides.rateWith(place, lead), [lone, NONE], [place, lead]);
      sides.put(lone, lead);
    }
    if (changes.length === 0) return { leads, rate };
    for (const [place, lead] of changes) {
      sides.put(place, lead);
      leads[place] = lead;
    }
    rate = best;
  }
}
