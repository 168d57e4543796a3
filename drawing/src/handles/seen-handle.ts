import type { Actuator, Position } from '@which-way/core/switch';

/** The field that a handle is drawn in. */
export const HANDLE_WIDTH = 260;
export const HEIGHT = 176;
export const INK = 'var(--ink)';
export const METAL = 'var(--line)';

/** A handle, where it stands, and from which side it is seen. */
export interface SeenHandle {
  actuator: Actuator;
  position: Position | null;
  index: number;
  mirrored: boolean;
  /** What is said under one that is pressed, pulled or squeezed. */
  stroke: string;
  /** The size of type. */
  size: number;
}

/** What a position is called on the drawing. */
export const nameAt = ({ actuator }: SeenHandle, index: number): string =>
  actuator.positions[index]?.name ?? String(index + 1);

/** Left and right as seen: all drawings are made from the front. */
export const across = ({ mirrored }: SeenHandle, x: number): number => (mirrored ? HANDLE_WIDTH - x : x);

export function point(drawn: SeenHandle, degrees: number, radius: number, middle: { x: number; y: number }) {
  const angle = ((drawn.mirrored ? -degrees : degrees) * Math.PI) / 180;
  return { x: middle.x + radius * Math.sin(angle), y: middle.y - radius * Math.cos(angle) };
}
