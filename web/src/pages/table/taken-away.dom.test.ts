import { AS_MAPPED, inEverySetting, machineOfSwitch, type Machine } from '@which-way/core/machine';
import { deriveMap, type SwitchMap } from '@which-way/core/continuity';
import { upgradeEvent, type JobEvent } from '@which-way/core/log';
import { handlePicture } from '@which-way/drawing/handle-forms';
import { machinePicture } from '@which-way/drawing/machine-picture';
import type { Picture } from '@which-way/drawing/shape';
import { svgText } from '@which-way/drawing/svg-text';
import { calledIn } from '@which-way/words/called';
import { machineSentence } from '@which-way/words/machine/sentence';
import { tableRows } from '@which-way/words/table/table-rows';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import demoFile from '../../../../demo/jobs.json?raw';
import { machineDrawn } from '../machine/machine-drawn.js';
import { schematicOfFirst, settingsSheet, tableCsv, tableJson } from '../../parts/facts/table-files.js';

const { jobs } = JSON.parse(demoFile) as {
  jobs: { title: string; about?: string; events: JobEvent[] }[];
};
const maps = jobs
  .filter(({ about, events }) => about !== 'system' && events.length > 10)
  .map(({ title, events }): [string, SwitchMap] => [
    title,
    deriveMap(events.map((event) => upgradeEvent(event) as JobEvent)),
  ]);

/** A drawing as a reader of XML has it; what is no XML, or has no size, fails. */
function readBack(picture: Picture): Element {
  const page = new DOMParser().parseFromString(svgText(picture), 'image/svg+xml');
  expect(page.querySelector('parsererror')).toBeNull();
  const svg = page.documentElement;
  expect(svg.nodeName).toBe('svg');
  const [x, y, wide, high] = (svg.getAttribute('viewBox') ?? '').split(/\s+/).map(Number);
  expect([x, y].every(Number.isFinite) && (wide ?? 0) > 0 && (high ?? 0) > 0).toBe(true);
  // Nothing is fetched when it is opened.
  expect(svg.querySelectorAll('script, foreignObject, [href^="http"]')).toHaveLength(0);
  return svg;
}
const textsIn = (svg: Element): string[] =>
  [...svg.querySelectorAll('text')].map(({ textContent }) => textContent.trim());

describe.each(maps)('what can be taken away of %s', (_, map) => {
  it('its positions are drawn with every terminal and every position by name', () => {
    const texts = textsIn(readBack(settingsSheet(map, 'terminal', 'All positions')));
    for (const { label } of map.structure.terminals)
      expect(texts.filter((text) => text === label).length).toBeGreaterThanOrEqual(map.settings.size);
    const called = calledIn(map.structure);
    for (const setting of map.settings.keys()) expect(texts.join('|')).toContain(called.setting(setting));
  });

  it('its contacts and its handles are drawings that can be read', () => {
    readBack(schematicOfFirst(map));
    for (const actuator of map.structure.actuators)
      readBack(handlePicture(actuator, 0, 'terminal', { caption: 'the handle', stroke: 'stroke' }));
  });

  it('its table comes back cell by cell from CSV, and with every reading from JSON', () => {
    const rows = tableRows(map);
    const back = Papa.parse<string[]>(tableCsv(map)).data;
    expect(back.map((row) => row.map((cell) => cell.replace(/^'(?=[=+\-@])/, '')))).toEqual(rows);
    const file = JSON.parse(tableJson(map, 'x')) as { positions: string[]; contacts: { cells: unknown[] }[] };
    expect(file.positions).toHaveLength(map.settings.size);
    expect(file.contacts).toHaveLength(rows.length - 1);
    for (const { cells } of file.contacts) expect(cells).toHaveLength(map.settings.size);
  });
});

const machines = maps.flatMap(([title, map]): [string, SwitchMap, Machine][] => {
  const machine = machineOfSwitch(map);
  return machine ? [[title, map, machine]] : [];
});

it('there are circuits among them', () => expect(machines.length).toBeGreaterThan(3));

it.each(machines)('the circuit of %s names every supply and load in every setting', (_, map, machine) => {
  const { circuit } = machine;
  const names = { job: () => '', machine };
  for (const result of inEverySetting(machine, AS_MAPPED).settings) {
    const sentence = machineSentence(result, [result.setting], names);
    const texts = textsIn(
      readBack(machinePicture(machineDrawn(map, circuit, result, 'this switch'), sentence)),
    ).join('|');
    for (const { name } of circuit.loads) expect(texts).toContain(name);
    for (const { name, kind } of circuit.supplies) expect(texts).toContain(name || kind);
  }
});
