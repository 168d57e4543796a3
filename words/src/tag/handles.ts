import { angleOf, type Actuator, type SettingId, type Side, type Structure } from '@which-way/core/switch';

/** Which way the handle turns from position to position, as seen. */
export function turnWords(actuator: Actuator, side: Side): string {
  if (actuator.form !== 'rotary' && actuator.form !== 'pot-switch' && actuator.form !== 'key') return '';
  const [first, second] = actuator.positions;
  if (!first || !second) return '';
  const clockwise = angleOf(actuator, second) > angleOf(actuator, first);
  const seen = side === 'front' ? clockwise : !clockwise;
  return `It turns ${seen ? 'clockwise' : 'anticlockwise'} as seen here`;
}

/** What the hand does to bring a handle to a place, as its form wants it said. */
function moveWords({ form }: Actuator, index: number, place: string): string {
  switch (form) {
    case 'rotary':
    case 'pot-switch':
      return `Turn the handle to ${place}`;
    case 'key':
      return `Turn the key to ${place}`;
    case 'lever':
      return `Move the lever to ${place}`;
    case 'toggle':
      return `Flip it to ${place}`;
    case 'rocker':
      return `Press the rocker to ${place}`;
    case 'slide':
      return `Slide it to ${place}`;
    case 'trigger':
      return index === 0 ? `Let the trigger go: ${place}` : `Squeeze the trigger to ${place}`;
    case 'push':
      return index === 0 ? `Let it go: ${place}` : `Press and hold: ${place}`;
    case 'push-push':
      return `Press it: ${place}`;
    case 'pull':
      return index === 0 ? `Let it go: ${place}` : `Pull and hold: ${place}`;
    case 'push-pull':
      return index === 0 ? `Push it in: ${place}` : `Pull it out: ${place}`;
    case 'key-bank':
      return `Press the keys for ${place}`;
    case 'unsaid':
      return `Move it to ${place}`;
  }
}

/** The word alone for working a handle through its places. */
export function workWord(form: Actuator['form'] | undefined): string {
  switch (form) {
    case 'rotary':
    case 'pot-switch':
    case 'key':
    case undefined:
      return 'Turn';
    case 'slide':
      return 'Slide';
    case 'toggle':
      return 'Flip';
    case 'trigger':
      return 'Squeeze';
    case 'pull':
    case 'push-pull':
      return 'Pull';
    case 'rocker':
    case 'push':
    case 'push-push':
    case 'key-bank':
      return 'Press';
    case 'lever':
    case 'unsaid':
      return 'Move';
  }
}

/** What the hand does to bring a switch into a setting: of several handles, all of them together. */
export function settingMoveWords({ actuators, settings }: Structure, id: SettingId, place: string): string {
  const [only, ...more] = actuators;
  if (!only || more.length > 0) return `Set the handles to ${place}`;
  const position = settings.find((setting) => setting.id === id)?.at[only.id];
  return moveWords(
    only,
    only.positions.findIndex((one) => one.id === position),
    place,
  );
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
