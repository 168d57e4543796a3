/** What looks says. */
export const LOOKS_TEXT = {
  all: 'All ',
  areGood: ' are good',
  whatToLookFor: 'What to look for',
  photoOf: (look: string | number) => `Photo of: ${look}`,
  takeBack: 'Remove answer',
};
