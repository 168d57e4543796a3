import type { SwitchMap } from '../continuity/index.js';
import { recordsOf } from '../log/index.js';
import { requiredSettings, type SettingId } from '../switch/index.js';
import type { ContactsAt } from './contacts.js';
import { hazardsOf, type Hazard, type HandleStop } from './hazards.js';
import { inSetting, type InSetting } from './in-machine.js';
import type { Machine } from './machine.js';
import type { MachineFault } from './power.js';

/** What the machine does in every setting that counts. */
export interface InEverySetting {
  settings: InSetting[];
  hazards: Hazard[];
}

/** Whether it was seen that the next contact makes before the last breaks; null: not seen, which proves nothing. */
const makesBefore = ({ log }: SwitchMap): true | null =>
  recordsOf(log, 'passing-probed').some(({ seen, passes }) => seen && passes > 0) ? true : null;

/**
 * What each load does in every setting, and what can hurt.
 * @param contactsAt what is known of the contacts there: as mapped, as it should be, or a candidate's
 * @param passing whether its contacts make before they break; absent: as it was seen of this switch
 * @example
 * const map = mapped(2, '', '1-2');
 * const machine = drawnMachine({
 *   terminals: map.structure.terminals.map(({ id }) => id).join(' '),
 *   supplies: { L: {}, N: { kind: 'N', volts: null } },
 *   loads: { lamp: { kind: 'lamp', watts: 60, volts: 230 } },
 *   wires: `${map.structure.terminals[0].id}>L ${map.structure.terminals[1].id}>lamp.1 N>lamp.2`,
 * });
 * inEverySetting(map, machine, (setting) => contactsAsMapped(map, setting)).settings.map(({ watts }) => watts) // => [0, 60]
 */
export function inEverySetting(
  map: SwitchMap,
  machine: Machine,
  contactsAt: (setting: SettingId) => ContactsAt,
  passing: boolean | null = makesBefore(map),
  fault: MachineFault = {},
): InEverySetting {
  const { actuators } = map.structure;
  const standings = requiredSettings(map.structure).map(({ id, at }): HandleStop => {
    const contacts = contactsAt(id);
    const springs = actuators.some(
      (actuator) => actuator.positions.find((one) => one.id === at[actuator.id])?.rests === 'momentary',
    );
    return { contacts, springs, result: inSetting(machine, id, contacts, fault) };
  });
  return {
    settings: standings.map(({ result }) => result),
    hazards: hazardsOf(machine, standings, passing),
  };
}
