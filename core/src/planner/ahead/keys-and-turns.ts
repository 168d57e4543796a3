import type { SwitchMap } from '../../continuity/index.js';
import { settingsInOrder } from '../field/field-of-map.js';
import type { Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import type { JoinedAt } from './supposed.js';

/** How many letters have to be typed to name a terminal, by place, or a setting, by its number. */
export interface LabelLengths {
  terminals: readonly number[];
  settings: readonly number[];
}

export function labelLengths(map: SwitchMap): LabelLengths {
  return {
    terminals: map.structure.terminals.map(({ label }) => label.length),
    settings: settingsInOrder(map).map((_, at) => String(at + 1).length),
  };
}

/**
 * Keys that a move takes at a keyboard: one for a single reading, sounded or silent; of several the name of each that sounded with
 * Enter, and one key for the rest.
 * @param touched what is really read: terminals of a sweep, settings of a pair that is held.
 */
export function keysOf(
  move: Move,
  touched: readonly number[],
  { joined, labels }: { joined: JoinedAt; labels: LabelLengths },
): number {
  if (touched.length <= 1) return touched.length;
  const sounds = (place: number) =>
    move.kind === 'sweep'
      ? joined(move.setting, move.red, place)
      : move.red.some((a) => move.black.some((b) => joined(place, a, b)));
  const lengths = move.kind === 'sweep' ? labels.terminals : labels.settings;
  return touched.filter(sounds).reduce((sum, place) => sum + (lengths[place] ?? 0) + 1, 1);
}

/** How often the handle is turned for a move, from where it stands; nobody knows where it stands: once more. */
export function turnsOf(move: Move, { setting }: Pick<Hands, 'setting'>): number {
  if (move.kind === 'sweep') return move.setting === setting ? 0 : 1;
  return move.settings.filter((to, at) => to !== (at === 0 ? setting : move.settings[at - 1])).length;
}
