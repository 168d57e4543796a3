import { at, type Relation } from './relation.js';
import { findEmbedding } from './embedding.js';
import { noSymmetry, type Symmetry } from './as-good.js';

/** Finds twins and poles of the same type. Where equality of poles is not decided they count as different. */
export function symmetryOf(relation: Relation): Symmetry {
  const { size } = relation;
  const cell = (a: number, b: number) => at(relation.joined, a * size + b);
  const all = Array.from({ length: size }, (_, index) => index);
  const twin = all.map(
    (y) =>
      all.find(
        (z) => z === y || (z < y && all.every((w) => w === y || w === z || cell(y, w) === cell(z, w))),
      ) ?? y,
  );
  const pole = polesOf(relation);
  const place = [...all];
  const firsts: number[][] = [];
  for (const root of new Set(pole)) {
    const members = all.filter((y) => pole[y] === root);
    const model = firsts.find((first) => mapOnto(relation, members, first, place));
    if (!model) firsts.push(members);
  }
  return { twin, pole, place: place.map((y) => twin[y] as number) };
}

function polesOf({ size, joined }: Relation): number[] {
  const pole = Array.from({ length: size }, (_, index) => index);
  for (let a = 0; a < size; a += 1) {
    for (let b = 0; b < a; b += 1) {
      if (at(joined, a * size + b) === 0 || pole[a] === pole[b]) continue;
      const [from, to] = [
        Math.max(pole[a] as number, pole[b] as number),
        Math.min(pole[a] as number, pole[b] as number),
      ];
      for (let c = 0; c < size; c += 1) if (pole[c] === from) pole[c] = to;
    }
  }
  return pole;
}

function mapOnto(relation: Relation, members: number[], first: number[], place: number[]): boolean {
  if (members.length !== first.length) return false;
  const found = findEmbedding(restrict(relation, members), restrict(relation, first), null, {
    steps: 2000,
    symmetry: noSymmetry(first.length),
  });
  if (found.kind !== 'found') return false;
  members.forEach((y, index) => {
    place[y] = first[found.map[index] as number] as number;
  });
  return true;
}

function restrict({ size, joined }: Relation, terminals: readonly number[]): Relation {
  const small = new Uint32Array(terminals.length ** 2);
  terminals.forEach((a, row) =>
    terminals.forEach((b, column) => {
      small[row * terminals.length + column] = at(joined, a * size + b);
    }),
  );
  return { size: terminals.length, joined: small };
}
