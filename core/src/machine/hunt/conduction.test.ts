import { describe, expect, it } from 'vitest';
import { resistanceBetween, type Resistance } from '../../network/index.js';
import type { SettingId } from '../../switch/index.js';
import { generatedMachines, joinsOf } from '../../testing/generated-machines.js';
import { endKey, windingsOf, type Circuit } from '../wiring/circuit.js';
import { faultModel, type Fault } from './index.js';
import { fewRuns } from '../../testing/runs.js';

/** A dead machine as a network of resistances: wires and contacts of milliohms, loads of ten ohms, its fault put in by hand. */
function networkOf(circuit: Circuit, contacts: readonly [number, number][], fault: Fault): Resistance[] {
  const lug = (wire: unknown) => circuit.leads.find((lead) => lead.wire === wire)?.a ?? 0;
  const swapped = fault.kind === 'wires-swapped' ? fault.wires : null;
  const leads = circuit.leads.flatMap(({ wire, a, b }): Resistance[] => {
    if (fault.kind === 'wire-off' && wire === fault.wire) return [];
    const other = swapped && (wire === swapped[0] ? swapped[1] : wire === swapped[1] ? swapped[0] : null);
    return [{ a: other ? lug(other) : a, b, ohms: 0.001 }];
  });
  const loads = circuit.loads.flatMap((load) =>
    fault.kind === 'load-open' && fault.load === load.id
      ? []
      : windingsOf(load).map(([one, other]): Resistance => ({
          a: circuit.endNode.get(endKey(load.id, one)) ?? 0,
          b: circuit.endNode.get(endKey(load.id, other)) ?? 0,
          ohms: 10,
        })),
  );
  const bridge =
    fault.kind === 'never-opens' ? [{ a: fault.contact[0], b: fault.contact[1], ohms: 0.001 }] : [];
  return [...contacts.map(([a, b]) => ({ a, b, ohms: 0.001 })), ...leads, ...loads, ...bridge];
}

describe('what a probe reads in a dead machine', () => {
  it('is what its network of resistances has by nodal analysis, with every fault that is not in a contact', () => {
    let compared = 0;
    for (const { circuit, nets } of generatedMachines(fewRuns(40), 99)) {
      const setting = 'one' as SettingId;
      const { faults, reached } = faultModel(circuit, [{ setting, nets }]);
      for (const { fault, conducts } of faults.filter(
        (one) => one.fault.kind !== 'never-closes' && one.fault.kind !== 'high',
      )) {
        const network = networkOf(circuit, joinsOf(nets), fault).filter(({ a, b }) => a !== b);
        for (const [at, a] of reached.entries())
          for (const b of reached.slice(at + 1)) {
            const ohms = resistanceBetween(circuit.nodes, network, a, b);
            const read = ohms === Infinity ? 'open' : ohms < 1 ? 'closed' : 'ohms';
            if (conducts(setting, a, b) !== read)
              expect([fault, a, b, conducts(setting, a, b)]).toEqual([fault, a, b, read]);
            compared += 1;
          }
      }
    }
    expect(compared).toBeGreaterThan(20_000);
  });
});
