import { id, orNull, says, tagged, type TypeOf } from '../../../schema/index.js';
import type { SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

export const seenMarkSchema = tagged('of', {
  lug: {
    should: says('The lug by which a flat, a key or a mark of the contacts should lie.', id<TerminalId>()),
    is: says('The lug by which it lies; null takes it back.', orNull(id<TerminalId>())),
  },
  position: {
    should: says('The position at which the stop or flat of the handle should lie.', id<SettingId>()),
    is: says('The position at which it lies; null takes it back.', orNull(id<SettingId>())),
  },
});
/** Where a mark of the contacts, or of the handle, should lie and lies: it tells apart what no reading can. */
export type SeenMark = TypeOf<typeof seenMarkSchema>;

type Standing<Of> = Of extends { is: infer Is } ? Omit<Of, 'is'> & { is: NonNullable<Is> } : never;

/** One that was not taken back. */
export type StandingMark = Standing<SeenMark>;

export const markSeen = defineKind('mark-seen', {
  says: 'where the flat, key, marked lug or stop should lie, and where it lies; the newest of each counts',
  fields: { seen: seenMarkSchema },
  undo: ['verify'],
  reading: 'extends',
  keeps: newest(
    'seen',
    ({ of }: SeenMark) => of,
    (seen): seen is StandingMark => seen.is !== null,
  ),
});
