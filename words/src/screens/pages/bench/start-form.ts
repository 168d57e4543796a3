/** What start form says. */
export const START_FORM_TEXT = {
  noSimulatedSwitchIsChosen: 'No simulated switch is chosen.',
  chooseOneOfTheLibrary: 'Choose one from the library.',
  theNumberOfTerminalsIs: 'The number of terminals is missing.',
  terminalsCannotBeMapped: (terminals: string | number) => `“${terminals}” terminals cannot be mapped.`,
  giveAWholeNumberFrom: 'Enter a whole number from 2 to 48.',
  isNotANumberOf: (positions: string | number) => `“${positions}” is not a number of positions.`,
  giveAWholeNumberFrom2: 'Enter a whole number from 1 to 24, or ? if you do not know.',
  isNotASeed: (seed: string | number) => `“${seed}” is not a seed.`,
  giveAWholeNumber: 'Enter a whole number.',
  thatSwitchHasPositions: (length: string | number) => `That switch has ${length} positions.`,
  giveAtMostThatMany: 'Enter at most that many, or ?.',
};
