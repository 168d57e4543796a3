import { countBits, lowestBit, setBit, wordsFor } from './bits.js';
import { leadIsBrought, leadMoves, type HandCosts, type Hands } from './hands.js';
import { partsJoined } from './loose-net.js';
import { type RecheckBoard, type RecheckSetting } from './recheck-board.js';

/** What is held to be worth what: a search by other weights comes to other moves. */
export interface Weights {
  /** What a join that shows is worth, in pairs of nets parted. */
  join: number;
  /** The share of taking a clip off that counts when it is put on. */
  ahead: number;
}

/** How much was looked at so far: sides times settings. */
export interface Work {
  looks: number;
}

/** Which lead a place is tied to. */
export type Lead = 0 | 1 | 2;
export const [NONE, RED, BLACK] = [0, 1, 2] as const;

/**
 * Two sides of a re-check, from where the hands are, and what they gain in a second. Thousands are looked at for each
 * move, so everything is kept in counts and bits that change with one place: a change costs a few steps for each setting.
 */
export interface Sides {
  /** Puts a place on a lead, or on none. */
  put: (place: number, lead: Lead) => void;
  leadOf: (place: number) => Lead;
  /** How many places are on a lead. */
  many: (lead: typeof RED | typeof BLACK) => number;
  /** Gain, and gain in a second, after one place more is put somewhere, without doing so; 0 where it says nothing. */
  gainWith: (place: number, lead: Lead) => number;
  rateWith: (place: number, lead: Lead) => number;
  /** The settings in which the sides say something, from the first. */
  settings: () => number[];
}

/**
 * How two sides stand in one setting in which something is left: places of each net on each lead, the nets on each as
 * bits, and how many are on both.
 */
interface Standing {
  of: RecheckSetting;
  setting: number;
  nets: Int16Array;
  rows: Int32Array;
  reds: Uint8Array;
  blacks: Uint8Array;
  redBits: Int32Array;
  blackBits: Int32Array;
  splits: number;
  /** Single pairs of a net on red and one on black. */
  open: number;
}

/** Sides with nothing on them. */
export function emptySides(
  board: RecheckBoard,
  hands: Hands,
  costs: HandCosts,
  weights: Weights,
  work: Work,
): Sides {
  const { size, places } = board;
  const words = wordsFor(size);
  const leads = new Uint8Array(size);
  const leadOf = (place: number) => leads[place] as Lead;
  const standings = board.settings.flatMap((one, setting) =>
    one.loose.length > 0 || one.single.includes(1) ? [standingOf(one, setting, size, words)] : [],
  );
  const seconds = secondsOf(board, hands, costs, weights.ahead);

  /** Nets across that one more net on a lead has single pairs with. */
  const acrossOf = ({ rows }: Standing, net: number, bits: Int32Array): number => {
    let all = 0;
    for (let word = 0; word < words; word += 1)
      all += countBits((rows[net * words + word] as number) & (bits[word] as number));
    return all;
  };
  /** The first net on both leads, other than one. */
  const splitNet = ({ redBits, blackBits }: Standing, but: number): number => {
    for (let word = 0; word < words; word += 1) {
      const others = but >> 5 === word ? ~(1 << (but & 31)) : -1;
      const both = (redBits[word] as number) & (blackBits[word] as number) & others;
      if (both !== 0) return word * 32 + lowestBit(both);
    }
    return -1;
  };
  const looseGain = ({ of: { loose }, nets }: Standing, net: number): number => {
    let joins = 0;
    for (const one of loose) if (one.net === net && partsJoined(one, nets, leads)) joins += 1;
    return weights.join * joins;
  };
  /** What the sides gain in a setting after a place is moved from one lead to another (which `leads` shows already). */
  const gainAfter = (standing: Standing, place: number, from: Lead, to: Lead): number => {
    const net = standing.nets[place] as number;
    const [red, black] = [standing.reds[net] as number, standing.blacks[net] as number];
    const redAfter = red - Number(from === RED) + Number(to === RED);
    const blackAfter = black - Number(from === BLACK) + Number(to === BLACK);
    const [was, is] = [Number(red > 0 && black > 0), Number(redAfter > 0 && blackAfter > 0)];
    const splits = standing.splits - was + is;
    if (splits > 1) return 0;
    if (splits === 1) return looseGain(standing, is === 1 ? net : splitNet(standing, net));
    const { open } = standing;
    const redChange = Number(redAfter > 0) - Number(red > 0);
    const blackChange = Number(blackAfter > 0) - Number(black > 0);
    return (
      open +
      (redChange === 0 ? 0 : redChange * acrossOf(standing, net, standing.blackBits)) +
      (blackChange === 0 ? 0 : blackChange * acrossOf(standing, net, standing.redBits))
    );
  };
  const put = (place: number, to: Lead): void => {
    const from = leadOf(place);
    if (from === to) return;
    for (const standing of standings) {
      const net = standing.nets[place] as number;
      const { reds, blacks, redBits, blackBits } = standing;
      const both = () => Number((reds[net] as number) > 0 && (blacks[net] as number) > 0);
      standing.splits -= both();
      const step = (lead: Lead, by: number) => {
        if (lead === NONE) return;
        const [counts, bits, others] =
          lead === RED ? [reds, redBits, blackBits] : [blacks, blackBits, redBits];
        counts[net] = (counts[net] as number) + by;
        if ((counts[net] as number) !== (by > 0 ? 1 : 0)) return;
        bits[net >> 5] = (bits[net >> 5] as number) ^ (1 << (net & 31));
        standing.open += by * acrossOf(standing, net, others);
      };
      step(from, -1);
      step(to, 1);
      standing.splits += both();
    }
    leads[place] = to;
    seconds.put(place, from, to);
  };
  /** Settings in which something is gained by the last look, as flags. */
  const says = new Uint8Array(standings.length);
  /** What is gained after one change, and in a second. */
  let rate = 0;
  const lookWith = (place: number, to: Lead): number => {
    const from = leadOf(place);
    rate = 0;
    work.looks += standings.length;
    seconds.put(place, from, to);
    const pair = seconds.pair();
    let gain = 0;
    if (pair !== null) {
      leads[place] = to;
      seconds.begin();
      for (let at = 0; at < standings.length; at += 1) {
        const standing = standings[at] as Standing;
        says[at] = 0;
        if (pair < 0 ? standing.of.pairsOnly : standing.of.leaveOut[pair] === 1) continue;
        const here = gainAfter(standing, place, from, to);
        if (here === 0) continue;
        gain += here;
        says[at] = 1;
        seconds.read(standing.setting);
      }
      leads[place] = from;
      if (gain > 0) rate = gain / seconds.sum();
    }
    seconds.put(place, to, from);
    return gain;
  };
  return {
    put,
    leadOf,
    many: seconds.many,
    gainWith: lookWith,
    rateWith: (place, to) => (lookWith(place, to), rate),
    settings: () => {
      const place = places[0] as number;
      return lookWith(place, leadOf(place)) > 0
        ? standings.flatMap(({ setting }, at) => (says[at] === 1 ? [setting] : []))
        : [];
    },
  };
}

