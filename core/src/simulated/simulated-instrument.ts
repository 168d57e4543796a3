import type { SwitchMap } from '../continuity/index.js';
import type { Meter, Probe, Sense } from '../probing/index.js';
import type { Instrument } from '../sense/index.js';
import type { SettingId } from '../switch/index.js';
import { simulatedMeter } from './simulated-meter.js';
import type { SimulatedSwitch } from './simulated-switch.js';
import { simulatedBench } from './story.js';

/** What the simulated bench looks like at the moment of a reading. */
export interface SimulatedBenchNow {
  map: SwitchMap;
  sense: Sense;
  at: SettingId | null;
}

/** The simulated meter on a simulated switch, behind the door of every meter that answers by itself. */
export function simulatedInstrument(hidden: SimulatedSwitch, now: () => SimulatedBenchNow): Meter {
  const meterAt = (setting: SettingId | null, fromOtherSide: boolean): Instrument => {
    const { map, sense } = now();
    return simulatedMeter(
      hidden,
      simulatedBench(map, setting, () => sense, fromOtherSide),
    );
  };
  return {
    source: 'simulated',
    read: async (probe: Probe) => {
      switch (probe.kind) {
        case 'leads-together':
          return meterAt(now().at, false).leadsTogether();
        case 'clip':
          return meterAt(now().at, false).touchClip(probe.terminal);
        case 'pair':
          return meterAt(probe.setting, probe.fromOtherSide).probe(probe.red, probe.black);
      }
    },
  };
}
