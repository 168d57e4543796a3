import { drawnMachine } from '@which-way/core/machine';
import { deriveMap } from '@which-way/core/continuity';
import { createWriter, type JobEvent } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom, type LoadId, type SupplyId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { placeLabel, probeWords } from './places.js';

describe('a place in a machine', () => {
  it('is a lug, where a supply comes in, or an end of a load by its own name', () => {
    const newId = newIdFrom(seededRandom(3));
    const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
    const change = describeSwitch({ terminals: 2, positions: 2, form: 'rotary', layout: 'list' }, newId);
    const [lamp, fan] = [newId<LoadId>(), newId<LoadId>()];
    const [mains, back] = [newId<SupplyId>(), newId<SupplyId>()];
    const load = (id: LoadId, name: string, more = {}) => ({
      ...{ id, name, kind: 'lamp', amps: null, watts: 40, volts: 230, current: 'AC', removed: false },
      ...more,
    });
    const supply = (id: SupplyId, name: string, kind: string) => ({
      ...{ id, name, kind, volts: null, current: 'AC', removed: false },
    });
    const deeds = [
      { kind: 'restructured', change, basedOn: null },
      { kind: 'load-named', load: load(lamp, 'lamp') },
      { kind: 'load-named', load: load(fan, 'fan', { kind: 'motor', make: 'permanent-magnet' }) },
      { kind: 'supply-named', supply: supply(mains, 'mains', 'L') },
      { kind: 'supply-named', supply: supply(back, 'back', 'N') },
    ];
    const events = deeds.reduce<JobEvent[]>((all, deed) => [...all, writer.write(all, deed as never)], []);
    const map = deriveMap(events);
    const machine = drawnMachine(
      {
        terminals: 'C 1',
        supplies: { [mains]: { kind: 'L', name: 'mains' }, [back]: { kind: 'N', name: 'back' } },
        loads: { [lamp]: { name: 'lamp' }, [fan]: { name: 'fan', kind: 'motor', make: 'permanent-magnet' } },
        wires: `C>${mains} 1>${lamp}.1 ${lamp}.2>${back}`,
      },
      map,
    );
    const names = { job: () => '', machine };
    const { circuit } = machine;
    const at = (node: number | undefined) => probeWords(node ?? -1, names);
    expect(at(1)).toBe(`terminal ${placeLabel(1, names)}`);
    expect(at(circuit.supplyNode.get(back))).toBe('where back comes in');
    expect(at(circuit.endNode.get(`${lamp} 2`))).toBe('lamp, end 2');
    expect(at(circuit.endNode.get(`${fan} +`))).toBe('fan, + (forward)');
    expect(at(99)).toBe('?');
  });
});
