import {
  above,
  amount,
  id,
  object,
  oneOf,
  orNull,
  says,
  tagged,
  two,
  type TypeOf,
} from '../../../schema/index.js';
import type { LoadId, SettingId, TerminalId } from '../../../switch/index.js';
import { CURRENTS } from '../before/dead-proof.js';
import { defineKind } from '../define-kind.js';
import { last, newest } from '../keeps.js';
import { LOAD_KINDS } from '../tag/supply-and-load.js';

export const contactLimitSchema = tagged('school', {
  /** So many ohms at most, whatever it carries. */
  fixed: { ohms: above(0, 1e6) },
  /** Nothing that the meter can tell from nothing. */
  'hard-zero': {},
  /** From the load: what the contact drops and heats at its current. */
  load: {
    amps: above(0, 10_000),
    volts: orNull(above(0, 1e6)),
    kind: oneOf(LOAD_KINDS),
    current: oneOf(CURRENTS),
    /** A load of the job whose figures these were; null: typed in here. */
    of: orNull(id<LoadId>()),
  },
});
/** The school by which contacts are judged, with its limit. */
export type ContactLimit = TypeOf<typeof contactLimitSchema>;

export const contactDropSchema = object({
  terminals: two(id<TerminalId>()),
  setting: id<SettingId>(),
  millivolts: says('Across the lugs. Null takes the record back.', orNull(amount(0, 1e6))),
  amps: says('From a limited supply of at most 6 V.', above(0, 1000)),
});
/** A drop measured at a known current: millivolts per ampere are milliohms. */
export type ContactDrop = TypeOf<typeof contactDropSchema>;

/** Before loads were nouns of the job, a limit carried its figures only. */
function withoutLoad(what: Record<string, unknown>): Record<string, unknown> {
  const limit = what['limit'] as Record<string, unknown> | null;
  return limit?.['school'] === 'load' ? { ...what, limit: { of: null, ...limit } } : what;
}

export const limitSet = defineKind('limit-set', {
  says: 'by which school and limit contacts are judged; the newest counts',
  fields: { limit: contactLimitSchema },
  undo: ['verify'],
  reading: 'extends',
  upgrades: { 1: withoutLoad },
  keeps: last('limit'),
});

export const dropMeasured = defineKind('drop-measured', {
  says: 'the drop of a contact at a known current; the newest of a contact and setting counts',
  fields: { drop: contactDropSchema },
  undo: ['verify'],
  reading: 'extends',
  keeps: newest(
    'drop',
    ({ terminals, setting }: ContactDrop) => `${terminals.toSorted().join()} ${setting}`,
    ({ millivolts }) => millivolts !== null,
  ),
  since: 'work',
});
