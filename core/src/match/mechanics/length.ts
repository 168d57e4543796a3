const MM_PER_INCH = 25.4;

/** Lengths in a text, in millimetres: '12.7 mm', '12,7', '3/8 in', '1 1/2"', '22 x 30'. Empty where there is none. */
export function lengthsIn(text: string): number[] {
  const inches = /\bin(ch(es)?)?\b|["″]/i.test(text);
  const pieces = text.match(/\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?/g) ?? [];
  return pieces.map((piece) => (inches ? MM_PER_INCH : 1) * valueOf(piece));
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
