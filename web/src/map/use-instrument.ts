import type { SwitchMap } from '@which-way/core/continuity';
import type { Instrument } from '@which-way/core/sense';
import { simulatedMeter, type SimulatedSwitch } from '@which-way/core/simulated';
import type { SettingId } from '@which-way/core/switch';
import { useMemo } from 'react';
import type { Sense } from './task.js';

/** The instrument with the handle in a setting. */
export type InstrumentAt = (setting: SettingId | null) => Instrument;

/** The simulated meter of a simulated job, with its handle where it is asked for; null for a real switch. */
export function useInstrument(
  hidden: SimulatedSwitch | null,
  map: SwitchMap,
  sense: Sense,
): InstrumentAt | null {
  return useMemo(() => {
    if (!hidden) return null;
    const places = new Map(map.structure.terminals.map(({ id }, index) => [id, index]));
    const actuator = map.structure.actuators[0];
    return (at) => {
      const setting = map.structure.settings.find(({ id }) => id === at);
      const position = actuator?.positions.findIndex(({ id }) => id === setting?.at[actuator.id]) ?? 0;
      return simulatedMeter(hidden, {
        place: (terminal) => places.get(terminal) ?? null,
        position: () => position,
        dial: () => sense,
      });
    };
  }, [hidden, map, sense]);
}
