import type { PhotoId } from './id.js';

/** What a photo was taken for. */
export const PHOTO_PURPOSES = ['marking', 'before', 'strip', 'layout', 'other'] as const;
export type PhotoPurpose = (typeof PHOTO_PURPOSES)[number];

/** A photo of the job; its pixels are in the blob store under the same id. */
export interface Photo {
  id: PhotoId;
  purpose: PhotoPurpose;
  caption: string;
  /** In pixels, as it is shown: upright. */
  width: number;
  height: number;
  removed: boolean;
}

/** A box on a photo, in fractions of its width and height, from its top left corner. */
export interface PhotoBox {
  photo: PhotoId;
  x: number;
  y: number;
  width: number;
  height: number;
}
