import type { Fault, Machine } from '@which-way/core/circuit';
import { drawnMachine } from '@which-way/core/circuit';
import type { LoadId, SupplyId, WireId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { faultWords, machinePlace } from './machine.js';

const machine: Machine = drawnMachine({
  terminals: 'C 1',
  supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
  loads: { lamp: { watts: 40, volts: 230 }, fan: { kind: 'motor', make: 'permanent-magnet', watts: 20 } },
  wires: 'C>mains 1>lamp.1 lamp.2>back fan.+>mains fan.->back',
});
const names = {
  label: (place: number) => machine.terminals[place] ?? '?',
  tag: (wire: string) => wire.slice(1),
  ...{ loads: machine.loads, supplies: machine.supplies },
};
const w0 = 'w0' as WireId;
const FAULTS: [Fault, always: string, atTimes: string][] = [
  [
    { kind: 'never-closes', contact: [0, 1] },
    'Contact C–1 does not close',
    'Contact C–1 fails to close now and then',
  ],
  [
    { kind: 'never-opens', contact: [0, 1] },
    'C–1 does not open: welded, or bridged',
    'C–1 sticks or is bridged now and then',
  ],
  [{ kind: 'wire-off', wire: w0 }, 'Wire 0 is off or broken', 'Wire 0 is loose, or broken inside'],
  [
    { kind: 'load-open', load: 'lamp' as LoadId },
    'lamp is open: burnt out',
    'lamp has a loose contact or a break in it',
  ],
  [{ kind: 'supply-missing', supply: 'mains' as SupplyId }, 'mains is missing', 'mains comes and goes'],
  // What cannot come and go is told the same.
  [
    { kind: 'wires-swapped', wires: [w0, 'w1' as WireId] },
    'Wires 0 and 1 are swapped',
    'Wires 0 and 1 are swapped',
  ],
  [{ kind: 'none' }, 'Nothing of what is drawn here is wrong', 'Nothing of what is drawn here is wrong'],
];

describe('a fault in words', () => {
  it.each(FAULTS)('%j', (fault, always, atTimes) => {
    expect(faultWords(fault, names)).toBe(always);
    expect(faultWords(fault, { ...names, atTimes: true })).toBe(atTimes);
  });
});

describe('a place in a machine', () => {
  it('is a lug, where a supply comes in, or an end of a load by its own name', () => {
    const at = (node: number | undefined) => machinePlace(node ?? -1, machine, names.label);
    expect(at(1)).toBe('terminal 1');
    expect(at(machine.supplyNode.get('back'))).toBe('where back comes in');
    expect(at(machine.endNode.get('lamp 2'))).toBe('lamp, end 2');
    expect(at(machine.endNode.get('fan +'))).toBe('fan, + (forward)');
  });
});
