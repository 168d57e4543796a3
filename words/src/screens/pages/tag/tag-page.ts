/** What tag page says. */
export const TAG_PAGE_TEXT = {
  isItTheSwitch: 'Is it the switch?',
  terminalsAndHandle: 'Terminals and handle',
  wiresAndJumpers: 'Wires and jumpers',
  stripLog: 'Strip log',
  whatMustFit: 'What must fit',
  partsOfTagging: 'Parts of tagging',
};
