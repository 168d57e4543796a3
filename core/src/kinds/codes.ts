/** Codes that the throws of one common show, position by position. */
export const SHOWN_CODES = ['binary', 'gray', 'complement', 'both-outputs', 'quadrature'] as const;
export type ShownCode = (typeof SHOWN_CODES)[number];

/** More positions than this no coded switch has that anybody reads by hand. */
const MOST_POSITIONS = 64;

/**
 * The throws that are closed in each setting; null: no such code has so many throws and settings. A code of n bits shows more than
 * half of its numbers. Complement: every bit inverted. Both outputs: each bit and its inverse. Quadrature: two bits that repeat.
 */
export function codeOf(
  code: ShownCode,
  ways: number,
  settings: number,
): ((setting: number) => number[]) | null {
  if (settings > MOST_POSITIONS) return null;
  const bits = code === 'both-outputs' ? ways / 2 : ways;
  if (code === 'quadrature') {
    if (ways !== 2 || settings < 8 || settings % 4 !== 0) return null;
    return (at) => shown((at % 4) ^ ((at % 4) >> 1), 2);
  }
  if (!Number.isInteger(bits) || bits < 2 || settings > 2 ** bits || settings <= 2 ** (bits - 1)) return null;
  // Fewer than all numbers of two bits are no code that anybody would know.
  if (bits === 2 && settings < 4) return null;
  const all = 2 ** bits - 1;
  switch (code) {
    case 'binary':
      return (at) => shown(at, bits);
    case 'gray':
      return (at) => shown(at ^ (at >> 1), bits);
    case 'complement':
      return (at) => shown(all - at, bits);
    case 'both-outputs':
      return (at) => [...shown(at, bits), ...shown(all - at, bits).map((bit) => bits + bit)];
  }
}

const shown = (number: number, bits: number): number[] =>
  Array.from({ length: bits }, (_, bit) => bit).filter((bit) => ((number >> bit) & 1) === 1);
