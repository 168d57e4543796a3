import type { ReportPart } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';

/**
 * How something in a report is known: a person said it, an instrument showed it, it follows from readings, it was worked out from what
 * was said, or somebody signed it.
 */
export const KNOWN_BY = ['said', 'measured', 'follows', 'worked-out', 'signed', 'not-known'] as const;
export type KnownBy = (typeof KNOWN_BY)[number];

export const KNOWN_WORDS: Record<KnownBy, string> = {
  said: 'reported by a person',
  measured: 'measured',
  follows: 'follows from readings',
  'worked-out': 'calculated from what was entered and measured',
  signed: 'signed',
  'not-known': 'not known',
};

/** One thing that a report states, with how it is known. */
export interface Fact {
  text: string;
  known: KnownBy;
}

/** A piece of a report. */
export type Piece =
  | { kind: 'facts'; facts: Fact[] }
  | { kind: 'table'; head: string[]; rows: string[][]; known: KnownBy }
  /** A drawing of the positions, made where the report is shown. */
  | { kind: 'picture' }
  | { kind: 'photo'; photo: PhotoId; caption: string };

export interface Section {
  part: ReportPart | 'complaint' | 'done' | 'owner' | 'signatures';
  heading: string;
  pieces: Piece[];
}

/** A report before it is paper or a page: plain data. */
export interface ReportDocument {
  title: string;
  subtitle: string;
  sections: Section[];
}

/** All facts of a report, those of tables as a line each. */
export const factsOf = ({ sections }: ReportDocument): Fact[] =>
  sections.flatMap(({ pieces }) =>
    pieces.flatMap((piece): Fact[] =>
      piece.kind === 'facts'
        ? piece.facts
        : piece.kind === 'table'
          ? piece.rows.map((row) => ({ text: row.join(' | '), known: piece.known }))
          : piece.kind === 'photo'
            ? [{ text: piece.caption, known: 'said' }]
            : [],
    ),
  );