function standingOf(of: RecheckSetting, setting: number, size: number, words: number): Standing {
  const rows = new Int32Array(size * words);
  for (let net = 0; net < size; net += 1)
    for (let other = 0; other < size; other += 1)
      if (of.single[net * size + other] === 1) setBit(rows, other, net, words);
  return {
    of,
    setting,
    nets: Int16Array.from(of.nets),
    rows,
    reds: new Uint8Array(size),
    blacks: new Uint8Array(size),
    redBits: new Int32Array(words),
    blackBits: new Int32Array(words),
    splits: 0,
    open: 0,
  };
}

/** What two sides take, as `costOf` counts it, from counts that one change alters; a share of taking off new clips added. */
function secondsOf({ size, settings }: RecheckBoard, hands: Hands, costs: HandCosts, ahead: number) {
  const { tied } = hands;
  const clipped = new Uint8Array(size);
  for (const place of tied.red) clipped[place] = RED;
  for (const place of tied.black) clipped[place] = BLACK;
  const all = tied.red.length + tied.black.length;
  const read = settings.map(({ held }) => costs.read + (held ? costs.holdMomentary : 0));
  const here = hands.setting ?? 0;
  /** By lead: how many places, how many of them are clipped to it already, and the sum of the places. */
  const [many, stay, sum] = [new Int16Array(3), new Int16Array(3), new Int16Array(3)];
  const step = (place: number, lead: Lead, by: number) => {
    many[lead] = (many[lead] as number) + by;
    stay[lead] = (stay[lead] as number) + (clipped[place] === lead ? by : 0);
    sum[lead] = (sum[lead] as number) + by * place;
  };
  const put = (place: number, from: Lead, to: Lead) => {
    step(place, from, -1);
    step(place, to, 1);
  };
  const leads = (bundle: boolean): number => {
    const [red, black] = [sum[RED] as number, sum[BLACK] as number];
    if (!bundle)
      return Math.min(
        leadMoves(hands, red, black, costs).seconds,
        leadMoves(hands, black, red, costs).seconds,
      );
    const [reds, blacks] = [many[RED] as number, many[BLACK] as number];
    if (reds > 1 && blacks > 1) return 0;
    const brought = reds > 1 ? leadIsBrought('black', black, hands) : leadIsBrought('red', red, hands);
    return brought ? costs.moveLead : 0;
  };
  let [first, last, reads] = [-1, -1, 0];
  return {
    put,
    many: (lead: typeof RED | typeof BLACK) => many[lead] as number,
    /** The pair that there is, as a cell; -1 for a bundle; null where it cannot be made. */
    pair: (): number | null => {
      const [red, black] = [many[RED] as number, many[BLACK] as number];
      if (red === 0 || black === 0) return null;
      if (red === 1 && black === 1) return (sum[RED] as number) * size + (sum[BLACK] as number);
      return red + black > costs.clipsOwned ? null : -1;
    },
    /** Begins to count settings. */
    begin: () => {
      [first, last, reads] = [-1, -1, 0];
    },
    /** Counts a setting, from the first to the last. */
    read: (setting: number) => {
      if (first < 0) first = setting;
      last = setting;
      reads += costs.turn + (read[setting] as number);
    },
    sum: (): number => {
      let [on, off] = [0, all];
      for (const lead of [RED, BLACK])
        if ((many[lead] as number) > 1) {
          on += (many[lead] as number) - (stay[lead] as number);
          off -= stay[lead] as number;
        }
      const bundle = (many[RED] as number) > 1 || (many[BLACK] as number) > 1;
      const start = Math.abs(here - last) < Math.abs(here - first) ? last : first;
      const seconds = ((1 + ahead) * on + (1 - ahead) * off) * costs.clip + leads(bundle) + reads;
      return start === hands.setting ? seconds - costs.turn : seconds;
    },
  };
}
