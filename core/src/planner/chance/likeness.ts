import { type Ints, Reals } from '../../grid/index.js';
import { cellOf } from '../../partition/index.js';
import { netOf } from '../../continuity/index.js';
import type { Experience } from './experience.js';
import type { Field, FieldSetting } from '../field/field.js';

/** How the nets of a switch grow, and which settings resemble each other, as far as they are known. */
export interface Likeness {
  /** Of the joins known, the share that made a net of three or more; 0 to 1, about a third where nothing is known. */
  growth: number;
  /** Single terminals that a net of two or more was tried on: how many of them joined it, in all settings and in each. */
  grown: { joined: number; tried: number };
  grownIn: { joined: number; tried: number }[];
  /** For each two settings how alike they are, 0 to 1: joins of both over joins of one that the other has open. */
  alike: Reals;
  /** The share of each setting's pairs of terminals that are not open, and how many settings are known nearly wholly. */
  known: Reals;
  knownWell: number;
  /** For each terminal those that it joins in some setting. */
  partners: number[][];
}

/** Counts the likeness of settings, from what was counted of them before. */
export function likenessOf(field: Field, experience: Experience): Likeness {
  const { size, places, settings } = field;
  const { nets, joined, open } = experience;
  const grownIn = settings.map((setting, at) => grownOf(field, setting, at, experience.members));
  const grown = grownIn.reduce(
    (sum, one) => ({ joined: sum.joined + one.joined, tried: sum.tried + one.tried }),
    { joined: 0, tried: 0 },
  );
  const first = grownIn.reduce((sum, one) => sum + one.nets, 0);
  const pairs = settings.map((_, at) => pairsWithin(nets, at, places));
  const all = Math.max(1, (places.length * (places.length - 1)) / 2);
  const known = new Reals(Array.from(open.cells, (left) => 1 - left / all));
  return {
    growth: (grown.joined + 0.7) / (grown.joined + first + 2),
    grown,
    grownIn,
    alike: alikeOf(field, nets, pairs),
    known,
    knownWell: known.cells.filter((share) => share > 0.7).length,
    partners: Array.from({ length: size }, (_, a) =>
      places.filter((b) => b !== a && joined.get(cellOf(size, a, b)) > 0),
    ),
  };
}

/** Nets of two or more in a setting, the terminals beyond two in them, and the single ones tried on them. */
function grownOf(
  { places }: Field,
  { nets }: FieldSetting,
  setting: number,
  members: Ints,
): { nets: number; joined: number; tried: number } {
  const singles = places.filter((place) => members.cell(setting, place) === 1);
  const grown = { nets: 0, joined: 0, tried: 0 };
  for (const place of places) {
    const count = members.cell(setting, place);
    if (count < 2 || netOf(nets, place) !== place) continue;
    grown.nets += 1;
    grown.joined += count - 2;
    for (const single of singles) grown.tried += Number(nets.apart.has(place, single));
  }
  grown.tried += grown.joined;
  return grown;
}

function pairsWithin(nets: Ints, setting: number, places: readonly number[]): [number, number][] {
  const pairs: [number, number][] = [];
  places.forEach((a, at) => {
    for (const b of places.slice(at + 1))
      if (nets.cell(setting, a) === nets.cell(setting, b)) pairs.push([a, b]);
  });
  return pairs;
}

function alikeOf({ settings }: Field, nets: Ints, pairs: readonly (readonly [number, number])[][]): Reals {
  const count = settings.length;
  const both = new Reals(count * count, count);
  const against = new Reals(count * count, count);
  pairs.forEach((joins, one) => {
    for (const [other, { nets: state }] of settings.entries()) {
      if (other === one) continue;
      for (const [a, b] of joins) {
        const [left, right] = [nets.cell(other, a), nets.cell(other, b)];
        const counts = left === right ? both : state.apart.has(left, right) ? against : null;
        counts?.add(one * count + other, 1);
      }
    }
  });
  const share = (shared: number, index: number) => {
    const mirrored = (index % count) * count + Math.floor(index / count);
    return (shared + 0.5) / (shared + against.get(index) + against.get(mirrored) + 1);
  };
  return new Reals(both.cells.map(share), count);
}
