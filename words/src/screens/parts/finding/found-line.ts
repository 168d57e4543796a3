/** What found line says. */
export const FOUND_LINE_TEXT = {
  lookingThroughTheLibrary: 'Looking through the library',
  ofText: (looked: string | number, all: string | number) => `: ${looked} of ${all}`,
  howFarTheSearchIs: 'How far the search is',
  stop: 'Stop',
  possible: (may: number, all: number) => `${may} possible of ${all}`,
  ruledOut: (no: number, undecided: number) =>
    `${no} ruled out${undecided > 0 ? `, ${undecided} undecided` : ''}.`,
  theFirstAreListed: (length: string | number) => ` The first ${length} are listed.`,
  stoppedAfter: 'Stopped after ',
  ofText2: ' of ',
  mayDoSoFar: ' possible so far.',
  noneComesAndNoneGoes: 'That changes nothing in the list.',
  comes: 'comes',
  come: 'come',
  goes: 'goes',
  go: 'go',
};
