import type { Actuator, Position, Side } from '@which-way/core/switch';

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

/** Which way the handle turns from position to position, as seen. */
export function turnWords(actuator: Actuator, side: Side): string {
  if (actuator.form !== 'rotary' && actuator.form !== 'pot-switch' && actuator.form !== 'key') return '';
  const [first, second] = actuator.positions;
  if (!first || !second) return '';
  const clockwise = angleOf(actuator, second) > angleOf(actuator, first);
  const seen = side === 'front' ? clockwise : !clockwise;
  return `It turns ${seen ? 'clockwise' : 'anticlockwise'} as seen here`;
}
