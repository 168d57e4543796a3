import { plural } from '../../../../plural.js';

/** What candidate view says. */
export const CANDIDATE_VIEW_TEXT = {
  candidate: 'Candidate',
  near: 'Near: ',
  chosenTakeItBack: 'Chosen. Undo',
  chooseThisOne: 'Choose this one',
  like: (like: string | number) => `like ${like}`,
  oneSafetyDifferenceIs: '. 1 safety difference to accept first',
  safetyDifferencesAre: (open: string | number) => `. ${open} safety differences to accept first`,
  itWasChosenWithAnother: 'It was chosen with another terminal map; look again and choose again.',
  itself: 'The part',
  see: 'see',
  positions: (count: number) => plural(count, 'position'),
  beforeFitting: 'Before fitting',
  sameWiringIsNotYet: 'same wiring doesn’t mean it fits',
  onlyLoadsThatWereNamed:
    'Only loads that were named at Wires and jumpers are compared with its ratings, and only what was measured at What must fit with its size. Look at each before fitting; mains work follows local rules and is for those who may do it.',
  nothingIsStatedBesidesIts: 'Only the wiring is known.',
  positionByPosition: 'Position by position',
  isNow: 'is now',
  springsBack: ', springs back',
  positionsToSpare: 'Positions to spare',
  theHandleCanGoWhere: 'The handle can go where the old one could not:',
  someLieBetweenNoStop: 'Some are in between: a stop can’t block them.',
  fitAStopOrKnow: 'Fit a stop, or accept what happens there.',
};
