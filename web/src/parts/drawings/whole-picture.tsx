import type { Least } from '@which-way/drawing/legible';
import type { Picture } from '@which-way/drawing/shape';
import { Painted } from './painted.js';
import { leastOf, useShown } from './use-shown.js';

/** Where a drawing is shown. */
export interface Room {
  /** The least size of type that can be read there. */
  least: Least;
  /** Whether it is as narrow as a phone. */
  narrow: boolean;
}

interface WholePictureProps {
  draw: (room: Room) => Picture;
  /** What it shows, for who cannot see it. */
  caption: string;
  /** How large it may be. */
  className?: string;
}

/** Narrower than this a drawing has to be laid out for a phone, in px. */
const NARROW = 560;

/** A drawing by itself, as large as there is room for it. */
export function WholePicture({ draw, caption, className = '' }: WholePictureProps) {
  const [drawing, shown] = useShown();
  const narrow = shown.width > 0 && shown.width < NARROW;
  const plain = draw({ least: 0, narrow });
  const least = leastOf(shown, plain);
  const picture = least > 0 ? draw({ least, narrow }) : plain;
  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      role="img"
      aria-label={caption}
      className={`w-full ${className}`}
    >
      <Painted drawn={picture.shapes} />
    </svg>
  );
}
