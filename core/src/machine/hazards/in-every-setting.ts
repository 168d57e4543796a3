import type { InSetting } from '../power/in-setting.js';
import type { MachineFault } from '../power/power.js';
import { combinationsOf, inCombinations } from '../standing/combinations.js';
import type { InPlace } from '../standing/in-place.js';
import type { Machine } from '../wiring/machine.js';
import type { Hazard } from './hazard.js';
import { hazardsOf } from './hazards-of.js';

/** What the machine of one switch does in every setting that counts. */
export interface InEverySetting {
  settings: InSetting[];
  hazards: Hazard[];
}

/**
 * What each load does in every setting of one switch, and what can hurt.
 * @param inPlace what is known of the contacts: as mapped, as they should be, or a candidate's
 * @example
 * const map = mapped(2, '', '1-2');
 * const drawn = {
 *   terminals: map.structure.terminals.map(({ id }) => id).join(' '),
 *   supplies: { L: {}, N: { kind: 'N', volts: null } },
 *   loads: { lamp: { kind: 'lamp', watts: 60, volts: 230 } },
 *   wires: `${map.structure.terminals[0].id}>L ${map.structure.terminals[1].id}>lamp.1 N>lamp.2`,
 * };
 * inEverySetting(drawnMachine(drawn, map), AS_MAPPED).settings.map(({ watts }) => watts) // => [0, 60]
 */
export function inEverySetting(machine: Machine, inPlace: InPlace, fault: MachineFault = {}): InEverySetting {
  const combinations = combinationsOf(machine) ?? [];
  const results = inCombinations(machine, combinations, inPlace, fault);
  return {
    settings: results,
    hazards: hazardsOf({ machine, combinations, results, inPlace }).map(({ hazard }) => hazard),
  };
}
