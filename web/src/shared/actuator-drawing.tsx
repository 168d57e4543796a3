import type { Actuator, PositionId, Side } from '@which-way/core/switch';
import { DRAWINGS, HEIGHT, WIDTH, type Drawn } from './actuator-forms.js';

interface ActuatorDrawingProps {
  actuator: Actuator;
  /** Where it stands; null: not known. */
  at: PositionId | null;
  side: Side;
}

/** The handle as what it is and where it stands, drawn from the same side as the lugs. */
export function ActuatorDrawing({ actuator, at, side }: ActuatorDrawingProps) {
  const index = actuator.positions.findIndex(({ id }) => id === at);
  const position = actuator.positions[index];
  const drawn: Drawn = {
    actuator,
    position: position ?? null,
    index: Math.max(0, index),
    mirrored: side === 'terminal',
  };
  const name = position ? (position.name ?? `position ${index + 1}`) : 'not known';
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={`${actuator.name} at ${name}, seen from the ${side === 'front' ? 'front' : 'terminal side'}`}
    >
      {DRAWINGS[actuator.form](drawn)}
    </svg>
  );
}
