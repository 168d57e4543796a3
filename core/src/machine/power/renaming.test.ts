import { describe, expect, it } from 'vitest';
import { discrete, partitionOf, type Partition } from '../../partition/index.js';
import {
  seededRandom,
  type LoadId,
  type SettingId,
  type TerminalId,
  type WireId,
} from '../../switch/index.js';
import { generatedMachines, joinsOf } from '../../testing/generated-machines.js';
import { faultModel, NO_EVIDENCE, powered, rankFaults, type Circuit } from '../index.js';
import { fewRuns } from '../../testing/runs.js';

/** A machine with its terminals in another order and under other names, its wires and leads likewise; and where each place went. */
function renamed(
  circuit: Circuit,
  random: () => number,
): { circuit: Circuit; to: (place: number) => number } {
  const order = circuit.terminals
    .map((_, place) => ({ place, by: random() }))
    .toSorted((one, other) => one.by - other.by)
    .map(({ place }) => place);
  const to = (place: number) => (place < order.length ? order.indexOf(place) : place);
  return {
    to,
    circuit: {
      ...circuit,
      terminals: order.map((place) => `t${place}` as TerminalId),
      leads: circuit.leads
        .map(({ wire, a, b }) => ({ wire: wire && (`other ${wire}` as WireId), a: to(a), b: to(b) }))
        .toReversed(),
    },
  };
}

describe('other names for terminals, wires and settings', () => {
  it('change nothing of what the loads do, of what is live, or of how likely a fault is', () => {
    const random = seededRandom(4);
    for (const { circuit, nets } of generatedMachines(fewRuns(120), 41)) {
      const other = renamed(circuit, random);
      const moved = (of: Partition): Partition =>
        partitionOf(
          of.length,
          joinsOf(of).map(([a, b]): [number, number] => [other.to(a), other.to(b)]),
        );
      const [before, after] = [powered(circuit, joinsOf(nets)), powered(other.circuit, joinsOf(moved(nets)))];
      expect(after.loads).toEqual(before.loads);
      const liveNodes = ({ nets: of, live }: typeof before, to: (node: number) => number) =>
        of.flatMap((root, node) => (live.has(root) ? [to(node)] : [])).toSorted((a, b) => a - b);
      expect(liveNodes(after, (node) => node)).toEqual(liveNodes(before, other.to));
      const off = discrete(nets.length);
      const model = (of: Circuit, [one, two]: [string, string], on: Partition) =>
        faultModel(of, [
          { setting: one as SettingId, nets: off },
          { setting: two as SettingId, nets: on },
        ]);
      const load = circuit.loads[0]?.id as LoadId;
      const chances = (of: ReturnType<typeof model>, setting: string) =>
        rankFaults(of, {
          ...NO_EVIDENCE,
          seen: [{ setting: setting as SettingId, load, seen: 'off' }],
        }).map(({ fault, chance }) => `${fault.kind} ${chance.toFixed(6)}`);
      expect(chances(model(other.circuit, ['x', 'y'], moved(nets)), 'y').toSorted()).toEqual(
        chances(model(circuit, ['off', 'on'], nets), 'on').toSorted(),
      );
    }
  });
});
