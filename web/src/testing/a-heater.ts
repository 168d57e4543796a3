import { newWire, type Deed, type Load, type LoadEnd, type Supply, type Wire } from '@which-way/core/log';
import type { LoadId, SupplyId } from '@which-way/core/switch';
import { newId } from '../job/new-id.js';
import { aSwitch } from './a-switch.js';

/** A heater with two elements on a changeover of two positions, mapped whole: 1 feeds the front on LOW and the rear on HIGH. */
export function aHeater() {
  const { change, described, checked, read, ids } = aSwitch(3, 2, ['LOW', 'HIGH']);
  const supply = (name: string, kind: Supply['kind'], volts: number | null): Supply => ({
    id: newId<SupplyId>(),
    name,
    kind,
    volts,
    current: 'AC',
    removed: false,
  });
  const element = (name: string): Load => ({
    id: newId<LoadId>(),
    name,
    kind: 'resistive',
    amps: null,
    watts: 600,
    volts: 230,
    current: 'AC',
    removed: false,
  });
  const [mains, back] = [supply('mains', 'L', 230), supply('back', 'N', null)];
  const loads = ['front', 'rear'].map(element) as [Load, Load];
  const wires = ids.map((terminal, at): Wire => ({ ...newWire(String(at + 1), newId), terminal }));
  const [one, two, three] = wires as [Wire, Wire, Wire];
  const end = (load: Load, which: LoadEnd) => ({ at: 'load' as const, load: load.id, end: which });
  const closed = (setting: number, black: number, joins: boolean): Deed =>
    read([0], [black], joins ? { kind: 'ohms', ohms: 0.3 } : { kind: 'over' }, { setting });
  const deeds: Deed[] = [
    ...[described, checked],
    ...[closed(0, 1, true), closed(0, 2, false), closed(1, 2, true), closed(1, 1, false)],
    ...[mains, back].map((what): Deed => ({ kind: 'supply-named', supply: what })),
    ...loads.map((load): Deed => ({ kind: 'load-named', load })),
    ...wires.map((wire): Deed => ({ kind: 'wire-tagged', wire })),
    { kind: 'wire-ended', wire: one.id, ends: [{ at: 'supply', supply: mains.id }] },
    { kind: 'wire-ended', wire: two.id, ends: [end(loads[0], '1')] },
    { kind: 'wire-ended', wire: three.id, ends: [end(loads[1], '1')] },
    ...loads.map((load): Deed => ({
      kind: 'load-tied',
      tie: { load: load.id, end: '2', to: { at: 'supply', supply: back.id } },
    })),
  ];
  return { change, ids, wires, loads, deeds };
}
