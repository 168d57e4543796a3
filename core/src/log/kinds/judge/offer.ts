import {
  amount,
  flag,
  id,
  list,
  object,
  oneOf,
  orNull,
  REASON_LETTERS,
  says,
  text,
  time,
  TITLE_LETTERS,
  written,
  type TypeOf,
} from '../../../schema/index.js';
import { partFactsSchema, type EntryId, type OfferId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse } from '../keeps.js';

/** Longest address of an offer. */
export const LINK_LETTERS = 500;

/** What became of an offer. */
const OFFER_STATES = ['open', 'rejected', 'taken'] as const;

export const offerSchema = object({
  id: id<OfferId>(),
  entry: says('The library entry that is offered.', id<EntryId>()),
  seller: text(TITLE_LETTERS, 1),
  link: says('Where it is offered; null: no address.', orNull(written(LINK_LETTERS, '^https?://\\S+$'))),
  price: orNull(amount(0, 1e6)),
  stated: says('What this offer states, beyond what the library has of the entry.', partFactsSchema),
  questions: says('What was asked.', list(text(REASON_LETTERS, 1), { maxItems: 40 })),
  asked: says('When it was asked; null: not yet.', orNull(time)),
  answer: says('What came back, in words; empty: nothing yet.', text(REASON_LETTERS)),
  state: oneOf(OFFER_STATES),
  reason: says('Why it was rejected.', text(REASON_LETTERS)),
  removed: flag,
});
/** A part that somebody offers, with what they say of it. */
export type Offer = TypeOf<typeof offerSchema>;

export const offerNoted = defineKind('offer-noted', {
  says: 'a part that somebody offers, what they state, and what became of it; the newest of each counts',
  fields: { offer: offerSchema },
  undo: ['match'],
  reading: 'extends',
  keeps: inUse('offer'),
});
