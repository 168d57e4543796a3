import type { Actuator, PositionId, Side } from '@which-way/core/switch';
import { handlePicture } from '@which-way/drawing/handle-forms';
import { withoutWords } from '@which-way/drawing/shape';
import { handleWords, strokeWords } from '@which-way/words/tag/handles';
import { WholePicture } from './whole-picture.js';

interface ActuatorDrawingProps {
  actuator: Actuator;
  /** Where it stands; null: not known. */
  at: PositionId | null;
  side: Side;
  /** Its form alone: what it is called stands beside it. */
  wordless?: boolean;
}

/** The handle as what it is and where it stands, drawn from the same side as the lugs. */
export function ActuatorDrawing({ actuator, at, side, wordless = false }: ActuatorDrawingProps) {
  const index = actuator.positions.findIndex(({ id }) => id === at);
  const caption = handleWords(actuator, index, side);
  const stroke = strokeWords(actuator, Math.max(0, index));
  return (
    <WholePicture
      draw={({ least }) => {
        const picture = handlePicture(actuator, index, side, { caption, stroke }, least);
        return wordless ? withoutWords(picture) : picture;
      }}
      caption={caption}
    />
  );
}
