import { LINE_READERS, tokenCode } from './readers-of-lines.js';
import { CORD_READERS } from './readers-of-cords.js';
import { LOAD_READERS } from './readers-of-loads.js';
import { SIGN_READERS } from './readers-of-signs.js';
import type { DecodedMarking, Piece, Reader } from './piece.js';

const SEPARATORS: Reader = { pattern: /[\s,;·•|/]+/y, read: () => ({ code: 'separator', params: {} }) };

const READERS: readonly Reader[] = [
  ...SIGN_READERS,
  ...CORD_READERS,
  ...LOAD_READERS,
  ...LINE_READERS,
  SEPARATORS,
];

/**
 * Takes a marking apart, left to right. Styles: appliance switches (IEC 61058-1), control circuits (IEC 60947-5-1),
 * contactors (60947-4-1), load switches (60947-3), protection (IEC 60529), horsepower, cords; forms and tables from
 * memory. A token that is no rating is kept, and called what it may be; what fits nothing becomes a `not-read` piece that
 * points at it. Nothing is guessed.
 * @example
 * decodeMarking('6(4)A 250V~').currents.map(({ amperes, load, volts }) => [amperes, load, volts]) // => [[6, 'resistive', 250], [4, 'motor', 250]]
 */
export function decodeMarking(text: string): DecodedMarking {
  const decoded: DecodedMarking = {
    pieces: [],
    currents: [],
    powers: [],
    operations: null,
    temperature: null,
    disconnection: null,
    protection: null,
    designations: [],
    categories: [],
    form: null,
    cord: null,
  };
  for (let at = 0; at < text.length;) {
    const piece = readAt(text, at, decoded) ?? unknownAt(text, at, decoded);
    const last = decoded.pieces.at(-1);
    if (piece.code === 'not-read' && last?.code === 'not-read' && last.to === at) {
      last.to = piece.to;
      last.text += piece.text;
    } else decoded.pieces.push(piece);
    at = piece.to;
  }
  return decoded;
}

function readAt(text: string, at: number, into: DecodedMarking): Piece | null {
  for (const { pattern, read } of READERS) {
    pattern.lastIndex = at;
    const match = pattern.exec(text);
    if (!match || match[0].length === 0) continue;
    const piece = read(match, into);
    if (piece) return { from: at, to: at + match[0].length, text: match[0], ...piece };
  }
  return null;
}

/** A token that no reader knows: kept whole where it may be something, else its first character alone. */
function unknownAt(text: string, at: number, { pieces }: DecodedMarking): Piece {
  const begins = at === 0 || pieces.at(-1)?.code === 'separator';
  const token = /^[^\s,;·•|]+/.exec(text.slice(at))?.[0] ?? '';
  const code = begins ? tokenCode(token) : null;
  const end = code ? at + token.length : at + 1;
  const kept = text.slice(at, end);
  return code
    ? { from: at, to: end, text: kept, code, params: { what: kept } }
    : { from: at, to: end, text: kept, code: 'not-read', params: {} };
}
