import type { RatedCurrent, RatedPower } from './amperes.js';
import type { Designation } from './designation.js';

/** A stretch of the marking and what it means; `code` names the meaning, the words belong to whoever shows it. */
export interface Piece {
  /** First character and the one after the last. */
  from: number;
  to: number;
  text: string;
  code: PieceCode;
  params: Record<string, string | number>;
}

export type PieceCode =
  | 'current'
  | 'voltage'
  | 'supply'
  | 'operations'
  | 'temperature'
  | 'disconnection'
  | 'protection'
  | 'horsepower'
  | 'designation'
  | 'category'
  | 'contact-form'
  | 'frequency'
  | 'cord'
  | 'tungsten'
  | 'watts'
  | 'separator'
  | 'standard'
  | 'conformity'
  | 'protection-class'
  | 'impact'
  | 'enclosure-type'
  | 'contact-gap'
  | 'origin'
  | 'marked-number'
  | 'maybe-part-number'
  | 'maybe-date'
  | 'maybe-batch'
  | 'maybe-file-number'
  | 'word'
  | 'not-read';

/** A marking taken apart. What it does not state is null or empty: unknown, never a default. */
export interface DecodedMarking {
  pieces: Piece[];
  currents: RatedCurrent[];
  powers: RatedPower[];
  operations: number | null;
  temperature: { least: number | null; most: number; handleMost: number | null } | null;
  /** null: not stated, or not legible; a marking without the symbol is not proof of full disconnection. */
  disconnection: 'full' | 'mini' | 'micro' | 'electronic' | null;
  /** The two digits of the IP code (IEC 60529); X where a digit is left out. */
  protection: string | null;
  designations: Designation[];
  categories: string[];
  form: string | null;
  cord: { cores: number; area: number } | null;
}

/** Reads one sort of piece where it begins. */
export interface Reader {
  /** Sticky: it is tried at one place. */
  pattern: RegExp;
  /** What it means; null where it looks like one and is none. */
  read: (match: RegExpExecArray, into: DecodedMarking) => Pick<Piece, 'code' | 'params'> | null;
}

/** A number as markings write it, with a point or a comma. */
export const NUMBER = '\\d+(?:[.,]\\d+)?';
export const numberOf = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));
