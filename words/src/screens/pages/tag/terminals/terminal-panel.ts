/** What terminal panel says. */
export const TERMINAL_PANEL_TEXT = {
  twoAtLeast: 'A switch needs at least two terminals.',
  aLabelHasNoSpace: 'A label can’t be empty, or have a space or = in it.',
  thereIsATerminalAlready: (wanted: string | number) => `There is already a terminal ${wanted}.`,
  terminal: (label: string | number) => `Terminal ${label}`,
  close: 'Close',
  youCallIt: 'You call it',
  stampedOnIt: 'Stamped on it',
  nothing: 'nothing',
  keep: 'Save',
  whatItIs: 'What it is',
  itIsNoTerminalRemove: 'It isn’t a terminal: remove it',
  whatItLooksLike: 'What it looks like',
  perhapsTheCommonItIs: 'Perhaps the common. It’s probed a little sooner; nothing else is assumed.',
  isNotALabelGive: (at: string | number) => `“${at}” isn’t a label. Use runs such as 1-5, and single labels.`,
  isThereTwiceEachLabel: (at: string | number) => `“${at}” is there twice. Each label is used once.`,
  runsBackwardsBeginWithThe: (at: string | number) => `“${at}” runs backwards. Start with the lower number.`,
  isMoreThanTerminals: (at: string | number) => `“${at}” is more than 96 terminals.`,
  thatIsLabelsForTerminals: (length: string | number, length2: string | number) =>
    `That is ${length} labels for ${length2} terminals.`,
  labelsAsTheyStandOn: 'Labels as on the part, in order',
  relabel: 'Relabel',
};
