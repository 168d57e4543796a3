import type { Deed, Load, LoadEnd, Supply, WireEnd } from '@which-way/core/log';
import { newWire } from '@which-way/core/log';
import type { LoadId, NewId, SupplyId } from '@which-way/core/switch';

/** A machine around a seeded switch, as events: supplies, loads, wires with their ends, ends that go on without the switch. */
export interface SeededMachine {
  supplies: Record<string, Partial<Supply>>;
  loads: Record<string, Partial<Load>>;
  /** By terminal: where its wire ends: `mains`, `lamp.1`, `elsewhere`; several apart by commas; empty: not said. */
  wires: Record<string, string>;
  /** `lamp.2`: `back`. */
  ties?: Record<string, string>;
}

/** The events of a machine, for the terminals of a described switch. */
export function machineDeeds(newId: NewId, described: Deed | undefined, of: SeededMachine): Deed[] {
  if (described?.kind !== 'restructured' || described.change.change !== 'described')
    throw new Error('no switch');
  const { terminals } = described.change;
  const supplies = Object.entries(of.supplies).map(([name, more]): Supply => ({
    ...{ id: newId<SupplyId>(), name, kind: 'L', volts: 230, current: 'AC', removed: false },
    ...more,
  }));
  const loads = Object.entries(of.loads).map(([name, more]): Load => ({
    ...{ id: newId<LoadId>(), name, kind: 'resistive', amps: null, watts: null, volts: 230 },
    ...{ current: 'AC', removed: false },
    ...more,
  }));
  const endOf = (text: string): WireEnd => {
    if (text === 'elsewhere') return { at: 'elsewhere' };
    const [name = '', end] = text.split('.');
    const supply = supplies.find((one) => one.name === name);
    if (supply) return { at: 'supply', supply: supply.id };
    const load = loads.find((one) => one.name === name);
    if (!load || !end) throw new Error(`nothing is called ${text}`);
    return { at: 'load', load: load.id, end: end as LoadEnd };
  };
  const wires = Object.entries(of.wires).map(([label, ends], at) => {
    const terminal = terminals.find((one) => one.label === label)?.id ?? null;
    return {
      wire: { ...newWire(String(at + 1), newId), terminal },
      ends: ends.split(',').filter(Boolean).map(endOf),
    };
  });
  return [
    ...supplies.map((supply): Deed => ({ kind: 'supply-named', supply })),
    ...loads.map((load): Deed => ({ kind: 'load-named', load })),
    ...wires.map(({ wire }): Deed => ({ kind: 'wire-tagged', wire })),
    ...wires
      .filter(({ ends }) => ends.length > 0)
      .map(({ wire, ends }): Deed => ({ kind: 'wire-ended', wire: wire.id, ends })),
    ...Object.entries(of.ties ?? {}).map(([from, to]): Deed => {
      const end = endOf(from);
      if (end.at !== 'load') throw new Error(`${from} is no end of a load`);
      return { kind: 'load-tied', tie: { load: end.load, end: end.end, to: endOf(to) } };
    }),
  ];
}
