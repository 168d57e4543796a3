import {
  above,
  flag,
  id,
  LINK_NAME_LETTERS,
  list,
  object,
  oneOf,
  orNull,
  says,
  tagged,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { SourceId, SupplyId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse } from '../keeps.js';

/** What a source gives. */
const SOURCE_KINDS = ['AC', 'DC', 'signal'] as const;

/** More sources and poles than this no machine has. */
const MOST_SOURCES = 24;

const referenceSchema = tagged('to', {
  /** The same neutral, minus or earth as that source has. */
  source: { source: id<SourceId>() },
  /** It shares nothing with any other. */
  none: {},
  'not-said': {},
});
/** What a source shares with others: without a shared reference no current flows from one to the other. */
export type Reference = TypeOf<typeof referenceSchema>;

const sourceSchema = object({
  id: id<SourceId>(),
  name: text(LINK_NAME_LETTERS),
  kind: oneOf(SOURCE_KINDS),
  volts: says('Nominal; null where nobody has said.', orNull(above(0, 1e6))),
  reference: referenceSchema,
  poles: says(
    'Its supplies: fused feeds of one battery are poles of it, so are three phases.',
    list(id<SupplyId>(), { maxItems: MOST_SOURCES }),
  ),
  joinedWith: says(
    'Sources that a person joins with it on purpose: alike in kind and nominal volts, fused, never two on AC.',
    list(id<SourceId>(), { maxItems: MOST_SOURCES }),
  ),
  removed: flag,
});
/** Where potentials come from: a house battery, an engine battery, the grid, a generator. */
export type NamedSource = TypeOf<typeof sourceSchema>;

export const sourceNamed = defineKind('source-named', {
  says: 'a source of the machine, with its poles and what it shares with others; the newest of each counts',
  fields: { source: sourceSchema },
  undo: ['tag', 'verify', 'table', 'system'],
  reading: 'extends',
  keeps: inUse('source'),
});
