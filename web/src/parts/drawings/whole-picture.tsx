import type { Picture } from '@which-way/drawing/shape';
import { Painted } from './painted.js';

interface WholePictureProps {
  picture: Pick<Picture, 'width' | 'height' | 'shapes'>;
  /** What it shows, for who cannot see it. */
  caption: string;
  /** How large it may be. */
  className?: string;
}

/** A drawing by itself, as large as there is room for it. */
export function WholePicture({ picture, caption, className = '' }: WholePictureProps) {
  return (
    <svg
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      role="img"
      aria-label={caption}
      className={`w-full ${className}`}
    >
      <Painted drawn={picture.shapes} />
    </svg>
  );
}
