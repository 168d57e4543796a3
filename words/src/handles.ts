import { angleOf, type Actuator, type Side } from '@which-way/core/switch';

/** Which way the handle turns from position to position, as seen. */
export function turnWords(actuator: Actuator, side: Side): string {
  if (actuator.form !== 'rotary' && actuator.form !== 'pot-switch' && actuator.form !== 'key') return '';
  const [first, second] = actuator.positions;
  if (!first || !second) return '';
  const clockwise = angleOf(actuator, second) > angleOf(actuator, first);
  const seen = side === 'front' ? clockwise : !clockwise;
  return `It turns ${seen ? 'clockwise' : 'anticlockwise'} as seen here`;
}

/** What a handle that is pressed, pulled or squeezed is doing in the position at this place, where that has no name. */
export function strokeWords({ form, positions }: Actuator, index: number): string {
  const name = positions[index]?.name;
  if (name) return name;
  switch (form) {
    case 'trigger':
      return index === 0 ? 'let go' : `pulled ${index}`;
    case 'push':
      return index === 0 ? 'let go' : 'held in';
    case 'push-push':
      return index === 0 ? 'out' : 'in: press once more';
    case 'push-pull':
      return index === 0 ? 'pushed in' : 'pulled out';
    case 'pull':
      return index === 0 ? 'let go' : 'pulled';
    default:
      return '';
  }
}

/** A handle and where it stands, for those who do not see it drawn. */
export function handleWords({ name, positions }: Actuator, index: number, side: Side): string {
  const position = positions[index];
  const place = position ? (position.name ?? `position ${index + 1}`) : 'not known';
  return `${name} at ${place}, seen from the ${side === 'front' ? 'front' : 'terminal side'}`;
}
