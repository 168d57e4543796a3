/** What loose ends says. */
export const LOOSE_ENDS_TEXT = {
  whatGoesWhere: 'What goes where',
  noAnswerRestsOnAn:
    'No answer relies on an end that isn’t known. A wire appears here once its far end is another switch or device, or isn’t known.',
  goesTo: ' goes to',
  goesTo2: (pointWords: string | number) => `${pointWords} goes to`,
  notKnown: 'not known',
  goesTo3: ' goes to ',
  notSo: 'Not so',
};
