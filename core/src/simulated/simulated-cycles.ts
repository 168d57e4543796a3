import type { SwitchMap } from '../continuity/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { simulatedMeter } from './simulated-meter.js';
import type { SimulatedSwitch } from './simulated-switch.js';
import { simulatedBench } from './story.js';

/** Beyond so many ohms a contact that should be closed did not make. */
const MISSED_OHMS = 1000;

/** What the meter showed while the handle was worked to and fro. */
export interface Cycles {
  /** Cycles, from 1, in which it did not make, and in which it did not open again. */
  misses: number[];
  sticks: number[];
  /** Closed, cycle by cycle. */
  ohms: number[];
}

/** How a pair is worked, and on which of its strokes that begins. */
export interface Strokes {
  terminals: readonly [TerminalId, TerminalId];
  on: SettingId;
  /** Where the pair is open; null: only whether it makes is seen. */
  away: SettingId | null;
  cycles: number;
  /** Cycles of earlier runs. */
  before?: number;
}

/**
 * The simulated meter held on a pair while the handle goes away from a setting and back, so many times; the strokes go on from
 * those that the log tells of. Leads taken off.
 */
export function simulatedCycles(
  hidden: SimulatedSwitch,
  map: SwitchMap,
  { terminals: [a, b], on, away, cycles, before = 0 }: Strokes,
): Cycles {
  const found: Cycles = { misses: [], sticks: [], ohms: [] };
  const read = (setting: SettingId, stroke: number): number | null => {
    const bench = simulatedBench(map, setting, () => 'ohms');
    const strokes = (bench.strokes?.() ?? 0) + stroke;
    const value = simulatedMeter(hidden, { ...bench, strokes: () => strokes }).probe([a], [b]);
    return value.kind === 'ohms' ? value.ohms : null;
  };
  for (let cycle = 1; cycle <= cycles; cycle += 1) {
    const stroke = 2 * (before + cycle);
    const closed = read(on, stroke);
    if (closed === null || closed > MISSED_OHMS) found.misses.push(cycle);
    else found.ohms.push(Math.max(0, Number((closed - hidden.meter.leadOhms).toFixed(3))));
    const open = away === null ? null : read(away, stroke + 1);
    if (open !== null && open < MISSED_OHMS) found.sticks.push(cycle);
  }
  return found;
}
