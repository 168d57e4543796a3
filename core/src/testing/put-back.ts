import { deriveMap, type SwitchMap } from '../continuity/index.js';
import { createWriter, type Deed, type JobEvent } from '../log/index.js';
import type { KnownSwitch, SettingId } from '../switch/index.js';
import { builtHouse, type House } from './house-of-switches.js';

/** One mapped switch with its machine, and what was written after. */
export function inMachine(
  one: House['switches'][string],
  loads: House['loads'],
  after: (map: SwitchMap) => Deed[] = () => [],
) {
  const { members } = builtHouse({ switches: { one }, loads });
  const map = [...members.values()][0] as SwitchMap;
  return withDeeds(map, after(map));
}

let made = 0;
/** An id that nothing else has. */
export const newId = <Id extends string>() =>
  `0b8d0a52-51d4-4c0e-9d6e-${String((made += 1)).padStart(12, '0')}` as Id;
/** The same job with more written down. */
export function withDeeds(map: SwitchMap, deeds: readonly Deed[]): SwitchMap {
  const writer = createWriter({ newId, now: () => '2026-02-05T10:00:00.000Z' });
  const events = deeds.reduce<JobEvent[]>(
    (all, deed) => [...all, writer.write(all, deed)],
    [...map.log.ordered],
  );
  return deriveMap(events);
}

/** A part with what joins by position: `a-b`. */
export const knownPart = (
  labels: string,
  positions: Record<string, string>,
  more: Partial<KnownSwitch> = {},
): KnownSwitch => ({
  id: newId(),
  kind: 'part',
  name: 'Larkspur two',
  maker: null,
  family: '',
  form: 'rotary',
  note: null,
  terminals: labels.split(' '),
  positions: Object.entries(positions).map(([name, joined]) => ({
    name,
    rests: 'maintained' as const,
    joined: joined
      .split(' ')
      .filter(Boolean)
      .map((net) => net.split('-')),
  })),
  ...more,
});
/** That it was chosen: old places to new labels, settings to names in their order. */
export function chosenPart(
  map: SwitchMap,
  of: KnownSwitch,
  terminals: [number, string][],
  positions: string[],
): Deed {
  const settings = map.structure.settings.map(({ id }) => id);
  return {
    kind: 'chosen',
    replacement: {
      entry: of.id as never,
      name: of.name,
      source: 'as-mapped',
      accepted: [],
      part: of,
      terminals: terminals.map(([from, to]) => ({ from: map.structure.terminals[from]?.id as never, to })),
      positions: positions.map((to, at) => ({ from: settings[at] as SettingId, to })),
    },
  };
}
