import { plural } from '../../../../plural.js';

/** What offers says. */
export const OFFERS_TEXT = {
  itsPriceIsNowThe: (price: string | number) =>
    `Its price, ${price}, is now the part’s at Repair or replace.`,
  offers: 'Offers',
  noneIsWrittenDown: 'none yet',
  writeDown: 'add',
  count: (count: number) => plural(count, 'offer'),
  writeDownAnOffer: 'Write down an offer',
  theQuestionsAreCopied: 'The questions are copied.',
  thisBrowserCopiesOnlyAt: 'This browser copies only at a secure address: mark the questions and copy them.',
  offerOf: (seller: string | number) => `Offer of ${seller}`,
  states: 'States',
  rejected: 'Rejected: ',
  oneThingIs: 'One thing is',
  thingsAre: (length: string | number) => `${length} things are`,
  notStated: ' not stated:',
  askedOn: 'Asked on ',
  whatAnswered: (seller: string | number) => `What ${seller} answered`,
  copyTheQuestions: 'Copy the questions',
  rejectIt: 'Reject it: ',
  aConflict: 'a conflict',
  conflicts: (length: string | number) => `${length} conflicts`,
  takeIt: 'Accept',
  openAgain: 'Open again',
  remove: 'Remove',
};
