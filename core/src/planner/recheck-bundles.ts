import { seededRandom, shuffled } from '../switch/index.js';
import { clipChange, costOf, oriented, type HandCosts, type Hands } from './hands.js';
import type { Move } from './move.js';
import { holdMove } from './schools.js';

/** One setting of a re-check: nets by place, and which pairs of nets only one reading parts so far. */
export interface OpensOfSetting {
  nets: readonly number[];
  /** By the names of two nets, `size` squared, both ways round. */
  single: Uint8Array;
}

/** What a bundle is looked for in: all that a re-check has left to part once more. */
export interface OpensLeft {
  size: number;
  places: readonly number[];
  opens: readonly OpensOfSetting[];
  /** Settings in which no bundles are asked. */
  pairsOnly: readonly boolean[];
  /** Pairs that are not to be asked by themselves, by setting, both ways round: other terminals of their nets may be. */
  leaveOut: readonly Uint8Array[];
  held: (setting: number) => boolean;
}

/** Terminals on each lead. */
interface Sides {
  red: readonly number[];
  black: readonly number[];
}

interface Rated {
  sides: Sides;
  move: Move;
  /** Pairs of nets parted again. */
  gain: number;
  /** The same in a second. */
  rate: number;
}

/** Pairs from which the search goes up hill, and orders in which terminals are dealt to the leads before it does. */
const PAIRS = 8;
const DEALS = 6;

/** The share of taking a clip off that counts when it is put on (this and the two above tuned on drawn switches). */
const AHEAD = 0.3;

/**
 * The bundle, or the pair held through settings, that parts most pairs of nets once more in a second: some terminals on
 * red, some on black, the rest left out, so that no net is on both sides in the settings in which it is read. A search up
 * hill from where the clips are, from the best pairs, and from terminals dealt to the side where they part most; each step
 * adds a terminal, takes one away or moves it over. null where a pair in a single setting is as quick.
 */
export function openBundle(left: OpensLeft, hands: Hands, costs: HandCosts): Move | null {
  const rate = rating(left, hands, costs);
  let best: Rated | null = null;
  for (const start of [...startsFrom(left, hands, rate), ...dealt(left, rate)]) {
    const found = upHill(start, left.places, rate);
    if (found.rate > (best?.rate ?? 0) + 1e-9) best = found;
  }
  return best?.move ?? null;
}

type Rating = (sides: Sides) => Rated | null;

/** Rates two sides; null where they part nothing, or where they want more clips than there are. */
function rating(
  { size, opens, pairsOnly, leaveOut, held }: OpensLeft,
  hands: Hands,
  costs: HandCosts,
): Rating {
  const words = Math.ceil(size / 32);
  const rows = opens.map(({ single }) => bitsOf(single, size, words));
  const [reds, blacks] = [new Int32Array(words), new Int32Array(words)];
  const gainIn = (setting: number, { red, black }: Sides): number => {
    const pair = red.length === 1 && black.length === 1;
    if (
      pair ? leaveOut[setting]?.[(red[0] as number) * size + (black[0] as number)] === 1 : pairsOnly[setting]
    )
      return 0;
    const { nets } = opens[setting] as OpensOfSetting;
    reds.fill(0);
    blacks.fill(0);
    for (const place of red) setBit(reds, nets[place] as number);
    for (const place of black) setBit(blacks, nets[place] as number);
    let gain = 0;
    for (let word = 0; word < words; word += 1) {
      let left = reds[word] as number;
      if ((left & (blacks[word] as number)) !== 0) return 0;
      for (; left !== 0; left &= left - 1) {
        const net = word * 32 + (31 - Math.clz32(left & -left));
        for (let other = 0; other < words; other += 1)
          gain += countBits((rows[setting]?.[net * words + other] as number) & (blacks[other] as number));
      }
    }
    return gain;
  };
  return (sides) => {
    if (sides.red.length + sides.black.length > costs.clipsOwned) return null;
    let gain = 0;
    const settings: number[] = [];
    for (let setting = 0; setting < opens.length; setting += 1) {
      const here = gainIn(setting, sides);
      gain += here;
      if (here > 0) settings.push(setting);
    }
    if (gain === 0) return null;
    const move = moveOf(sides, settings, hands);
    const { on, off } = clipChange(move, hands);
    const seconds = costOf(move, hands, costs, held).seconds + AHEAD * (on.length - off.length) * costs.clip;
    return { sides, move, gain, rate: gain / seconds };
  };
}

