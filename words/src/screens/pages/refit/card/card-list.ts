/** What card list says. */
export const CARD_LIST_TEXT = {
  transferCard: 'Transfer card',
  transferCard2: 'Transfer card: ',
  ofText: ' of ',
  done: ' done',
  print: 'Print',
  job: 'Job ',
  backGoes: '. Back goes: ',
};
