/** What cord check says. */
export const CORD_CHECK_TEXT = {
  cord: 'Cord',
  whatShouldTheCordRead: 'What should the cord read?',
  lengthInMetres: 'Length in metres',
  size: 'Size',
  orAwg: '0.75 or 18 AWG',
  giveTheLengthAsA: 'Give the length as a number, such as 2 or 1,8. ',
  giveTheSizeAsMm: 'Give the size as mm² or gauge: 0.75, 3G1.5, 18 AWG. ',
  thisMeterCanTellTo: (round: string | number) => `this meter can tell, to plus or minus ${round} milliohm.`,
  thisMeterCannotTellIt: (round: string | number) =>
    `this meter cannot tell. It may be out by ${round} milliohm.`,
  mLoopsToFarEnds: (metres: string | number, milliohm: string | number, value: string | number) =>
    `${metres} m loops to ${milliohm}, far ends joined: ${value}`,
  copperAtCAThinned: 'Copper at 20 °C. A thinned cord reads high; one that moves when flexed is broken.',
};
