import type { PhotoId } from '@which-way/core/switch';
import { IsIn, IsOptional } from 'class-validator';
import { Count, Text } from './answered.js';

export const PHOTO_SIZES = ['full', 'thumb'] as const;
export type PhotoSize = (typeof PHOTO_SIZES)[number];

export class SizeQuery {
  @IsOptional()
  @IsIn(PHOTO_SIZES)
  size?: PhotoSize;
}

/** A photo on the server's disk: upright, without metadata. */
export class StoredPhoto {
  @Text()
  id: PhotoId;

  /** In pixels. */
  @Count()
  width: number;

  @Count()
  height: number;
}
