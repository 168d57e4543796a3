import type { LaidPreset } from '@which-way/core/match';
import { type Deed, type Load, newWire, recordsOf, type Supply, type WireEnd } from '@which-way/core/log';
import type { LoadId, SupplyId, TerminalId } from '@which-way/core/switch';
import { newId } from '../../../job/new-id.js';
import { nextTag } from './next-tag.js';

type Log = Parameters<typeof recordsOf>[0];

/** What a person said of an arrangement: volts of what feeds it, watts of loads by their names; null or absent: not said. */
export interface PresetFigures {
  volts: number | null;
  watts: Readonly<Record<string, number | null>>;
}

const RETURNS: readonly string[] = ['N', '0', 'earth'];

const supplyThere = (log: Log, kind: string) =>
  recordsOf(log, 'supply-named').find((one) => one.kind === kind);
const loadThere = (log: Log, name: string) =>
  recordsOf(log, 'load-named').find((one) => one.name.toLowerCase() === name.toLowerCase());

/** What using an arrangement would add, so that its figures can be asked. */
export function newOf({ preset }: LaidPreset, log: Log): { live: boolean; loads: string[] } {
  return {
    live: preset.supplies.some((kind) => !RETURNS.includes(kind) && !supplyThere(log, kind)),
    loads: preset.loads.flatMap(({ name, kind }) =>
      kind === 'signal' || loadThere(log, name) ? [] : [name],
    ),
  };
}

/** Supplies and loads that are missing, a wire on each terminal that has none, and where each wire and each free end goes. */
export function presetDeeds(
  { preset, places }: LaidPreset,
  log: Log,
  idAt: (place: number) => TerminalId | undefined,
  figures: PresetFigures,
): Deed[] {
  const wires = [...recordsOf(log, 'wire-tagged')];
  const current = preset.loads[0]?.current ?? 'AC';
  const deeds: Deed[] = [];
  const supplyIds = new Map(
    preset.supplies.map((kind) => {
      const there = supplyThere(log, kind);
      const volts = RETURNS.includes(kind) ? null : figures.volts;
      const named = { id: newId<SupplyId>(), name: '', kind, volts, current, removed: false };
      const supply: Supply = there ?? named;
      if (!there) deeds.push({ kind: 'supply-named', supply });
      return [kind as string, supply.id] as const;
    }),
  );
  const loadIds = new Map(
    preset.loads.map((one) => {
      const there = loadThere(log, one.name);
      const watts = figures.watts[one.name] ?? null;
      // What is said in watts is said at the volts of its supply.
      const volts = watts === null ? null : figures.volts;
      const named = { id: newId<LoadId>(), amps: null, watts, volts, removed: false, ...one };
      const load: Load = there ?? named;
      if (!there) deeds.push({ kind: 'load-named', load });
      return [one.name, load.id] as const;
    }),
  );
  type End = LaidPreset['preset']['wires'][number]['ends'][number];
  const endOf = (end: End): WireEnd =>
    'elsewhere' in end
      ? { at: 'elsewhere' }
      : 'supply' in end
        ? { at: 'supply', supply: supplyIds.get(end.supply) as SupplyId }
        : { at: 'load', load: loadIds.get(end.load) as LoadId, end: end.end };
  for (const { terminal, ends } of preset.wires) {
    const id = idAt(places.get(terminal) ?? -1);
    if (!id) continue;
    const there = wires.find((wire) => wire.terminal === id);
    const wire = there ?? { ...newWire(nextTag(wires), newId), terminal: id };
    if (!there) {
      wires.push(wire);
      deeds.push({ kind: 'wire-tagged', wire });
    }
    deeds.push({ kind: 'wire-ended', wire: wire.id, ends: ends.map(endOf) });
  }
  for (const { load, end, to } of preset.ties ?? [])
    deeds.push({ kind: 'load-tied', tie: { load: loadIds.get(load) as LoadId, end, to: endOf(to) } });
  return deeds;
}
