/** What stored event says. */
export const STORED_EVENT_TEXT = {
  anEventOfIsDamaged: (when: string | number, how: string | number) =>
    `An event of ${when} is damaged: ${how}.`,
  itIsNotAsIt: 'it is not as it was stored',
  itsContentsAreNoJson: 'its contents aren’t JSON',
  anEventOfWasWritten: (when: string | number, message: string | number) =>
    `An event of ${when} was written by a newer Which Way. ${message}`,
  doesNotFit: (value: string | number) => `${value} does not fit`,
};
