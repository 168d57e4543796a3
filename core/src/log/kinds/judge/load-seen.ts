import { flag, id, list, object, oneOf, orNull, says } from '../../../schema/index.js';
import type { LoadId, SettingId, SupplyId, WireId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';

/** What a person sees of a load. */
export const LOAD_SEEN = ['right', 'off', 'on', 'weak', 'reversed', 'sometimes'] as const;

const loadSeenSchema = object({
  setting: id<SettingId>(),
  load: id<LoadId>(),
  seen: says(
    '`right`: as it should; `sometimes`: now as it should, now not; null: nothing is said any more.',
    orNull(oneOf(LOAD_SEEN)),
  ),
});

export const loadsSeen = defineKind('loads-seen', {
  says: 'no longer written (`machine-looked` is): what loads did in settings, as the complaint has it; the newest of each load and setting counts',
  fields: { seen: list(loadSeenSchema, { minItems: 1, maxItems: 2000 }) },
  undo: ['table'],
  reading: 'extends',
  // Version 2 knows what comes and goes.
  upgrades: { 1: (what) => what },
});

export const partTried = defineKind('part-tried', {
  says: 'no longer written (`machine-part-tried` is): whether a load or a wire of the machine, freed, conducts from end to end, or a supply is there; the newest of each counts',
  fields: {
    part: says('A load, a wire or a supply.', id<LoadId | WireId | SupplyId>()),
    whole: says('null: nothing is said any more.', orNull(flag)),
  },
  undo: ['table'],
  reading: 'extends',
});
