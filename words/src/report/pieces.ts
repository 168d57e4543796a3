import type { SwitchMap } from '@which-way/core/continuity';
import type { ReportPart } from '@which-way/core/log';
import type { RefitStanding } from '@which-way/core/refit';
import type { CheckTaken, Judgement } from '@which-way/core/verdict';
import type { Fact, KnownBy, Piece } from './document.js';

/** What a report is made of. */
export interface ReportSource {
  job: { number: number; title: string; place: string };
  map: SwitchMap;
  standing: RefitStanding;
  /** The check before power with what was read; null: there is none. */
  check: CheckTaken | null;
  /** The one verdict, what was not tested with it. */
  judgement: Judgement;
}

/** Facts that are known in one way; empty ones are left out. */
export const facts = (known: KnownBy, ...texts: string[]): Piece => ({
  kind: 'facts',
  facts: texts.filter((text) => text.trim() !== '').map((text): Fact => ({ text, known })),
});

/** A table, where it has rows. */
export const tableOf = (head: string[], rows: string[][], known: KnownBy): Piece[] =>
  rows.length > 0 ? [{ kind: 'table', head, rows, known }] : [];

/** What may be left out, with its name. */
export const REPORT_PART_WORDS: Record<ReportPart, string> = {
  found: 'What was found',
  table: 'Truth table',
  picture: 'Pictures of the positions',
  verdict: 'Verdict',
  replacement: 'Replacement',
  transfer: 'Wires',
  tests: 'Tests',
  'not-tested': 'What was not tested',
  photos: 'Photos',
  readings: 'Readings',
};
