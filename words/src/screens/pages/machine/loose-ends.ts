/** What loose ends says. */
export const LOOSE_ENDS_TEXT = {
  whatGoesWhere: 'What goes where',
  noAnswerRestsOnAn:
    'No answer rests on an end that is not said. A wire appears here once its far end is said to be another switch or device, or is not said at all.',
  goesTo: ' goes to',
  goesTo2: (pointWords: string | number) => `${pointWords} goes to`,
  notKnown: 'not known',
  goesTo3: ' goes to ',
  notSo: 'Not so',
};
