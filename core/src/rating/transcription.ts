import type { Marking } from '../log/index.js';
import { decodeMarking } from './marking.js';
import type { DecodedMarking, Piece } from './piece.js';

/** Stands for a character that could not be read; it fits no rule, so nothing is read across it. */
const UNREADABLE = '\uFFFD';

/** A decoded transcription; `guessed` pieces rest on a character that was a guess. */
export interface DecodedTranscription extends Omit<DecodedMarking, 'pieces'> {
  pieces: (Piece & { guessed: boolean })[];
}

/** Decodes a marking as it was transcribed: what is unreadable stays unread, what is guessed says so. */
export function decodeTranscription({ runs }: Pick<Marking, 'runs'>): DecodedTranscription {
  const text = runs
    .map(({ text: run, sure }) => (sure === 'unreadable' ? UNREADABLE.repeat(run.length) : run))
    .join('');
  const sure = runs.flatMap(({ text: run, sure: how }) => Array.from({ length: run.length }, () => how));
  const decoded = decodeMarking(text);
  return {
    ...decoded,
    pieces: decoded.pieces.map((piece) => ({
      ...piece,
      guessed: sure.slice(piece.from, piece.to).includes('guess'),
    })),
  };
}
