import {
  flag,
  id,
  LINK_NAME_LETTERS,
  list,
  MOST_LINKS,
  object,
  oneOf,
  orNull,
  says,
  text,
  type TypeOf,
} from '../../schema/index.js';
import type { LinkId, TestId } from '../../switch/index.js';
import { defineKind } from './define-kind.js';
import { ohmsSchema } from './reading.js';

/** What a supply path is made of. */
export const LINK_KINDS = [
  'plug',
  'fuse',
  'battery',
  'cord',
  'terminals',
  'switch',
  'electronics',
  'motor',
  'brushes',
  'element',
  'lamp',
  'coil',
  'suppressor',
  'earth',
] as const;
export type LinkKind = (typeof LINK_KINDS)[number];

export const pathLinkSchema = object({
  id: id<LinkId>(),
  kind: oneOf(LINK_KINDS),
  name: says('What it is called where its kind is not enough.', orNull(text(LINK_NAME_LETTERS))),
});
/** One link of the path from the supply to the load. */
export type PathLink = TypeOf<typeof pathLinkSchema>;

/** `unsteady`: it came and went while it was flexed or moved. */
export const TEST_RESULTS = ['pass', 'fail', 'unsteady'] as const;
export type TestResult = (typeof TEST_RESULTS)[number];

export const pathTestSchema = object({
  id: id<TestId>(),
  links: list(id<LinkId>(), { minItems: 1, maxItems: MOST_LINKS, uniqueItems: true }),
  result: orNull(oneOf(TEST_RESULTS)),
  flexed: says('Moved, bent or turned while it was measured.', flag),
  ohms: orNull(ohmsSchema),
});
/** A test of one link, or of several in a row at once; the newest of an id counts, no result takes it back. */
export type PathTest = TypeOf<typeof pathTestSchema>;

export const pathLaid = defineKind('path-laid', {
  says: 'the supply path as it is; the newest counts',
  fields: { links: list(pathLinkSchema, { maxItems: MOST_LINKS }) },
  undo: ['path'],
  reading: 'extends',
});

export const pathTested = defineKind('path-tested', {
  says: 'a test of one link or of several in a row',
  fields: { test: pathTestSchema },
  undo: ['path'],
  reading: 'extends',
});
