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
  alike: Float64Array[];
  /** The share of each setting's pairs of terminals that are not open, and how many settings are known nearly wholly. */
  known: number[];
  knownWell: number;
  /** For each terminal those that it joins in some setting. */
  partners: number[][];
}

/** Counts the likeness of settings, from what was counted of them before. */
export function likenessOf(field: Field, experience: Experience): Likeness {
  const { size, places, settings } = field;
  const { nets, joined, open } = experience;
  const grownIn = settings.map((setting, at) =>
    grownOf(field, setting, experience.members[at] as Uint16Array),
  );
  const grown = grownIn.reduce(
    (sum, one) => ({ joined: sum.joined + one.joined, tried: sum.tried + one.tried }),
    { joined: 0, tried: 0 },
  );
  const first = grownIn.reduce((sum, one) => sum + one.nets, 0);
  const pairs = nets.map((net) => pairsWithin(net, places));
  const all = Math.max(1, (places.length * (places.length - 1)) / 2);
  const known = open.map((left) => 1 - left / all);
  return {
    growth: (grown.joined + 0.7) / (grown.joined + first + 2),
    grown,
    grownIn,
    alike: alikeOf(field, nets, pairs),
    known,
    knownWell: known.filter((share) => share > 0.7).length,
    partners: Array.from({ length: size }, (_, a) =>
      places.filter((b) => b !== a && (joined[cellOf(size, a, b)] as number) > 0),
    ),
  };
}

/** Nets of two or more in a setting, the terminals beyond two in them, and the single ones tried on them. */
function grownOf(
  { places }: Field,
  { nets }: FieldSetting,
  members: Uint16Array,
): { nets: number; joined: number; tried: number } {
  const singles = places.filter((place) => members[place] === 1);
  const grown = { nets: 0, joined: 0, tried: 0 };
  for (const place of places) {
    const count = members[place] as number;
    if (count < 2 || netOf(nets, place) !== place) continue;
    grown.nets += 1;
    grown.joined += count - 2;
    for (const single of singles) grown.tried += Number(nets.apart.has(place, single));
  }
  grown.tried += grown.joined;
  return grown;
}

function pairsWithin(net: Int16Array, places: readonly number[]): [number, number][] {
  const pairs: [number, number][] = [];
  places.forEach((a, at) => {
    for (let next = at + 1; next < places.length; next += 1) {
      const b = places[next] as number;
      if (net[a] === net[b]) pairs.push([a, b]);
    }
  });
  return pairs;
}

function alikeOf(
  { settings }: Field,
  nets: readonly Int16Array[],
  pairs: readonly (readonly [number, number])[][],
): Float64Array[] {
  const both = settings.map(() => new Float64Array(settings.length));
  const against = settings.map(() => new Float64Array(settings.length));
  pairs.forEach((joins, one) => {
    for (const [other, { nets: state }] of settings.entries()) {
      if (other === one) continue;
      const net = nets[other] as Int16Array;
      for (const [a, b] of joins) {
        const [left, right] = [net[a] as number, net[b] as number];
        const counts = left === right ? both : state.apart.has(left, right) ? against : null;
        if (counts) (counts[one] as Float64Array)[other] = (counts[one]?.[other] as number) + 1;
      }
    }
  });
  return both.map((row, one) =>
    row.map((shared, other) => {
      const differ = (against[one]?.[other] as number) + (against[other]?.[one] as number);
      return (shared + 0.5) / (shared + differ + 1);
    }),
  );
}
