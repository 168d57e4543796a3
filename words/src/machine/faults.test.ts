import { drawnCircuit, type Fault } from '@which-way/core/machine';
import type { LoadId, SupplyId, WireId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { faultWords } from './faults.js';

const circuit = drawnCircuit({
  terminals: 'C 1',
  supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
  loads: { lamp: { watts: 40, volts: 230 }, fan: { kind: 'motor', make: 'permanent-magnet', watts: 20 } },
  wires: 'C>mains 1>lamp.1 lamp.2>back fan.+>mains fan.->back',
});
const names = {
  label: (place: number) => circuit.terminals[place] ?? '?',
  tag: (wire: string) => wire.slice(1),
  ...{ loads: circuit.loads, supplies: circuit.supplies },
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
  [{ kind: 'none' }, 'Nothing shown here is faulty', 'Nothing shown here is faulty'],
];

describe('a fault in words', () => {
  it.each(FAULTS)('%j', (fault, always, atTimes) => {
    expect(faultWords(fault, names)).toBe(always);
    expect(faultWords(fault, { ...names, atTimes: true })).toBe(atTimes);
  });
});
