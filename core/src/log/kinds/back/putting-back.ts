import {
  count,
  flag,
  id,
  LABEL_LETTERS,
  MOST_SETTINGS,
  oneOf,
  optional,
  orNull,
  says,
  text,
  two,
} from '../../../schema/index.js';
import type { SettingId, WireId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { last, newest } from '../keeps.js';

/** What goes back into the machine. */
export const REFIT_WAYS = ['part', 'same', 'label'] as const;
export type RefitWay = (typeof REFIT_WAYS)[number];

/** Letters of the name of a line of the transfer card, or of a place to measure at. */
const KEY_LETTERS = 80;

export const refitBegun = defineKind('refit-begun', {
  says: 'what goes back: the chosen part, the same switch, or nothing but labels; the newest counts',
  fields: { way: oneOf(REFIT_WAYS) },
  undo: ['refit'],
  reading: 'extends',
  keeps: last('way'),
});

export const wireLaid = defineKind('wire-laid', {
  says: 'on which of several joined lugs of a part a wire sits; the newest of each wire counts',
  fields: {
    wire: id<WireId>(),
    lug: says('Its label; null: whichever has the fewest wires.', orNull(text(LABEL_LETTERS, 1))),
  },
  undo: ['refit'],
  reading: 'extends',
  keeps: newest(null, ({ wire }: { wire: WireId }) => wire),
  since: 'choice',
});

export const lineTicked = defineKind('line-ticked', {
  says: 'a line of the transfer card that is done; the newest of each counts',
  fields: {
    line: says('Such as `wire` with its id, `jumper` with two labels.', text(KEY_LETTERS, 1)),
    done: flag,
  },
  undo: ['refit'],
  reading: 'extends',
  keeps: newest(null, ({ line }: { line: string }) => line),
  since: 'choice',
});

export const checkRead = defineKind('check-read', {
  says: 'a reading of the check before power; the newest of each counts',
  fields: {
    position: says('Of what goes back, in handle order.', count(0, MOST_SETTINGS - 1)),
    setting: says(
      'What that position stands for, which outlasts another order; absent: for none.',
      optional(id<SettingId>()),
    ),
    ends: says(
      '`wire` with its id for its far end, `terminal` with its id for a lug of the same switch, `lug` with its label for one of a part.',
      two(text(KEY_LETTERS, 1)),
    ),
    joins: says('null: nothing is said any more.', orNull(flag)),
  },
  undo: ['refit'],
  reading: 'extends',
  // Version 1 had the position alone, and lugs of the same switch by their labels.
  upgrades: { 1: (what) => what },
  since: 'choice',
});
