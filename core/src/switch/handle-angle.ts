import type { Actuator, Position } from './actuator.js';

/** Where a position points, in degrees clockwise from the top as seen from the front. */
export function angleOf({ positions, closed, form }: Actuator, position: Position): number {
  if (position.pose?.kind === 'angle') return position.pose.degrees;
  const index = positions.indexOf(position);
  const count = positions.length;
  if (closed === 'round') return (360 * index) / count;
  const step =
    count <= 1 ? 0 : Math.min(form === 'lever' ? 40 : 45, (form === 'lever' ? 120 : 270) / (count - 1));
  return (index - (count - 1) / 2) * step;
}
