/** What terminal panel says. */
export const TERMINAL_PANEL_TEXT = {
  aLabelHasNoSpace: 'A label can’t be empty, or have a space or = in it.',
  thereIsATerminalAlready: (wanted: string | number) => `There is a terminal ${wanted} already.`,
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
  isNotALabelGive: (at: string | number) =>
    `“${at}” is not a label. Give runs such as 1-5, and single labels.`,
  isThereTwiceEachLabel: (at: string | number) => `“${at}” is there twice. Each label is used once.`,
  runsBackwardsBeginWithThe: (at: string | number) => `“${at}” runs backwards. Begin with the lower number.`,
  isMoreThanTerminals: (at: string | number) => `“${at}” is more than 96 terminals.`,
  thatIsLabelsForTerminals: (length: string | number, length2: string | number) =>
    `That is ${length} labels for ${length2} terminals.`,
  labelsAsTheyStandOn: 'Labels as they stand on the part, in order',
  relabel: 'Relabel',
};
