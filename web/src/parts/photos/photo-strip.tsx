import { Hint } from '../../controls/hint.js';
import type { Photo } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';
import { Trash2 } from 'lucide-react';
import { thumbUrl } from './photo-url.js';
import { usePhotos } from './use-photos.js';
import { PHOTO_STRIP_TEXT } from '@which-way/words/screens/parts/photos/photo-strip';

interface PhotoStripProps {
  picked: PhotoId | null;
  onPick: (photo: Photo) => void;
}

/** All photos of the job as thumbnails; those that wait for the server say so. */
export function PhotoStrip({ picked, onPick }: PhotoStripProps) {
  const { photos, waiting, change } = usePhotos();
  if (photos.length + waiting.length === 0) return null;
  return (
    <ul className="flex gap-2 overflow-x-auto" aria-label={PHOTO_STRIP_TEXT.photos}>
      {photos.map((photo, index) => (
        <li key={photo.id} className="relative shrink-0">
          <button
            type="button"
            aria-pressed={photo.id === picked}
            aria-label={photo.caption || PHOTO_STRIP_TEXT.photo(index + 1)}
            onClick={() => onPick(photo)}
            className={`block rounded-part border-4 ${photo.id === picked ? 'border-brass' : 'border-transparent hover:border-line'}`}
          >
            <img src={thumbUrl(photo.id)} alt="" className="h-16 w-24 rounded-part bg-sheet object-cover" />
          </button>
          {photo.id === picked && (
            <Hint text={PHOTO_STRIP_TEXT.undoBringsItBack}>
              <button
                type="button"
                aria-label={PHOTO_STRIP_TEXT.removeThisPhoto}
                className="absolute top-1 right-1 flex size-8 items-center justify-center rounded-part border-2 border-edge bg-sheet hover:border-ink"
                onClick={() => change(photo, { removed: true })}
              >
                <Trash2 size={16} aria-hidden="true" />
              </button>
            </Hint>
          )}
        </li>
      ))}
      {waiting.map(({ id, url }) => (
        <li key={id} className="relative shrink-0">
          <img src={url} alt="" className="h-16 w-24 rounded-part object-cover opacity-60" />
          <span className="absolute inset-x-0 bottom-0 bg-amber-wash px-1 text-small text-amber-ink">
            {PHOTO_STRIP_TEXT.waiting}
          </span>
        </li>
      ))}
    </ul>
  );
}
