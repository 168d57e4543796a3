/** What photo strip says. */
export const PHOTO_STRIP_TEXT = {
  photos: 'Photos',
  photo: (value: string | number) => `Photo ${value}`,
  undoBringsItBack: 'Undo brings it back',
  removeThisPhoto: 'Remove this photo',
  waiting: 'waiting',
};
