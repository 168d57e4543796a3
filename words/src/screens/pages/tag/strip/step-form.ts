import { lengthWords, UNIT_OF_LENGTH, type Units } from '../../../../units.js';

/** What step form says. */
export const STEP_FORM_TEXT = {
  sayWhat: 'Write what comes off, or take a photo of it.',
  seePhoto: 'See the photo',
  noPhoto: 'no photo',
  photoNumber: (number: number) => `photo ${number}`,
  isNotACountFrom: (count: string | number) => `“${count}” is not a count from 1 to 99.`,
  isNotALengthIn: (length: string | number, units: Units) =>
    `“${length}” is not a length in ${UNIT_OF_LENGTH[units]}, such as ${units === 'inch' ? '0.5' : '12 or 6,5'}, up to ${lengthWords(1000, units)}.`,
  whatComesOff: 'What comes off',
  photoOfThisStep: 'Photo of this step',
  looseParts: 'Loose parts',
  springsDetentBallsSpacers: 'springs, detent balls, spacers',
  keepTheStep: 'Save the step',
  leaveIt: 'Cancel',
  removeTheStep: 'Remove the step',
  fasteners: 'Fasteners',
  howMany: 'How many',
  kind: 'Kind',
  length: (units: Units) => `Length in ${UNIT_OF_LENGTH[units]}`,
  place: 'Place',
  where: 'where',
  remove: 'Remove',
  addFasteners: 'Add fasteners',
  kindsAreAsManyAs: ' kinds are as many as one step holds: write the rest as a step of their own.',
};
