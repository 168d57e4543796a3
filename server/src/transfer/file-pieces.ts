import { JsonDepth } from '@which-way/core/formats';
import { MOST_LEVELS, PIECE_BYTES } from '@which-way/core/schema';
import { JSONParser } from '@streamparser/json';
import type { Readable } from 'node:stream';
import { inWords, Refusal, refused } from '../errors/refusal.js';

/** Whoever looks at the pieces of a file as they come. */
export interface PieceReader {
  /** @param path where it stands, from the outside in. */
  piece(path: readonly unknown[], value: unknown): void;
}

const PIECES = ['$.format', '$.version', '$.shop', '$.jobs.*.events.*', '$.jobs.*', '$.library.*'];

/**
 * Reads a file of the project piece by piece: heads of jobs, events, entries. Its depth and the size of a piece are bounded while it is read.
 * @throws Refusal
 */
export async function readPieces(
  json: Readable,
  check: PieceReader,
  report: (bytes: number) => void,
): Promise<void> {
  const parser = new JSONParser({ paths: PIECES, keepStack: false });
  let trouble: unknown = null;
  let bytes = 0;
  let lastPiece = 0;
  parser.onValue = ({ value, key, parent, stack }) => {
    lastPiece = bytes;
    const path = [...stack.slice(1).map((level) => level.key), key];
    // Nothing of a list is kept once it was looked at: so a file may be larger than the memory.
    if (Array.isArray(parent)) parent.length = 0;
    check.piece(path, value);
  };
  parser.onError = (error) => (trouble ??= error);
  const depth = new JsonDepth();
  let ended = false;
  parser.onEnd = () => (ended = true);
  for await (const chunk of json as AsyncIterable<Uint8Array>) {
    // Before the parser has it: each further level would take it longer than the one before.
    if (depth.add(chunk) > MOST_LEVELS) throw tooDeep();
    parser.write(chunk);
    if (trouble) throw badJson(trouble);
    bytes += chunk.length;
    if (bytes - lastPiece > PIECE_BYTES) throw refused(422, 'piece-too-large', { most: PIECE_BYTES >> 20 });
    report(bytes);
  }
  if (!ended) throw badJson(new Error('it ends in the middle'));
}

const tooDeep = () =>
  new Refusal(422, inWords({ code: 'too-deep', path: '', params: { most: MOST_LEVELS } }));

function badJson(error: unknown): Refusal {
  if (error instanceof Refusal) return error;
  const said = error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error);
  return refused(400, 'bad-json', { file: 1, said: said.replace(/\.$/, '').slice(0, 160) });
}
