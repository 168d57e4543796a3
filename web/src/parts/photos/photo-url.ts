import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import { type PhotoId } from '@which-way/core/switch';

export const photoUrl = (id: PhotoId): string => `/api/photos/${id}`;
export const thumbUrl = (id: PhotoId): string => `/api/photos/${id}?size=thumb`;

/** The photo that the layout lies on; null for other layouts, or when it is gone. */
export function photoOfLayout({ structure: { layout }, log }: Pick<SwitchMap, 'structure' | 'log'>): {
  url: string;
  shape: number;
} | null {
  if (layout.kind !== 'photo') return null;
  const photo = recordsOf(log, 'photo-taken').find(({ id }) => id === layout.photo);
  return photo ? { url: photoUrl(photo.id), shape: photo.width / photo.height } : null;
}
