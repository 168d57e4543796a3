import { deriveMap } from '../continuity/index.js';
import { drawnContacts, drawnMachine, inEverySetting, type Drawn, type Hazard } from '../machine/index.js';
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
