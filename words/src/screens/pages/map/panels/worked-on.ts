/** What worked on says. */
export const WORKED_ON_TEXT = {
  workedOn: 'Worked on',
  itWasJust: 'It was just…',
  onlyWhatIsReadFrom:
    'Only what is read from now on counts; Verify shows before and after. Undo joins them again.',
};
