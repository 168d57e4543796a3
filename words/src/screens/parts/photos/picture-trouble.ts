import { PHOTO_MEGABYTES } from '@which-way/core/schema';

/** What picture trouble says. */
export const PICTURE_TROUBLE_TEXT = {
  thePicture: 'The picture',
  hasMbUpToMb: (name: string | number, ceil: string | number) =>
    `${name} has ${ceil} MB; up to ${PHOTO_MEGABYTES} MB is allowed. Take it at a lower resolution.`,
  isEmpty: (name: string | number) => `${name} is empty.`,
  isNotAPictureThat: (name: string | number) =>
    `${name} is not a picture that can be read. Use JPEG, PNG or WebP; on some phones set the camera to “most compatible”.`,
};
