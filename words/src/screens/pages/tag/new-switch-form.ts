/** What new switch form says. */
export const NEW_SWITCH_FORM_TEXT = {
  giveHowManyTerminalsThere:
    'Enter how many terminals there are, from 2 to 48, or their labels such as 1-5, 7-11.',
  giveHowManyPositionsThere: 'Enter how many positions there are, from 1 to 24, or ? if you do not know.',
  terminalsAndHandle: 'Terminals and handle',
  howManyTerminalsOrTheir: 'How many terminals, or their labels?',
  or: '8, or 1-5, 7-11',
  howManyPositions: 'How many positions?',
  isAnAnswerTheyAre: 'Leave ? and they’ll be found as you go.',
  layThemOut: 'Lay them out',
};
