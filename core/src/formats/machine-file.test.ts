import { expect, it } from 'vitest';
import { drawnContacts, drawnCircuit } from '../machine/wiring/drawn.js';
import { inSetting } from '../machine/index.js';
import type { SettingId } from '../switch/index.js';
import { BOOK_CIRCUITS } from '../testing/textbook-circuits.js';
import { machineFile, machineOfFile } from './machine-file.js';

it('every textbook circuit written to a file and read again does the same', () => {
  for (const { of, drawn, settings } of BOOK_CIRCUITS) {
    const circuit = drawnCircuit(drawn);
    const labels = drawn.terminals.split(' ');
    const does = (one: typeof circuit) =>
      settings.map(([name, joins]) => ({
        ...inSetting(one, name as SettingId, drawnContacts(drawn.terminals, joins)),
        name,
      }));
    const file = machineFile(of, circuit, labels, does(circuit));
    const again = machineOfFile(JSON.parse(JSON.stringify(file)));
    if (!again) throw new Error(`not read: ${of}`);
    const said = machineFile(of, again, labels, does(again));
    expect(said).toEqual(JSON.parse(JSON.stringify(file)));
    expect(file.settings[0]?.loads.length).toBe(circuit.loads.length);
  }
});

it.each([
  [null],
  [{ format: 'which-way', version: 2 }],
  [{ format: 'which-way-machine', version: 2 }],
  [
    {
      ...{ format: 'which-way-machine', version: 1, terminals: ['1'], supplies: [], loads: [] },
      ...{ leads: [['terminal 1', 'supply 0']], open: [] },
    },
  ],
])('what is no such file, or names what it does not have, is not read: %j', (file) => {
  expect(machineOfFile(file)).toBeNull();
});
