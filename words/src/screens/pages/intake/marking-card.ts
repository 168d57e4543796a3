/** What marking card says. */
export const MARKING_CARD_TEXT = {
  markingAsRead: 'Marking as read',
  remove: 'Remove',
  howSureEachCharacterIs: 'How sure each character is',
  space: 'space',
  tapACharacterCertainA: 'Tap a character: certain, a guess (dashed), unreadable (hatched).',
  theMarkingOnThePhoto: 'The marking on the photo',
  whatItSays: 'What it says',
  restsOnAGuess: 'rests on a guess',
  notStatedSoNotKnown: 'Not marked: ',
  nothingOfTheUsual: 'nothing of the usual',
};
