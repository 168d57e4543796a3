import { amount, count, id, list, object, oneOf, says, two, type TypeOf } from '../../../schema/index.js';
import type { SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { every } from '../keeps.js';

/** Under what a contact was worked again and again. */
export const REPEATED_UNDER = ['bench', 'wiggled', 'warm', 'load'] as const;
export type RepeatedUnder = (typeof REPEATED_UNDER)[number];

/** The most cycles of one run. */
const MOST_CYCLES = 10_000;

const cycles = says(
  'Which cycles, counted from 1.',
  list(count(1, MOST_CYCLES), { maxItems: MOST_CYCLES, uniqueItems: true }),
);

export const repeatRunSchema = object({
  terminals: two(id<TerminalId>()),
  setting: says('Where it must be closed in every cycle.', id<SettingId>()),
  cycles: count(1, MOST_CYCLES),
  misses: cycles,
  sticks: cycles,
  dropOuts: says('While it was wiggled, the handle left where it was.', count(0, MOST_CYCLES)),
  ohms: says(
    'Closed, cycle by cycle; empty where only misses were noted.',
    list(amount(0, 1e6), { maxItems: MOST_CYCLES }),
  ),
  under: oneOf(REPEATED_UNDER),
});
/** A contact that was worked a number of cycles: how often it did not make (miss), or did not open again (stick). */
export type RepeatRun = TypeOf<typeof repeatRunSchema>;

export const contactRepeated = defineKind('contact-repeated', {
  says: 'a contact that was worked so many cycles, and what it missed',
  fields: { run: repeatRunSchema },
  undo: ['verify'],
  reading: 'extends',
  keeps: every('run'),
  since: 'work',
});
