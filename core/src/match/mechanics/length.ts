const MM_PER_INCH = 25.4;

/** A figure, and the unit right after it. */
const PIECES = /(\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?)(?:\s*(mm\b|in(?:ch(?:es)?)?\b|["″]))?/giu;

/**
 * Lengths in a text, in millimetres: '12.7 mm', '12,7', '3/8 in', '1 1/2"', '22 x 30'. Empty where there is none. A figure without a
 * unit has that of the next one that says it, as in '7/8 x 1 in', or of the last; millimetres where none is said.
 */
export function lengthsIn(text: string): number[] {
  const pieces = [...text.matchAll(PIECES)].map(([, figure = '', unit]) => ({ figure, unit }));
  const saying = pieces.filter(({ unit }) => unit !== undefined);
  return pieces.map(({ figure, unit }, at) => {
    const said = unit ?? pieces.slice(at).find((one) => one.unit !== undefined)?.unit ?? saying.at(-1)?.unit;
    return (said === undefined || /mm/i.test(said) ? 1 : MM_PER_INCH) * valueOf(figure);
  });
}

/** What makes a figure less than a plain length: a minus or a range, 'about', 'up to' and 'from' as signs, 1,500 (one and a half, or many). */
const NOT_PLAIN = /[-–−~≈<>≤≥±]\s*\d|\d,\d{3}(?!\d)/u;

/** The lengths of a text, where all of its figures are plain ones: not -5, 12-14, ~22 or 1,500; else none. */
export function plainLengths(text: string): number[] {
  const lengths = NOT_PLAIN.test(text) ? [] : lengthsIn(text);
  return lengths.every(Number.isFinite) ? lengths : [];
}

/** A text that is one length and nothing else: 12 mm, 3/8 in, 1 1/2", 12,5; null where it is more or less than that. */
export function oneLength(text: string): number | null {
  const [piece, another] = [...text.trim().matchAll(PIECES)];
  if (!piece || another || piece[0] !== text.trim()) return null;
  return plainLengths(text)[0] ?? null;
}

function valueOf(piece: string): number {
  const [whole = '', fraction] = piece.includes('/')
    ? /\s/.test(piece)
      ? piece.split(/\s+/)
      : ['0', piece]
    : [piece];
  const [top, bottom] = (fraction ?? '0/1').split('/').map(Number);
  return Number(whole.replace(',', '.')) + (top ?? 0) / (bottom ?? 1);
}
