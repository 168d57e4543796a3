import type { SwitchMap } from '@which-way/core/continuity';
import { factAt } from '@which-way/core/continuity';
import type { RepeatRun } from '@which-way/core/log';
import { simulatedCycles, type SimulatedSwitch } from '@which-way/core/simulated';
import type { SettingId } from '@which-way/core/switch';
import type { RepeatDue } from '@which-way/core/verify';

/** A run of cycles with the simulated meter: away to where the contact is known open, and back. */
export function simulatedRun(
  hidden: SimulatedSwitch,
  map: SwitchMap,
  { terminals, setting, cycles: before }: RepeatDue,
  cycles: number,
): RepeatRun {
  const found = simulatedCycles(hidden, map, {
    terminals,
    on: setting,
    away: awayFrom(map, terminals),
    cycles,
    before,
  });
  return { terminals, setting, cycles, ...found, dropOuts: 0, under: 'bench' };
}

function awayFrom(map: SwitchMap, [a, b]: RepeatDue['terminals']): SettingId | null {
  for (const [id, { settled }] of map.settings) {
    const places = [a, b].map((end) => settled.terminals.indexOf(end)).sort((one, other) => one - other);
    const fact = factAt(settled, places[0] as number, places[1] as number);
    if (fact.joined === false) return id;
  }
  return null;
}
