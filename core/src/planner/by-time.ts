import { netOf } from '../continuity/index.js';
import { netChance, type Chance } from './chance.js';
import { headsOf, isOpen, openPairsOf, type Field, type FieldSetting } from './field.js';
import { costOf, oriented } from './hands.js';
import type { Move } from './move.js';
import { holdMove, rowOf, runOf } from './schools.js';
import type { Planner, Situation } from './situation.js';

/**
 * By time. Of more than two settings the first is mapped by itself, since what it shows makes the rest predictable, unless
 * the handle turns so easily that holding pairs through all of them is cheaper from the start; then the move of which most
 * pairs are expected to be settled in a second: a pair held through settings, or a sweep.
 */
export const byTime: Planner = (situation) => {
  const { field, hands, costs } = situation;
  const first = hands.setting ?? 0;
  const pays = field.settings.length > 2 && costs.turn >= EASY_TURN * costs.moveLead;
  const untouched = field.settings.every((_, setting) => openPairsOf(field, setting).length > 0);
  return (pays && untouched ? rowOf(field, first) : null) ?? bestRate(situation);
};

/** A turn that costs less than this share of moving a lead is easy (tuned on drawn switches). */
const EASY_TURN = 0.6;

/**
 * Pairs that asking two terminals in a setting is expected to settle. Joined, it settles each net of which one of the two
 * knew more than the other. Open, it settles one pair, and none of worth where one of the two will probably turn out to
 * be joined to a third that is known to be apart from the other: then it would have followed. That chance counts squared, which served best.
 */
function gainIn(field: Field, setting: number, chance: Chance): (a: number, b: number) => number {
  const heads = headsOf(field, setting);
  const { nets } = field.settings[setting] as FieldSetting;
  const { size } = field;
  const head = (place: number) => netOf(nets, place);
  const likely = new Float64Array(size * size);
  for (const one of heads)
    for (const other of heads)
      if (one < other && isOpen(field, setting, one, other))
        likely[head(one) * size + head(other)] = likely[head(other) * size + head(one)] = chance(
          setting,
          one,
          other,
        );
  const names = heads.map(head);
  const known = new Float64Array(size * size).fill(-1);
  return (a, b) => {
    const [one, other] = [head(a), head(b)];
    const before = known[one * size + other] as number;
    if (before >= 0) return before;
    let both = 1;
    let needed = 1;
    for (const third of names) {
      if (third === one || third === other) continue;
      const [left, right] = [likely[one * size + third] as number, likely[other * size + third] as number];
      if (left > 0 || right > 0) both += 1;
      if (left > 0 && nets.apart[other * size + third] === 1) needed *= 1 - left;
      if (right > 0 && nets.apart[one * size + third] === 1) needed *= 1 - right;
    }
    const closed = likely[one * size + other] as number;
    const gain = closed * both + (1 - closed) * needed ** 2;
    known[one * size + other] = known[other * size + one] = gain;
    return gain;
  };
}

/**
 * The best move by expected pairs settled in a second.
 * @param wanted only pairs held through settings in which this holds are considered; all, and sweeps, without it.
 */
export function bestRate(
  situation: Situation,
  wanted?: (setting: number, a: number, b: number) => boolean,
): Move | null {
  const { field, hands, costs, chance } = situation;
  const held = (setting: number) => field.settings[setting]?.held ?? false;
  let best: { move: Move; rate: number } | null = null;
  const offer = (move: Move, gain: number) => {
    const rate = gain / costOf(move, hands, costs, held).seconds;
    if (!best || rate > best.rate + 1e-9) best = { move, rate };
  };
  const gain = field.settings.map((_, setting) => gainIn(field, setting, netChance(field, chance, setting)));
  for (const [at, a] of field.places.entries())
    for (const b of field.places.slice(at + 1)) {
      const open = runOf(situation, a, b);
      const settings = wanted ? open.filter((setting) => wanted(setting, a, b)) : open;
      if (settings.length === 0) continue;
      const [red, black] = oriented(a, b, hands);
      const run: number[] = [];
      let sum = 0;
      for (const setting of settings) {
        run.push(setting);
        sum += gain[setting]?.(a, b) ?? 0;
        if (run.length === 1 || run.length === settings.length)
          offer(holdMove(red, black, run.slice(), hands), sum);
      }
    }
  const here = hands.setting ?? 0;
  const heads = wanted ? [] : headsOf(field, here);
  for (const red of heads) {
    const black = heads.filter((head) => head !== red && isOpen(field, here, red, head));
    if (black.length < 2) continue;
    offer(
      { kind: 'sweep', setting: here, red, black },
      black.reduce((sum, b) => sum + (gain[here]?.(red, b) ?? 0), 0),
    );
  }
  return (best as { move: Move } | null)?.move ?? null;
}
