/** What odd panel says. */
export const ODD_PANEL_TEXT = {
  isThatMeant: 'Is this intended?',
  all: 'All ',
  areMeant: ' are intended',
  isThatMeant2: 'Is this intended? ',
  itIsMeant: 'Yes, intended',
  itIsTheFault: 'No, it’s the fault',
  oneOddThingWasAnswered: 'One odd thing was answered',
  oddThingsWereAnswered: (length: string | number) => `${length} odd things were answered`,
  theTableSaysSo: 'as it should be: the expected table says the same',
  answerAgain: 'Answer again',
  readItAgain: 'Read it again',
};
