/** What sisters says. */
export const SISTERS_TEXT = {
  titleOf: (text: string, job: number) => `${text} (beside job ${job})`,
  noJobWasMade: (message: string | number) => `No job was made. ${message}`,
  sisterSwitches: 'Sister switches',
  otherSwitchesThatControlThe: 'Other switches controlling the same thing',
  anyOfThemMayBe: 'Any of them may be the faulty one: another door, a thermostat, a foot pedal.',
  openItsJob: 'Open its job',
  makeItAJob: 'Make it a job',
  remove: (text: string | number) => `Remove ${text}`,
  remove2: 'Remove',
  whereTheOtherSwitchIs: 'Where the other switch is',
  whereAndWhatItDoes: 'Where, and what it does',
  noteIt: 'Note it',
};
