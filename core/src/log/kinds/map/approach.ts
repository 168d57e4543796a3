import {
  amount,
  count,
  id,
  list,
  MOST_CONTACTS_ASKED,
  MOST_NAMED_PAIRS,
  MOST_TERMINALS,
  object,
  oneOf,
  optional,
  orNull,
  says,
  two,
  type TypeOf,
} from '../../../schema/index.js';
import type { ReadingId, SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { last } from '../keeps.js';

/**
 * The order in which it is probed; each is a school of its own, and they may be changed midway. `expected` proves what the
 * switch looks like, and goes by time while it looks like nothing known.
 */
export const ORDERS = ['position', 'pair', 'likely', 'time', 'expected'] as const;
export type Order = (typeof ORDERS)[number];

/** How far it is probed: every pair in every setting, only commons against their throws, or only pairs that were named. */
export const EXTENTS = ['everything', 'working-pairs', 'named-pairs'] as const;

const seconds = amount(0, 120);
export const handSecondsSchema = object({
  moveLead: seconds,
  moveBoth: seconds,
  turn: says('From one position of a handle to another.', seconds),
  read: seconds,
  holdMomentary: says('Per probe while a handle is held against its spring.', seconds),
  clip: says('One clip on or off.', seconds),
});
/** What hands take, in seconds. */
export type HandSeconds = TypeOf<typeof handSecondsSchema>;

export const approachSchema = object({
  order: oneOf(ORDERS),
  extent: oneOf(EXTENTS),
  clips: says('Clips at hand to tie terminals together; 0: no bundles.', count(0, MOST_TERMINALS)),
  hands: says("Seconds as typed in; null: learnt from the job's own time stamps.", orNull(handSecondsSchema)),
});
/** How a person wants to map: decides what is asked next, never what is known. */
export type Approach = TypeOf<typeof approachSchema>;

/** Set the handle, walk all pairs, no clips: what everybody can do, and by a beeper's sweeps the quickest. */
export const PLAIN_APPROACH: Approach = { order: 'position', extent: 'everything', clips: 0, hands: null };

/**
 * Where every touch is read in ohms, of the orders that settle everything the one that takes least time: see the bench (on the
 * frozen switches 0.83 of the seconds of position first, and never more; 0.90 where each key and each look costs a second besides).
 */
export const IN_OHMS_APPROACH: Approach = { ...PLAIN_APPROACH, order: 'time' };

export const approached = defineKind('approached', {
  says: 'how it is mapped from now on; the newest counts',
  fields: { approach: approachSchema },
  undo: [],
  reading: 'extends',
  keeps: last('approach'),
});

export const recheckBegun = defineKind('recheck-begun', {
  says: 'a person wants every reading checked against a single slip',
  fields: {},
  undo: ['map'],
  reading: 'extends',
});

export const returnBegun = defineKind('return-begun', {
  says: 'a person goes back through the positions from the other side, one pair each',
  fields: {},
  undo: ['map'],
  reading: 'extends',
});

export const pairsNamed = defineKind('pairs-named', {
  says: 'the only pairs of a quick check; the newest list counts',
  fields: { pairs: list(two(id<TerminalId>()), { maxItems: MOST_NAMED_PAIRS }) },
  undo: ['map'],
  reading: 'extends',
});

const clipped = list(id<TerminalId>(), { maxItems: MOST_TERMINALS, uniqueItems: true });

export const clipsTouched = defineKind('clips-touched', {
  says: 'what is clipped on each lead, and which clips were touched; `silent`: those that made no contact',
  fields: {
    red: clipped,
    black: clipped,
    silent: clipped,
    touched: optional(says('Those that were touched; left out: all that were not proved yet.', clipped)),
  },
  undo: ['map'],
  reading: 'looks back',
});

export const clipsDoubted = defineKind('clips-doubted', {
  says: 'clips that may have made no contact during some readings: what they parted there does not count',
  fields: {
    clips: list(
      object({
        terminal: id<TerminalId>(),
        readings: list(id<ReadingId>(), { minItems: 1 }),
      }),
      { minItems: 1, maxItems: MOST_TERMINALS },
    ),
  },
  undo: ['map'],
  reading: 'looks back',
});

export const ohmsAsked = defineKind('ohms-asked', {
  says: 'closed contacts that are wanted in ohms, having been heard only; the newest list counts',
  fields: {
    contacts: list(object({ setting: id<SettingId>(), terminals: two(id<TerminalId>()) }), {
      minItems: 1,
      maxItems: MOST_CONTACTS_ASKED,
    }),
  },
  undo: ['map'],
  reading: 'extends',
});
