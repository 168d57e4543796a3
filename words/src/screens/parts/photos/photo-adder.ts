/** What photo adder says. */
export const PHOTO_ADDER_TEXT = {
  camera: ' Camera',
  addPhotos: ' Add photos',
  letGoHere: 'Let go here',
  orDropOrPasteThem: 'or drop or paste them here',
};
