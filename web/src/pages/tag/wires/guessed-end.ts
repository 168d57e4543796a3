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

const RETURNS: ReadonlySet<Supply['kind']> = new Set(['N', '0', 'earth']);

/**
 * Where a wire may end, by what was written of it, by its colour, or by a terminal that looks like the common (dark screw, wide tab, set
 * apart: the supply usually comes in there; common practice): a guess, and no more. null: none.
 */
export function guessedEnd(
  { goesTo, color }: Pick<Wire, 'goesTo' | 'color'>,
  supplies: readonly Supply[],
  loads: readonly Load[],
  looksCommon = false,
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
  const live = supplies.filter(({ kind }) => !RETURNS.has(kind));
  return looksCommon && live.length === 1 && live[0] ? { at: 'supply', supply: live[0].id } : null;
}
