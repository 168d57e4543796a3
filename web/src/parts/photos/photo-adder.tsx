import type { PhotoPurpose } from '@which-way/core/log';
import { Camera, ImagePlus } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useDropzone } from 'react-dropzone';
import { usePhotos } from './use-photos.js';
import { PHOTO_ADDER_TEXT } from '@which-way/words/screens/parts/photos/photo-adder';

const BUTTON =
  'flex min-h-12 cursor-pointer items-center gap-2 rounded-part border-2 border-edge bg-sheet px-4 font-semibold hover:border-ink focus-within:outline-3 focus-within:outline-brass';

/** Takes photos in: with the camera of a phone, from a file, pasted, or dropped here. */
export function PhotoAdder({ purpose }: { purpose: PhotoPurpose }) {
  const { add } = usePhotos();
  const latest = useRef(add);
  useEffect(() => {
    latest.current = add;
  });
  const take = (files: readonly File[]) => void latest.current(files, purpose);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])].filter(({ type }) => type.startsWith('image/'));
      if (files.length === 0) return;
      event.preventDefault();
      void latest.current(files, purpose);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [purpose]);
  const { getRootProps, isDragActive } = useDropzone({ onDrop: take, noClick: true, noKeyboard: true });
  const input = (capture: boolean) => (
    <input
      type="file"
      accept="image/*"
      multiple={!capture}
      capture={capture ? 'environment' : undefined}
      className="sr-only"
      onChange={(event) => {
        const files = [...(event.target.files ?? [])];
        event.target.value = '';
        take(files);
      }}
    />
  );
  return (
    <div
      {...getRootProps()}
      className={`flex flex-wrap items-center gap-3 rounded-part border-2 border-dashed p-3 ${isDragActive ? 'border-brass bg-sheet' : 'border-line'}`}
    >
      <label className={`${BUTTON} hidden pointer-coarse:flex`}>
        <Camera size={20} aria-hidden="true" />
        {PHOTO_ADDER_TEXT.camera}
        {input(true)}
      </label>
      <label className={BUTTON}>
        <ImagePlus size={20} aria-hidden="true" />
        {PHOTO_ADDER_TEXT.addPhotos}
        {input(false)}
      </label>
      <span className="text-small text-quiet">
        {isDragActive ? PHOTO_ADDER_TEXT.letGoHere : PHOTO_ADDER_TEXT.orDropOrPasteThem}
      </span>
    </div>
  );
}
