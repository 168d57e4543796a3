import { flag, id, list, object, oneOf, orNull, says, type TypeOf } from '../../../schema/index.js';
import { TERMINAL_LOOKS, type PositionId, type TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

/** Cases of the trade that change what is asked, or what an odd reading means. */
export const CASES = [
  'key-out',
  'key-trapped',
  'cut-out-self',
  'cut-out-button',
  'cut-out-once',
  'reversible-plug',
  'electronic-trigger',
  'half-wave',
  'sprung-start',
  'run-and-brake',
  'interlock',
  'stop-button',
  'limit',
  'neutral-only',
  'no-volt',
  'kill-contact',
  'gold-contacts',
] as const;
export type Case = (typeof CASES)[number];

export const notedCaseSchema = object({
  what: oneOf(CASES),
  position: says('The position that it is true of; null: of the switch.', orNull(id<PositionId>())),
  on: flag,
});
/** A case that a person said of the switch. */
export type NotedCase = TypeOf<typeof notedCaseSchema>;

export const caseNoted = defineKind('case-noted', {
  says: 'a case of the trade that is true of the switch or of a position; the newest of each counts',
  fields: { noted: notedCaseSchema },
  undo: ['tag'],
  reading: 'extends',
  // Version 2 knows what guards: interlocks, stops, limits; version 3 a contact that kills an engine; version 4 gold contacts.
  upgrades: { 1: (what) => what, 2: (what) => what, 3: (what) => what },
  keeps: newest(
    'noted',
    ({ what, position }: NotedCase) => `${what} ${position}`,
    ({ on }) => on,
  ),
});

export const terminalLooked = defineKind('terminal-looked', {
  says: 'what a terminal looks like, a hint at the common; the newest of each counts',
  fields: {
    terminal: id<TerminalId>(),
    looks: list(oneOf(TERMINAL_LOOKS), { uniqueItems: true, maxItems: TERMINAL_LOOKS.length }),
  },
  undo: ['tag'],
  reading: 'extends',
  keeps: newest(null, ({ terminal }: { terminal: TerminalId }) => terminal),
});
