import { seededRandom, shuffled } from '../switch/index.js';
import { costOf, type HandCosts, type Hands } from './hands.js';
import type { Move } from './move.js';

/** One setting of a re-check: nets by place, and which pairs of nets only one reading parts so far. */
export interface OpensOfSetting {
  nets: readonly number[];
  /** By the names of two nets, `size` squared, both ways round. */
  single: Uint8Array;
}

/** Tries with the terminals in different orders; the best one counts. */
const TRIES = 6;
/** Pairs of nets that sweeps part again in a second, about: one lead and one read each. */
const SWEEPS_RATE = (costs: HandCosts): number => 1 / (costs.moveLead + costs.read);

/**
 * A bundle that parts many nets once more, in as many settings as it can: some terminals tied on red, some on black, the
 * rest left out, so that no net of those settings is on both sides. Greedy over seeded orders: terminal by terminal to the
 * side where it parts most. null where sweeps of pairs are as quick.
 */
export function openBundle(
  size: number,
  places: readonly number[],
  settings: readonly OpensOfSetting[],
  hands: Hands,
  costs: HandCosts,
  held: (setting: number) => boolean,
): Move | null {
  let best: { move: Move; rate: number } | null = null;
  for (let seed = 1; seed <= TRIES; seed += 1) {
    const order = seed === 1 ? places : shuffled(places, seededRandom(seed));
    const sides = divide(size, order, settings, costs.clipsOwned);
    const usable = sides.gains.flatMap((gain, setting) => (gain > 0 ? [setting] : []));
    if (usable.length === 0) continue;
    const move: Move = { kind: 'hold', red: sides.red, black: sides.black, settings: usable };
    const gain = usable.reduce((sum, setting) => sum + (sides.gains[setting] as number), 0);
    const off = (sides.red.length + sides.black.length) * costs.clip;
    const rate = gain / (costOf(move, hands, costs, held).seconds + off);
    if (!best || rate > best.rate) best = { move, rate };
  }
  return best && best.rate > SWEEPS_RATE(costs) ? best.move : null;
}

interface Sides {
  red: number[];
  black: number[];
  /** Pairs of nets parted in each setting; 0 where a net is on both sides. */
  gains: number[];
}

function divide(
  size: number,
  order: readonly number[],
  settings: readonly OpensOfSetting[],
  clips: number,
): Sides {
  const side = settings.map(() => new Int8Array(size));
  const dead = settings.map(() => false);
  const gains = settings.map(() => 0);
  const sides: Sides = { red: [], black: [], gains };
  for (const place of order) {
    if (sides.red.length + sides.black.length >= clips) break;
    const [red, black] = [1, -1].map((wanted) =>
      gainOf(place, wanted, size, settings, side, dead, gains),
    ) as [number, number];
    const wanted = red >= black ? 1 : -1;
    const first = sides.red.length === 0;
    if (!first && Math.max(red, black) <= 0) continue;
    (wanted === 1 ? sides.red : sides.black).push(place);
    settings.forEach(({ nets }, setting) => {
      const net = nets[place] as number;
      const now = (side[setting] as Int8Array)[net] as number;
      if (now === -wanted) {
        dead[setting] = true;
        gains[setting] = 0;
      } else if (now === 0 && !dead[setting]) {
        gains[setting] =
          (gains[setting] as number) +
          parted(settings[setting] as OpensOfSetting, side[setting] as Int8Array, net, wanted, size);
        (side[setting] as Int8Array)[net] = wanted;
      }
    });
  }
  return sides;
}

/** What a terminal adds on a side, over all settings; what it spoils is taken off. */
function gainOf(
  place: number,
  wanted: number,
  size: number,
  settings: readonly OpensOfSetting[],
  side: readonly Int8Array[],
  dead: readonly boolean[],
  gains: readonly number[],
): number {
  return settings.reduce((sum, one, setting) => {
    if (dead[setting]) return sum;
    const net = one.nets[place] as number;
    const now = (side[setting] as Int8Array)[net] as number;
    if (now === wanted) return sum;
    if (now === -wanted) return sum - (gains[setting] as number) - 0.5;
    return sum + parted(one, side[setting] as Int8Array, net, wanted, size);
  }, 0);
}

function parted(
  { single }: OpensOfSetting,
  side: Int8Array,
  net: number,
  wanted: number,
  size: number,
): number {
  let pairs = 0;
  for (let other = 0; other < size; other += 1)
    if (side[other] === -wanted && single[net * size + other] === 1) pairs += 1;
  return pairs;
}
