/** What contacts panel says. */
export const CONTACTS_PANEL_TEXT = {
  contactsWorstFirst: 'Contacts, worst first: ',
  contacts: 'Contacts',
  mvAtA: 'mV at A',
  ofText: (label: string | number, name: string | number) => `${label} of ${name}`,
  numbersSuchAsMvAt: 'Numbers such as 12 mV at 1,5 A.',
  keep: 'Save',
  judgedBy: 'Judged by',
  atMost: 'at most',
  ohm: 'ohm',
  thatIsNoNumberType: 'That isn’t a number. Type one such as 0,5 or 10.',
  aLoadOfThisJob: 'A load of this job',
  aLoadOfThisJob2: 'a load of this job',
  ampsOfTheLoad: 'Amps of the load',
  a: 'A',
  kindOfLoad: 'Kind of load',
};
