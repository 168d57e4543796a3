import type { Lead, Value } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import type { Moment } from './moment.js';
import { impliedIn, type Found } from './task.js';

/** One thing to be measured, with the hands where it says. */
export type Probe =
  | { kind: 'leads-together' }
  /** The lone lead on a terminal whose clip was put on anew. */
  | { kind: 'clip'; terminal: TerminalId }
  | { kind: 'pair'; setting: SettingId; red: Lead; black: Lead; fromOtherSide: boolean };

/** A meter that answers by itself, when it has measured: the simulated one, or one that talks to the computer. */
export interface Meter {
  source: 'simulated' | 'meter';
  read(probe: Probe): Promise<Value>;
}

/** What is wanted of the meter. `task`: what it is for; where that is no longer the task, what comes is dropped. */
export interface Measurement {
  task: string;
  /** What the values are for. */
  wants: 'the-zero' | 'the-pair' | 'one-touch' | 'the-rest' | 'the-clips';
  probes: readonly { key: TerminalId | SettingId | null; probe: Probe }[];
}

/** A measurement with what the meter said: a value per probe that was needed, by its place. */
export interface Measured {
  measurement: Measurement;
  values: ReadonlyMap<number, Value>;
}

/** What the present task is known by while a meter measures for it. */
export function nameOfTask({ task }: Pick<Moment, 'task'>): string {
  switch (task?.kind) {
    case 'prompt':
      return `prompt ${task.prompt.id}`;
    case 'clips':
      return `clips ${task.prompt?.id ?? 'at the end'} ${task.change.touch.join()}`;
    case 'correct':
      return `again ${task.reading.id}`;
    case 'plan':
      return `plan ${task.plan.kind}`;
    default:
      return 'nothing';
  }
}

/**
 * The place of the next probe that is needed, after these were measured; null when there is none. In a sweep what follows from
 * what was found is not touched.
 */
export function nextProbe(
  moment: Moment,
  { probes, wants }: Measurement,
  values: ReadonlyMap<number, Value>,
): number | null {
  const found = wants === 'the-rest' ? withMeasured(moment.found, probes, values) : moment.found;
  const implied = wants === 'the-rest' ? impliedIn(moment.map, moment.prompt, found) : new Set();
  const next = probes.findIndex(
    ({ key }, place) => !values.has(place) && (key === null || !implied.has(key)),
  );
  return next < 0 ? null : next;
}

/** What was found, with what the meter said on top. */
export function withMeasured(
  found: Found,
  probes: Measurement['probes'],
  values: ReadonlyMap<number, Value>,
): Found {
  const all = new Map(found);
  for (const [place, value] of values) {
    const key = probes[place]?.key;
    if (key) all.set(key, value);
  }
  return all;
}
