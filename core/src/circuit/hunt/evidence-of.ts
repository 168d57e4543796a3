import { factAt, type SwitchMap } from '../../continuity/index.js';
import { loadsSeenOf, type MachinePoint, machineProbedOf, partsTriedOf, recordsOf } from '../../log/index.js';
import { partsOfLinks, pathVerdict, supplyPathOf } from '../../path/index.js';
import type { LoadId, SettingId, SupplyId } from '../../switch/index.js';
import { wiredTerminals } from '../in-machine.js';
import { endKey, type Machine } from '../machine.js';
import type { ContactRead, HuntEvidence, WiresJoined, PartTried, Probed, Worked } from './evidence.js';

/** What the map has of wired terminals already, one switch of the machine: only what was read, not what follows from it. */
export function readingsOf(
  map: SwitchMap,
  wired: readonly number[],
  settings: readonly SettingId[],
): ContactRead[] {
  return settings.flatMap((setting) => {
    const settled = map.settings.get(setting)?.settled;
    if (!settled) return [];
    return wired.flatMap((a, at) =>
      wired.slice(at + 1).flatMap((b): ContactRead[] => {
        const { state, joined } = factAt(settled, a, b);
        return state === 'measured' ? [{ setting, contact: [a, b], joins: joined === true }] : [];
      }),
    );
  });
}

/** Contacts that were worked again and again, by place. */
export function workedOf({ log, structure }: Pick<SwitchMap, 'log' | 'structure'>): Worked[] {
  const place = new Map(structure.terminals.map(({ id }, at) => [id, at]));
  return recordsOf(log, 'contact-repeated').flatMap(
    ({ terminals, setting, cycles, misses, sticks, dropOuts }): Worked[] => {
      const [a, b] = terminals.map((id) => place.get(id));
      if (a === undefined || b === undefined) return [];
      const failed = { missed: misses.length + dropOuts, stuck: sticks.length };
      return [{ setting, contact: [a, b], cycles, ...failed }];
    },
  );
}

/** With wires joined instead of the switch: whether all ran. */
const joinedOf = ({ log }: Pick<SwitchMap, 'log'>): WiresJoined[] =>
  recordsOf(log, 'jumper-tested').map(({ setting, outcome }) => ({ setting, runs: outcome === 'runs' }));

/** What the supply path's own tests say of loads and supplies: whole where all of its links passed, not where one is at fault. */
export function toldByPath({ log }: Pick<SwitchMap, 'log'>): PartTried[] {
  const path = supplyPathOf(log);
  // Only what was tested there: what the machine told the path is known here already.
  const { states } = pathVerdict({ ...path, told: [] });
  const parts = new Map<LoadId | SupplyId, string[]>();
  for (const [link, part] of partsOfLinks(log, path.links))
    parts.set(part, [...(parts.get(part) ?? []), states.get(link) ?? 'not-tested']);
  return [...parts].flatMap(([part, all]): PartTried[] => {
    if (all.some((state) => state === 'fail' || state === 'seen' || state === 'unsteady'))
      return [{ part, whole: false }];
    return all.every((state) => state === 'pass') ? [{ part, whole: true }] : [];
  });
}

/** The node of a place in a machine of one switch; undefined where it is not there any more. */
function nodeOfPoint(machine: Machine, point: MachinePoint): number | undefined {
  switch (point.at) {
    case 'terminal': {
      const at = machine.terminals.indexOf(point.terminal);
      return at < 0 ? undefined : at;
    }
    case 'supply':
      return machine.supplyNode.get(point.supply);
    case 'load':
      return machine.endNode.get(endKey(point.load, point.end));
  }
}

/** The place of a node, as it is written down. */
export function pointOfNode(machine: Machine, node: number): MachinePoint | null {
  const terminal = machine.terminals[node];
  if (terminal) return { at: 'terminal', terminal };
  const supply = machine.supplies.find(({ id }) => machine.supplyNode.get(id) === node);
  if (supply) return { at: 'supply', supply: supply.id };
  for (const [key, at] of machine.endNode) {
    const [load, end] = key.split(' ');
    if (at === node) return { at: 'load', load, end } as MachinePoint;
  }
  return null;
}

/** What was tried here, with what others say of what was not tried here. */
export const withTold = (tried: readonly PartTried[], told: readonly PartTried[]): PartTried[] => [
  ...tried,
  ...told.filter(({ part }) => !tried.some((one) => one.part === part)),
];

/** All that was found out about the machine of one switch, wherever it was written down: nothing is asked twice. */
export function evidenceOf(map: SwitchMap, machine: Machine): HuntEvidence {
  const { log, structure } = map;
  return {
    seen: loadsSeenOf(log),
    read: readingsOf(
      map,
      wiredTerminals(machine),
      structure.settings.map(({ id }) => id),
    ),
    tried: withTold(partsTriedOf(log), toldByPath(map)),
    probed: machineProbedOf(log).flatMap(({ setting, between, conducts }): Probed[] => {
      const [a, b] = between.map((point) => nodeOfPoint(machine, point));
      return a === undefined || b === undefined ? [] : [{ setting, between: [a, b], conducts }];
    }),
    worked: workedOf(map),
    joined: joinedOf(map),
  };
}
