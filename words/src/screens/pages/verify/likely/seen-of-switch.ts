/** What seen of switch says. */
export const SEEN_OF_SWITCH_TEXT = {
  seenOfTheSwitch: 'Seen of the switch',
  mechanicsWhatWasSeenOf: 'Mechanics: what was seen of the switch',
  atFault: 'At fault: ',
};
