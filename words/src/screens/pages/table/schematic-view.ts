/** What schematic view says. */
export const SCHEMATIC_VIEW_TEXT = {
  noContactIsKnownYet: 'No contact is known yet.',
  theContactsStandingAt: (settingName: string | number) => `The contacts, standing at ${settingName}`,
  theContacts: 'The contacts',
  standingAt: 'Standing at',
  onlyWhatIsKnownSo: 'Only what is known so far is drawn.',
};
