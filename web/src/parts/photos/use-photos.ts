import { type Photo, type PhotoPurpose, recordsOf } from '@which-way/core/log';
import { useMemo } from 'react';
import { toast } from '../../controls/toast.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { pictureTrouble } from './picture-trouble.js';

/** The job's photos, stored and still waiting, and how to add more. */
export function usePhotos() {
  const log = useJobState((state) => state.map.log);
  const waiting = useJobState((state) => state.photos);
  const session = useSession();
  const photos = useMemo(() => recordsOf(log, 'photo-taken'), [log]);
  const add = async (files: readonly (Blob & { name?: string })[], purpose: PhotoPurpose) => {
    for (const file of files) {
      const trouble = await pictureTrouble(file);
      if (trouble) toast.error(trouble, { duration: Infinity, closeButton: true });
      else session.addPhoto(file, purpose);
    }
  };
  const change = (photo: Photo, part: Partial<Photo>) =>
    session.emit({ kind: 'photo-taken', photo: { ...photo, ...part } });
  return { photos, waiting, add, change };
}
