import type { SettingId, TerminalId } from '../../switch/index.js';
import { wholeMeasurement } from '../answering.js';
import type { Probe } from '../measurement.js';
import type { Moment } from '../moment.js';

/** Where the leads are for one lug or position of what is asked; null: it is not asked. */
export function probeOf(moment: Moment, of: TerminalId | SettingId): Probe | null {
  return wholeMeasurement(moment)?.probes.find(({ key }) => key === of)?.probe ?? null;
}

/** Where the leads are for the one thing that is asked next; null: no reading is asked. */
export function probeNow(moment: Moment): Probe | null {
  const probes = wholeMeasurement(moment)?.probes ?? [];
  const one = moment.many ? probes.find(({ key }) => key === moment.stepAt) : probes[0];
  return one?.probe ?? null;
}
