/** What contacts chart says. */
export const CONTACTS_CHART_TEXT = {
  contactsAgainstTheirLimitArrows: 'Contacts against their limit; arrows go from bar to bar',
  closedContactsInOhmsLimit: (length: string | number, limitWords: string | number) =>
    `${length} closed contacts in ohms, limit: ${limitWords}`,
};
