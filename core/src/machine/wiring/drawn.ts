import type { SwitchMap } from '../../continuity/index.js';
import { contactsOfNets, type ContactsAt } from '../power/contacts.js';
import { endKey, layNodes, type Circuit } from './circuit.js';
import { handlesOf } from './handles.js';
import type { Machine } from './machine.js';
import { sourcesOf } from './sources.js';
import type { Load, LoadEnd, NamedSource, Supply } from '../../log/index.js';
import { partitionFromGroups } from '../../partition/index.js';
import type { LoadId, SourceId, SupplyId, TerminalId } from '../../switch/index.js';

/** A machine as a textbook draws it: `1>lamp.1` is a wire from terminal 1 to an end of the lamp, `lamp.2>N` goes without the switch. */
export interface Drawn {
  terminals: string;
  supplies: Record<string, Partial<Supply>>;
  /** Sources by name: their poles by the names of supplies, and what they share: another source, nothing, or absent: not said. */
  sources?: Record<string, { poles: string; volts?: number; shares?: string; with?: string }>;
  loads: Record<string, Partial<Load>>;
  wires: string;
}

/** Makes a circuit of a drawing. A wire `5>?` has an end that nobody has said. */
export function drawnCircuit({ terminals, supplies, sources = {}, loads, wires }: Drawn): Circuit {
  const names = terminals.split(' ');
  const made = {
    supplies: Object.entries(supplies).map(([id, more]): Supply => ({
      id: id as SupplyId,
      name: id,
      kind: 'L',
      volts: 230,
      current: 'AC',
      removed: false,
      ...more,
    })),
    loads: Object.entries(loads).map(([id, more]): Load => ({
      id: id as LoadId,
      name: id,
      kind: 'resistive',
      amps: null,
      watts: null,
      volts: null,
      current: 'AC',
      removed: false,
      ...more,
    })),
  };
  const { nodes, supplyNode, endNode } = layNodes(names.length, made.supplies, made.loads);
  const nodeOf = (name: string): number => {
    const [load, end] = name.split('.');
    const found = end
      ? endNode.get(endKey(load as LoadId, end as LoadEnd))
      : (supplyNode.get(name) ?? names.indexOf(name));
    if (found === undefined || found < 0) throw new Error(`nothing is called ${name}`);
    return found;
  };
  const all = wires.split(' ').map((wire) => wire.split('>') as [string, string]);
  const said = all.filter(([, to]) => to !== '?');
  return {
    ...made,
    sources: sourcesOf(made.supplies, drawnSources(sources)),
    nodes,
    supplyNode,
    endNode,
    terminals: names as TerminalId[],
    leads: said.map(([from, to], at) => ({ wire: `w${at}` as never, a: nodeOf(from), b: nodeOf(to) })),
    open: new Set(all.filter(([, to]) => to === '?').map(([from]) => nodeOf(from))),
    halfSaid: new Set(),
  };
}

const drawnSources = (sources: NonNullable<Drawn['sources']>): NamedSource[] =>
  Object.entries(sources).map(([name, { poles, volts = null, shares, with: joined }]): NamedSource => ({
    id: name as SourceId,
    name,
    kind: 'DC',
    volts,
    reference:
      shares === undefined
        ? { to: 'not-said' }
        : shares === 'nothing'
          ? { to: 'none' }
          : { to: 'source', source: shares as SourceId },
    poles: poles.split(' ') as SupplyId[],
    joinedWith: joined === undefined ? [] : [joined as SourceId],
    removed: false,
  }));

/** A drawing around a switch, whose terminals stand in the order of the drawing's. */
export const drawnMachine = (drawn: Drawn, map: SwitchMap): Machine => ({
  circuit: drawnCircuit(drawn),
  handles: handlesOf([{ job: null, map }], []),
  sameAs: new Map(),
  loose: [],
  barred: [],
});

/** Contacts that are known in full: `1-2 3-4`. */
export function drawnContacts(terminals: string, joins: string): ContactsAt {
  const names = terminals.split(' ');
  const groups = joins
    .split(' ')
    .filter(Boolean)
    .map((net) => net.split('-').map((name) => names.indexOf(name)));
  return contactsOfNets(partitionFromGroups(names.length, groups));
}
