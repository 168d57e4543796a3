import { Reals } from '../../grid/index.js';
import { netOf } from '../../continuity/index.js';
import type { Chance } from '../chance/chance.js';
import { headsOf, isUnknown, type Field, type FieldSetting } from '../field/field.js';

/** What a third net counts that a join settles, one of the two being known apart from it (all five are tuned on drawn switches). */
const THIRD = 0.7;

/** How far that counts less where the third is likely to join the other: the join is less likely then. */
const RIVAL = 0.5;

/** What a third net counts that nobody knows against either: joined, the two are asked about it once instead of twice. */
const ONCE = 0.3;

/** How far a third net that nobody knows against either of the two makes an open answer worth less. */
const LOOSE = 0.3;

/** An answer that will probably follow is worth less than its chance says. */
const NEEDED = 1.5;

/**
 * Pairs that asking two terminals in a setting is expected to settle, by the chance of two nets. Joined, it settles each
 * third net that one of the two was known to be apart from, and may spare one of two answers about each that neither was.
 * Open, it settles one pair, and one of no worth where one of the two will probably turn out to be joined to a third that
 * is apart from the other: then it would have followed.
 */
export function gainIn(field: Field, setting: number, chance: Chance): (a: number, b: number) => number {
  const heads = headsOf(field, setting);
  const { nets } = field.settings[setting] as FieldSetting;
  const { size } = field;
  const head = (place: number) => netOf(nets, place);
  const likely = new Reals(size * size, size);
  for (const one of heads)
    for (const other of heads)
      if (one < other && isUnknown(field, setting, one, other)) {
        const likelihood = chance(setting, one, other);
        likely.set(head(one) * size + head(other), likelihood);
        likely.set(head(other) * size + head(one), likelihood);
      }
  const names = heads.map(head);
  const known = Reals.filled(size * size, -1);
  return (a, b) => {
    const [one, other] = [head(a), head(b)];
    const before = known.get(one * size + other);
    if (before >= 0) return before;
    let both = 1;
    let needed = 1;
    for (const third of names) {
      if (third === one || third === other) continue;
      const [left, right] = [likely.get(one * size + third), likely.get(other * size + third)];
      if (left > 0 && right > 0) {
        both += ONCE;
        needed *= (1 - LOOSE * left) * (1 - LOOSE * right);
      } else if (left > 0 || right > 0) {
        both += THIRD - RIVAL * (left + right);
        // One that may not be asked is not known to be apart.
        const [known, loose] = left > 0 ? [other, left] : [one, right];
        if (nets.apart.has(known, third)) needed *= 1 - loose;
      }
    }
    const closed = likely.get(one * size + other);
    const gain = closed * both + (1 - closed) * needed ** NEEDED;
    known.set(one * size + other, gain);
    known.set(other * size + one, gain);
    return gain;
  };
}
