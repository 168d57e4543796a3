import { deriveMap } from '../continuity/index.js';
import {
  drawnCircuit,
  drawnContacts,
  drawnMachine,
  inEverySetting,
  inSetting,
  type Drawn,
  type Hazard,
} from '../machine/index.js';
import type { SettingId } from '../switch/index.js';
import { bench } from './generated.js';

/** A setting of a drawing: what joins there (`1-2 3-4`), and whether the handle springs back from it. */
export type DrawnSetting = string | { joins: string; springs: true };

/** What can hurt in a drawing, its settings in handle order. */
export function drawnHazards(
  drawn: Drawn,
  settings: readonly DrawnSetting[],
  makesBefore: boolean | null = false,
): Hazard[] {
  const joins = settings.map((one) => (typeof one === 'string' ? one : one.joins));
  const on = bench(drawn.terminals.split(' ').length, settings.length);
  const map = deriveMap(on.events);
  const actuators = map.structure.actuators.map((actuator) => ({
    ...actuator,
    positions: actuator.positions.map((position, at) => ({
      ...position,
      rests: typeof settings[at] === 'string' ? ('maintained' as const) : ('momentary' as const),
    })),
  }));
  const machine = drawnMachine(drawn, { ...map, structure: { ...map.structure, actuators } });
  return inEverySetting(machine, {
    contactsAt: (_, setting) => drawnContacts(drawn.terminals, joins[on.settings.indexOf(setting)] ?? ''),
    makesBefore: () => makesBefore,
  }).hazards;
}

/** What loads do while these contacts are closed: 'part 25' with its share, 'part ?' where that is not known. */
export function drawnDoes(drawn: Drawn, joins: string): string {
  const { loads } = inSetting(drawnCircuit(drawn), 's' as SettingId, drawnContacts(drawn.terminals, joins));
  return [...loads.values()]
    .map(({ does, share }) =>
      does === 'part' ? `part ${share === null ? '?' : Math.round(share * 100)}` : does,
    )
    .join(' ');
}
