import {
  flag,
  id,
  LINK_NAME_LETTERS,
  list,
  MOST_LINKS,
  MOST_NODES,
  object,
  oneOf,
  optional,
  orNull,
  says,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { LinkId, NodeId, PhotoId, TestId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { laidAsNet, testedThrough } from './supply-path-before.js';
import { ohmsSchema } from '../map/reading.js';

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

/** On which side of the load: the conductor that brings, the load itself, the one that takes back, or beside both. */
export const CONDUCTORS = ['feed', 'load', 'return', 'beside'] as const;
export type Conductor = (typeof CONDUCTORS)[number];

export const pathNodeSchema = object({
  id: id<NodeId>(),
  name: orNull(text(LINK_NAME_LETTERS)),
});
/** A place between links, where a probe can lie. */
export type PathNode = TypeOf<typeof pathNodeSchema>;

export const pathLinkSchema = object({
  id: id<LinkId>(),
  kind: oneOf(LINK_KINDS),
  name: says('What it is called where its kind is not enough.', orNull(text(LINK_NAME_LETTERS))),
  conductor: oneOf(CONDUCTORS),
  from: id<NodeId>(),
  to: id<NodeId>(),
});
/** One link of the path from the supply to the load and back. */
export type PathLink = TypeOf<typeof pathLinkSchema>;

/** `unsteady`: it came and went while it was flexed or moved. */
export const TEST_RESULTS = ['pass', 'fail', 'unsteady'] as const;
export type TestResult = (typeof TEST_RESULTS)[number];

/**
 * `through`: from the one end to the other, closed is right. `across`: to the other conductor; `to-earth`: to earth or the
 * frame; there open is right.
 */
export const TEST_WAYS = ['through', 'across', 'to-earth'] as const;
export type TestWay = (typeof TEST_WAYS)[number];

export const pathTestSchema = object({
  id: id<TestId>(),
  links: list(id<LinkId>(), { minItems: 1, maxItems: MOST_LINKS, uniqueItems: true }),
  way: oneOf(TEST_WAYS),
  result: orNull(oneOf(TEST_RESULTS)),
  flexed: says('Moved, bent or turned while it was measured.', flag),
  ohms: orNull(ohmsSchema),
  by: says(
    'What it passed by: a tone, or a reading in ohms; absent: it is not said.',
    optional(oneOf(['tone', 'ohms'] as const)),
  ),
});
/** A test of one link, or of several in a row at once; the newest of an id counts, no result takes it back. */
export type PathTest = TypeOf<typeof pathTestSchema>;

/** What is looked for on a link. */
export const SIGNS = [
  'pins-burnt',
  'insulation-nicked',
  'screw-loose',
  'wire-broken',
  'fuse-blown',
  'spring-off',
  'brush-stuck',
  'brush-short',
  'commutator',
  'contact-pitted',
  'charred',
  'dust',
  'jammed',
  'rotor-out',
  'broken',
  'leaking',
] as const;
export type Sign = (typeof SIGNS)[number];

export const pathLookSchema = object({
  link: id<LinkId>(),
  sign: oneOf(SIGNS),
  found: says('Null takes it back.', orNull(oneOf(['good', 'at-fault'] as const))),
  photo: orNull(id<PhotoId>()),
});
/** What was seen of a link; the newest of a link and sign counts. */
export type PathLook = TypeOf<typeof pathLookSchema>;

export const pathLaid = defineKind('path-laid', {
  says: 'the supply path as it is, to the load and back; the newest counts',
  fields: {
    nodes: list(pathNodeSchema, { maxItems: MOST_NODES }),
    links: list(pathLinkSchema, { maxItems: MOST_LINKS }),
  },
  undo: ['path'],
  reading: 'extends',
  upgrades: { 1: laidAsNet },
});

export const pathTested = defineKind('path-tested', {
  says: 'a test of one link or of several in a row',
  fields: { test: pathTestSchema },
  undo: ['path'],
  reading: 'extends',
  upgrades: { 1: testedThrough },
});

export const pathLooked = defineKind('path-looked', {
  says: 'what was seen of a link',
  fields: { look: pathLookSchema },
  undo: ['path'],
  reading: 'extends',
});
