import { deriveMap } from '@which-way/core/continuity';
import { createWriter, newWire, ORDINARY_METER, type Deed, type JobEvent } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { readingRows, wireRows } from '@which-way/words/map/log-rows';
import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { readingsCsv, switchNetlist, wiresCsv } from './table-files.js';

const newId = newIdFrom(seededRandom(41));
const change = describeSwitch(
  { terminals: 2, positions: 2, form: 'rotary', layout: 'one-row', positionNames: ['OFF', '=ON'] },
  newId,
);
const [one, two] = change.terminals;
const writer = createWriter({ newId, now: () => '2026-03-01T09:00:00.000Z' });
const mapOf = (...deeds: Deed[]) =>
  deriveMap(deeds.reduce<JobEvent[]>((all, deed) => [...all, writer.write(all, deed)], []));
const described: Deed = { kind: 'restructured', change, basedOn: null };
const reading = (at: number, value: { kind: 'over' } | { kind: 'ohms'; ohms: number }): Deed => ({
  ...{ kind: 'answered', act: 'pair', prompt: null, source: 'typed', inCircuit: false },
  readings: [
    {
      id: newId(),
      setting: change.settings[at]?.id as never,
      red: [one?.id as never],
      black: [two?.id as never],
      value,
    },
  ],
});
const map = mapOf(
  described,
  { kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER },
  reading(0, { kind: 'over' }),
  reading(1, { kind: 'ohms', ohms: 0.7 }),
  {
    kind: 'wire-tagged',
    wire: { ...newWire('1', newId), terminal: one?.id ?? null, color: 'BN', goesTo: 'fuse, "left"' },
  },
);

it('readings and wires come back from their CSV as they are, and no cell is a formula', () => {
  const back = (csv: string) => Papa.parse<string[]>(csv).data;
  const rows = readingRows(map);
  expect(rows).toHaveLength(3);
  expect(rows[2]?.slice(1, 5)).toEqual(['=ON', '1', '2', '0.7']);
  expect(rows[2]?.at(-1)).toBe(ORDINARY_METER.name);
  const plain = (list: string[][]) =>
    list.map((row) => row.map((cell) => (/^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell)));
  expect(back(readingsCsv(map))).toEqual(plain(rows));
  expect(back(wiresCsv(map))).toEqual(wireRows(map));
  expect(wireRows(map)[1]).toEqual(['1', 'BN', '', '', '1', 'fuse, "left"']);
});

it('a netlist is made of what is known in full alone', () => {
  expect(switchNetlist(mapOf(described), 'x')).toBeNull();
});
