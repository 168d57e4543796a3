import {
  CAPTION_LETTERS,
  count,
  flag,
  fraction,
  id,
  object,
  oneOf,
  PHOTO_EDGE,
  says,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { PhotoId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse } from '../keeps.js';

/** What a photo was taken for. */
export const PHOTO_PURPOSES = ['marking', 'before', 'strip', 'layout', 'other', 'diagram'] as const;
export type PhotoPurpose = (typeof PHOTO_PURPOSES)[number];

export const photoSchema = object({
  id: id<PhotoId>(),
  purpose: oneOf(PHOTO_PURPOSES),
  caption: text(CAPTION_LETTERS),
  width: says('In pixels, as it is shown: upright.', count(1, PHOTO_EDGE)),
  height: count(1, PHOTO_EDGE),
  removed: flag,
});
/** A photo of the job; its pixels are in the blob store under the same id. */
export type Photo = TypeOf<typeof photoSchema>;

export const photoBoxSchema = object({
  photo: id<PhotoId>(),
  x: fraction,
  y: fraction,
  width: fraction,
  height: fraction,
});
/** A box on a photo, in fractions of its width and height, from its top left corner. */
export type PhotoBox = TypeOf<typeof photoBoxSchema>;

export const photoTaken = defineKind('photo-taken', {
  says: 'a photo: purpose, caption, size in pixels',
  fields: { photo: photoSchema },
  undo: ['intake'],
  reading: 'extends',
  keeps: inUse('photo'),
});
