/** What odd panel says. */
export const ODD_PANEL_TEXT = {
  isThatMeant: 'Is that meant?',
  all: 'All ',
  areMeant: ' are meant',
  isThatMeant2: 'Is that meant? ',
  itIsMeant: 'It is meant',
  itIsTheFault: 'It is the fault',
  oneOddThingWasAnswered: 'One odd thing was answered',
  oddThingsWereAnswered: (length: string | number) => `${length} odd things were answered`,
  theTableSaysSo: 'as it should be: the expected table says the same',
  answerAgain: 'Answer again',
  readItAgain: 'Read it again',
};
