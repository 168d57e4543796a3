import type { Load, Supply, Wire, WireEnd } from '@which-way/core/log';

/** Potentials that a colour stands for where installation colours are kept (IEC 60445, from memory); it may have been used otherwise. */
const BY_COLOR: Record<string, readonly Supply['kind'][]> = {
  GNYE: ['earth'],
  BU: ['N', '0'],
  BN: ['L', 'L1'],
  BK: ['L2', 'L', '0'],
  GY: ['L3'],
  RD: ['+'],
};

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Where a wire may end, by what was written of it or by its colour: a guess, and no more. null: none. */
export function guessedEnd(
  { goesTo, color }: Pick<Wire, 'goesTo' | 'color'>,
  supplies: readonly Supply[],
  loads: readonly Load[],
): WireEnd | null {
  const words = plain(goesTo);
  if (words !== '') {
    const supply = supplies.find(({ name, kind }) => plain(name) === words || plain(kind) === words);
    if (supply) return { at: 'supply', supply: supply.id };
    const load = loads.find(({ name }) => plain(name) === words || words.includes(plain(name)));
    if (load && load.make === undefined) return { at: 'load', load: load.id, end: '1' };
    // What is written of it speaks against its colour.
    return null;
  }
  for (const kind of BY_COLOR[color] ?? []) {
    const supply = supplies.find((one) => one.kind === kind);
    if (supply) return { at: 'supply', supply: supply.id };
  }
  return null;
}
