import type { Actuator, Position } from './actuator.js';

/**
 * Whether the form of a handle, or what a position is called, suggests that it springs back from there: `yes` where it usually does,
 * `ask` where it may as well stay; null: nothing suggests it (common practice).
 */
export function springSuggested(actuator: Actuator, position: Position): 'yes' | 'ask' | null {
  const { form, positions } = actuator;
  const place = positions.findIndex(({ id }) => id === position.id);
  const isRest = place === 0;
  if (USUALLY.test(position.name ?? '')) return 'yes';
  // A mushroom and a push-push latch; a lock lets go of a key, not of a hand.
  if (form === 'push-pull' || form === 'push-push' || form === 'key') return null;
  const sided = positions.length === 3 && place !== 1;
  if (USUALLY.test(actuator.name))
    return positions.length === 3 ? (sided ? 'yes' : null) : isRest ? null : 'yes';
  switch (form) {
    case 'trigger':
      return isRest ? null : 'yes';
    case 'push':
    case 'pull':
      return isRest ? null : 'ask';
    case 'rocker':
    case 'toggle':
    case 'lever':
      return sided ? 'ask' : null;
    default:
      return null;
  }
}

/** What usually springs back, by its name. */
const USUALLY = /\b(start|horn|bell|flash|pedal|trigger|talk|window)\b/i;
