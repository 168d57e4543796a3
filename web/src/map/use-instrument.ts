import type { SwitchMap } from '@which-way/core/continuity';
import type { Instrument } from '@which-way/core/sense';
import { benchOf, simulatedMeter, type SimulatedSwitch } from '@which-way/core/simulated';
import type { SettingId } from '@which-way/core/switch';
import { useMemo } from 'react';
import type { Sense } from './task.js';

/** The instrument with the handle in a setting. */
export type InstrumentAt = (setting: SettingId | null, fromOtherSide?: boolean) => Instrument;

/** The simulated meter of a simulated job, with its handle where it is asked for; null for a real switch. */
export function useInstrument(
  hidden: SimulatedSwitch | null,
  map: SwitchMap,
  sense: Sense,
): InstrumentAt | null {
  return useMemo(
    () =>
      hidden &&
      ((at, fromOtherSide = false) =>
        simulatedMeter(
          hidden,
          benchOf(map, at, () => sense, fromOtherSide),
        )),
    [hidden, map, sense],
  );
}
