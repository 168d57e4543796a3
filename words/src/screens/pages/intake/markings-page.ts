/** What markings page says. */
export const MARKINGS_PAGE_TEXT = {
  notReadYet: 'A marking, not read yet',
  markings: 'Markings',
  photosOfMarkings: 'Photos of markings',
  photoOfTheSwitch: 'Photo of the switch',
  photographTheStampedSideClose:
    'Photograph the stamped side close up, in slanting light. Then draw a box on each marking and read it under the loupe. Without a photo, type what is stamped.',
  typeWhatIsStampedAs:
    'Type exactly what is stamped: 16(4)A 250V~ T85 5E4, A600, AC-15, 3x18AWG. What it does not state stays unknown.',
  readAMarking: 'Read a marking',
  oneMoreMarking: 'One more marking',
};
