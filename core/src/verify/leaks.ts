import type { SwitchMap } from '../continuity/index.js';
import { liveEvents, type Lead } from '../log/index.js';
import { isLeak, type Quantity } from '../sense/index.js';
import type { SettingId } from '../switch/index.js';
import { metalSide } from './to-metal.js';

/** Insulation that lets something through: what parts for the pattern and conducts a little all the same. */
export interface Leak {
  red: Lead;
  black: Lead;
  /** Where it was read, in handle order. */
  settings: SettingId[];
  /** The least that was read. */
  quantity: Quantity;
  /** One side is the frame, the can, the shaft or an earth tab. */
  toFrame: boolean;
}

/**
 * The leaks of a switch, each pair of leads once: readings of 1 to 20 megohm, and lower ones that a person accepted as a leak. A later
 * reading does not take one back; undo does, and work on the switch.
 */
export function leaksOf({ tape, structure, log }: Pick<SwitchMap, 'tape' | 'structure' | 'log'>): Leak[] {
  const accepted = new Set(
    liveEvents(log, 'explained').flatMap(({ what }) => (what.as === 'leak' ? what.readings : [])),
  );
  const sideOf = metalSide(structure);
  const found = new Map<string, Leak>();
  for (const { reading, evidence, standing } of tape) {
    const { quantity } = evidence;
    if (standing !== 'counts' || !quantity || !(isLeak(evidence) || accepted.has(reading.id))) continue;
    // A poor bond of the case is no leak of the switch.
    const side = sideOf(reading);
    if (side === 'within') continue;
    const { red, black, setting } = reading;
    const key = [red, black]
      .map((lead) => lead.toSorted().join())
      .toSorted()
      .join(' ');
    const before = found.get(key);
    found.set(key, {
      red,
      black,
      settings: [...new Set([...(before?.settings ?? []), setting])],
      quantity: before && before.quantity.ohms < quantity.ohms ? before.quantity : quantity,
      toFrame: side === 'to-metal',
    });
  }
  const order = structure.settings.map(({ id }) => id);
  return [...found.values()].map((leak) => ({
    ...leak,
    settings: leak.settings.toSorted((one, other) => order.indexOf(one) - order.indexOf(other)),
  }));
}
