import {
  carryingOf,
  endKey,
  endsOf,
  joinName,
  wiredTerminals,
  type InSetting,
  type Circuit,
} from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { type Load, recordsOf } from '@which-way/core/log';
import type { MachineDrawn, MachineLoad, MachinePoint } from '@which-way/drawing/machine-picture';
import { stateWords, supplyName, wattsWords } from '@which-way/words/machine/loads';
import { signalMark } from '@which-way/words/machine/signals';

const LOOKS: Partial<Record<string, MachineLoad['look']>> = {
  full: 'on',
  part: 'on',
  reversed: 'on',
  stalled: 'on',
  floating: 'live',
  'not-known': 'unknown',
};

/** What is drawn of the machine in one setting: the joins that are known, and the way of the current. */
export function machineDrawn(
  map: SwitchMap,
  circuit: Circuit,
  result: InSetting,
  switchName: string,
): MachineDrawn {
  const { terminals, supplies, loads, leads, supplyNode, endNode } = circuit;
  const wired = wiredTerminals(circuit).toSorted((a, b) => a - b);
  const carrying = carryingOf(circuit, result.known);
  const wires = new Map(recordsOf(map.log, 'wire-tagged').map((wire) => [wire.id, wire]));
  const supplyAt = new Map(supplies.map(({ id }, at) => [supplyNode.get(id), at]));
  const endAt = new Map(
    loads.flatMap((load, at) =>
      endsOf(load).map(
        (end, index) => [endNode.get(endKey(load.id, end)), { load: at, end: index }] as const,
      ),
    ),
  );
  const pointOf = (node: number): MachinePoint => {
    if (node < terminals.length) return { at: 'lug', lug: wired.indexOf(node) };
    const supply = supplyAt.get(node);
    if (supply !== undefined) return { at: 'supply', supply };
    return { at: 'load', ...(endAt.get(node) ?? { load: 0, end: 0 }) };
  };
  const { nets } = result.known;
  const feeds = new Set(leads.filter(({ b }) => supplyAt.has(b)).map(({ a }) => a));
  return {
    switchName,
    supplies: supplies.map((supply) => ({
      name: supplyName(supply),
      live: !['N', '0', 'earth'].includes(supply.kind),
    })),
    lugs: wired.map((place) => ({
      label: map.structure.terminals[place]?.label ?? '',
      side: feeds.has(place) ? 'supply' : 'load',
    })),
    joins: wired.flatMap((a, at) => {
      // Each with the nearest one of its net, and with whatever the current takes.
      const others = wired.slice(at + 1).filter((b) => nets[a] === nets[b]);
      return others
        .filter((b, index) => index === 0 || carrying.joins.has(joinName(a, b)))
        .map((b) => ({
          a: at,
          b: wired.indexOf(b),
          carries: carrying.joins.has(joinName(a, b)),
        }));
    }),
    loads: loads.map((load) => loadDrawn(load, loads, result)),
    leads: leads.map(({ wire, a, b }, at) => {
      const tagged = wire === null ? undefined : wires.get(wire);
      return {
        from: pointOf(a),
        to: pointOf(b),
        text: tagged ? [tagged.tag, tagged.color].filter(Boolean).join(' ') : '',
        carries: carrying.leads.has(at),
      };
    }),
  };
}

/** A load with what it does there. */
function loadDrawn(load: Load, loads: readonly Load[], result: InSetting): MachineLoad {
  const state = result.loads.get(load.id);
  const says = state && (state.signal ? signalMark(state.signal, loads) : stateWords(state, loads));
  const watts = state?.watts ? `, ${wattsWords(state.watts)}` : '';
  return {
    name: load.name,
    ends: endsOf(load),
    says: says ? `${says}${watts}` : '',
    look: LOOKS[state?.does ?? 'not-known'] ?? 'off',
  };
}
