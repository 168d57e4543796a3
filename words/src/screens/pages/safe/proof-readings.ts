/** What proof readings says. */
export const PROOF_READINGS_TEXT = {
  loadsNothing: ', on a meter that doesn’t load the circuit',
  everyPosition: 'in every position',
  acOrDc: 'AC or DC',
  aTesterThatLoadsWhat: 'A tester that loads what it measures (on it, ghost volts vanish)',
  readBeforeIsolation: 'Read before isolation',
  readAfterIsolation: 'Read after isolation',
  takeBack: (readingWords: string | number) => `Remove ${readingWords}`,
  anotherReading: 'Another reading',
  liveAndForACompetent:
    'Live, and for a competent person: each reference shows the supply against a live conductor, or 0 V against it proves nothing later.',
  nowIsolated:
    "You said that it's isolated. Only what you read before that belongs here. If the tester shows volts now, it's still live: stop.",
  liveVolts: 'Live volts',
  volts: 'Volts',
  from: (value: string | number, words: string | number) => `${value} from ${words}`,
  positionFor: (words: string | number) => `Position for ${words}`,
  theLowest: 'the lowest',
  theHighest: 'the highest',
  inEveryPosition: ', in every position',
  keep: 'Save',
  from2: 'From',
  to: 'To',
  close: 'Close',
};
