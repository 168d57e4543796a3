import type { LoadId, SupplyId, WireId } from '../../switch/index.js';
import { blocks, type Partition } from '../../partition/index.js';
import { wiredTerminals } from '../power/in-setting.js';
import type { Circuit } from '../wiring/circuit.js';
import type { Healthy } from './healthy-setting.js';

/** One thing that may be wrong. Places of terminals; leads by their wires. */
export type Fault =
  | { kind: 'none' }
  | { kind: 'never-closes' | 'never-opens' | 'high'; contact: readonly [common: number, other: number] }
  | { kind: 'wire-off'; wire: WireId }
  | { kind: 'wires-swapped'; wires: readonly [WireId, WireId] }
  | { kind: 'load-open'; load: LoadId }
  | { kind: 'supply-missing'; supply: SupplyId };

/** Whether such a fault can be there at one moment and gone at the next: a loose screw, a dirty contact; never two wires swapped. */
export const comesAndGoes = ({ kind }: Fault): boolean => kind !== 'none' && kind !== 'wires-swapped';

/** Whether a fault lies in the switch itself. */
export const isOfSwitch = ({ kind }: Fault): boolean =>
  kind === 'never-closes' || kind === 'never-opens' || kind === 'high';

/** Contacts of the switch: pairs of wired terminals that some setting joins and that no third one joins for them everywhere. */
export function contactsInMachine(
  circuit: Circuit,
  settings: readonly Healthy[],
): (readonly [number, number])[] {
  const wired = wiredTerminals(circuit);
  const found = new Map<string, readonly [number, number]>();
  for (const { nets } of settings)
    for (const net of blocks(nets)) {
      const inNet = net.filter((place) => wired.includes(place));
      // The terminal that joins most is the common: contacts go from it.
      const common = inNet.toSorted((a, b) => joinsOf(settings, b) - joinsOf(settings, a) || a - b)[0];
      for (const other of inNet)
        if (common !== undefined && other !== common) {
          found.set([common, other].toSorted((a, b) => a - b).join(), [common, other]);
        }
    }
  return [...found.values()];
}

const joinsOf = (settings: readonly { nets: Partition }[], place: number): number =>
  settings.filter(({ nets }) => nets.some((root, other) => other !== place && root === nets[place])).length;

/** The terminal that a wire is on, by place. */
export const lugOf = ({ leads }: Circuit, wire: WireId): number =>
  leads.find((lead) => lead.wire === wire)?.a ?? 0;

/** The wires of a machine, each once. */
export const wiresIn = ({ leads }: Circuit): WireId[] => [
  ...new Set(leads.flatMap(({ wire }) => wire ?? [])),
];

const ofOneSwitch = ({ owner }: Circuit, a: number, b: number): boolean => owner?.[a] === owner?.[b];

/** Each two of a list, the earlier one first. */
const pairs = <Item>(list: readonly Item[]): [Item, Item][] =>
  list.flatMap((one, at) => list.slice(at + 1).map((other): [Item, Item] => [one, other]));

/** None first, then every single fault of the switch, the wires, the loads and the supplies. */
export function singleFaults(circuit: Circuit, settings: readonly Healthy[]): Fault[] {
  const contacts = contactsInMachine(circuit, settings);
  const wires = wiresIn(circuit);
  return [
    { kind: 'none' },
    ...(['never-closes', 'high'] as const).flatMap((kind) =>
      contacts.map((contact): Fault => ({ kind, contact })),
    ),
    // A bridge may lie between any two, not only where a contact is.
    ...pairs(wiredTerminals(circuit))
      .filter(([a, b]) => ofOneSwitch(circuit, a, b))
      .map((contact): Fault => ({ kind: 'never-opens', contact })),
    ...wires.map((wire): Fault => ({ kind: 'wire-off', wire })),
    ...pairs(wires)
      .filter(([one, other]) => ofOneSwitch(circuit, lugOf(circuit, one), lugOf(circuit, other)))
      .map((swapped): Fault => ({ kind: 'wires-swapped', wires: swapped })),
    ...circuit.loads.map(({ id }): Fault => ({ kind: 'load-open', load: id })),
    ...circuit.supplies
      .filter(({ kind }) => kind !== 'earth')
      .map(({ id }): Fault => ({ kind: 'supply-missing', supply: id })),
  ];
}
