import { netChance } from '../chance/chance.js';
import { firstRow, isUnknown, unknownPairsOf, type Field } from '../field/field.js';
import { fromHere, oriented, type Hands } from '../hands/hands.js';
import type { Planner, Situation } from './situation.js';
import { pairMove, type Move } from '../hands/move.js';

/**
 * Settings in the order in which the handle comes to them from where it is; those in which it has to be held come together at
 * the end, so that a clip or an aid is put on once.
 */
export function settingsFrom({ field, hands }: Situation): number[] {
  const [here, ...further] = fromHere([...field.settings.keys()], hands.setting);
  return here === undefined ? [] : [here, ...heldLast(field, further)];
}

const heldLast = ({ settings }: Field, order: readonly number[]): number[] => [
  ...order.filter((setting) => !settings[setting]?.held),
  ...order.filter((setting) => settings[setting]?.held),
];

/** Set the handle, walk all pairs: rows i < j in terminal order, as sweeps, skipping what follows. */
export const positionFirst: Planner = (situation) => {
  const { field } = situation;
  for (const setting of settingsFrom(situation)) {
    const sweep = nextSweep(field, setting);
    if (sweep) return sweep;
  }
  return null;
};

/** The next row i < j of a setting as a sweep; null when all of it is known. */
function nextSweep(field: Field, setting: number): Move | null {
  const row = firstRow(field, setting);
  return row && { kind: 'sweep', setting, ...row };
}

/** Hold a pair, work the handle: the first pair in terminal order, through every setting where it is not known. */
export const pairFirst: Planner = (situation) => {
  const { field, hands } = situation;
  for (const [at, red] of field.places.entries()) {
    for (const black of field.places.slice(at + 1)) {
      const settings = runOf(situation, red, black);
      if (settings.length > 0) return holdMove(red, black, settings, hands);
    }
  }
  return null;
};

/** The settings in which a pair is not known, from where the handle is, round the shorter way. */
export function runOf({ field, hands }: Situation, a: number, b: number): number[] {
  const open = field.settings.flatMap((_, setting) => (isUnknown(field, setting, a, b) ? [setting] : []));
  const here = hands.setting ?? 0;
  const after = open.filter((setting) => setting >= here);
  const before = open.filter((setting) => setting < here);
  return heldLast(field, after.length === 0 ? before.toReversed() : [...after, ...before.toReversed()]);
}

/** A pair held through settings; in one setting alone it is a plain pair. */
export function holdMove(a: number, b: number, settings: number[], hands: Hands): Move {
  const [red, black] = oriented(a, b, hands);
  return settings.length === 1
    ? pairMove(settings[0] as number, red, black)
    : { kind: 'hold', red: [red], black: [black], settings };
}

/** A chance below this is 'will be open': what is left of a setting then is swept. */
const UNLIKELY = 0.06;

/** In each setting the pair of nets most likely to join, until none is likely; then the rest in sweeps. */
export const likelyFirst: Planner = (situation) => {
  const { field, hands } = situation;
  for (const setting of settingsFrom(situation)) {
    const pairs = unknownPairsOf(field, setting);
    if (pairs.length === 0) continue;
    const best = likeliest(situation, setting, pairs);
    if (best.chance < UNLIKELY) return nextSweep(field, setting);
    return pairMove(setting, ...oriented(...best.pair, hands));
  }
  return null;
};

function likeliest(
  { field, chance }: Situation,
  setting: number,
  pairs: readonly [number, number][],
): { pair: [number, number]; chance: number } {
  const of = netChance(field, chance, setting);
  let best: { pair: [number, number]; chance: number } = { pair: pairs[0] as [number, number], chance: -1 };
  for (const pair of pairs) {
    const value = of(setting, ...pair);
    if (value > best.chance + 1e-9) best = { pair, chance: value };
  }
  return best;
}