function moveOf({ red, black }: Sides, settings: readonly number[], hands: Hands): Move {
  const here = hands.setting ?? 0;
  const [first, last] = [settings[0] as number, settings.at(-1) as number];
  const order = Math.abs(here - last) < Math.abs(here - first) ? settings.toReversed() : settings.slice();
  const [one, other] = [red[0] as number, black[0] as number];
  return red.length === 1 && black.length === 1
    ? holdMove(...oriented(one, other, hands), order, hands)
    : { kind: 'hold', red: red.slice(), black: black.slice(), settings: order };
}

/** Where the clips are now, the lone lead on any terminal, and the pairs that part most in a second. */
function startsFrom({ places }: OpensLeft, { tied, black }: Hands, rate: Rating): Rated[] {
  const { red } = tied;
  const lone = red.length > 1 ? places.filter((place) => !red.includes(place)) : [];
  const kept: Sides[] = [...lone.map((place) => ({ red, black: [place] }))];
  if (red.length > 0 && tied.black.length > 0) kept.push(tied);
  else if (red.length > 0 && black !== null && !red.includes(black)) kept.push({ red, black: [black] });
  const pairs = places.flatMap((a, at) => places.slice(at + 1).map((b) => ({ red: [a], black: [b] })));
  return [...kept, ...pairs]
    .flatMap((sides) => rate(sides) ?? [])
    .sort((one, other) => other.rate - one.rate)
    .slice(0, PAIRS);
}

/** Terminals in seeded orders, each dealt to the side where it parts most, or to none; the best on the way. */
function dealt({ places }: OpensLeft, rate: Rating): Rated[] {
  return Array.from({ length: DEALS }, (_, seed) => {
    const [first, ...order] = seed === 0 ? places : shuffled(places, seededRandom(seed));
    let best: Rated | null = null;
    let [sides, gain]: [Sides, number] = [{ red: first === undefined ? [] : [first], black: [] }, 0];
    for (const place of order)
      for (const next of [rate(onRed(sides, place)), rate(onBlack(sides, place))]) {
        if (!next || next.gain <= gain) continue;
        ({ sides, gain } = next);
        if (next.rate > (best?.rate ?? 0)) best = next;
      }
    return best ?? [];
  }).flat();
}

function upHill(start: Rated, places: readonly number[], rate: Rating): Rated {
  let best = start;
  for (;;) {
    const next = neighbours(best.sides, places)
      .flatMap((sides) => rate(sides) ?? [])
      .reduce((most, one) => (one.rate > most.rate + 1e-9 ? one : most), best);
    if (next === best) return best;
    best = next;
  }
}

const onRed = ({ red, black }: Sides, place: number): Sides => ({ red: [...red, place], black });
const onBlack = ({ red, black }: Sides, place: number): Sides => ({ red, black: [...black, place] });

/** One terminal put on, taken off or moved over; a lone lead on another terminal. */
function neighbours({ red, black }: Sides, places: readonly number[]): Sides[] {
  return places.flatMap((place) => {
    if (red.includes(place)) {
      const rest = { red: red.filter((one) => one !== place), black };
      return red.length > 1 ? [rest, onBlack(rest, place)] : [];
    }
    if (black.includes(place)) {
      const rest = { red, black: black.filter((one) => one !== place) };
      return black.length > 1 ? [rest, onRed(rest, place)] : [];
    }
    const sides = { red, black };
    return [
      onRed(sides, place),
      onBlack(sides, place),
      ...(red.length === 1 ? [{ red: [place], black }] : []),
      ...(black.length === 1 ? [{ red, black: [place] }] : []),
    ];
  });
}

const setBit = (bits: Int32Array, at: number): void => {
  bits[at >> 5] = (bits[at >> 5] as number) | (1 << (at & 31));
};

/** Each row of a square of flags as bits. */
function bitsOf(flags: Uint8Array, size: number, words: number): Int32Array {
  const bits = new Int32Array(size * words);
  for (let row = 0; row < size; row += 1)
    for (let at = 0; at < size; at += 1)
      if (flags[row * size + at] === 1) setBit(bits.subarray(row * words, (row + 1) * words), at);
  return bits;
}

/** How many bits of a word are set (H. S. Warren, Hacker's Delight, section 5-1). */
function countBits(word: number): number {
  let bits = word - ((word >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return Math.imul((bits + (bits >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}
