import { id, oneOf, orNull, says, tagged, two } from '../../../schema/index.js';
import type { LoadId, SettingId, SupplyId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { LOAD_ENDS } from '../tag/wire-end.js';

/** What a dead machine reads between two places with its wires on: as good as joined, through something, or nothing. */
export const CONDUCTS = ['closed', 'ohms', 'open'] as const;
export type Conducts = (typeof CONDUCTS)[number];

const machinePointSchema = tagged('at', {
  terminal: { terminal: id<TerminalId>() },
  supply: { supply: id<SupplyId>() },
  load: { load: id<LoadId>(), end: oneOf(LOAD_ENDS) },
});

export const machineProbed = defineKind('machine-probed', {
  says: 'no longer written (`machine-read` is): what was read between two places of the dead machine, its wires on; the newest of each setting and pair counts',
  fields: {
    setting: id<SettingId>(),
    between: two(machinePointSchema),
    conducts: says('null: nothing is said any more.', orNull(oneOf(CONDUCTS))),
  },
  undo: ['table'],
  reading: 'extends',
});
