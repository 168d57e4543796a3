import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { drawnContacts, drawnCircuit } from '../machine/wiring/drawn.js';
import { windingsOf } from '../machine/index.js';
import {
  fedBySimulator,
  fedByUs,
  generatedMachines,
  machinesDeck,
  sharesBySimulator,
  sharesByUs,
} from '../testing/generated-machines.js';
import { spiceDeck, switchDeck } from './spice-deck.js';

const file = (name: string) => readFileSync(new URL(`../machine/ngspice/${name}`, import.meta.url), 'utf8');
const installed = spawnSync('ngspice', ['--version']).status === 0;
const MACHINES = generatedMachines(300, 17);
const WOUND = generatedMachines(150, 29, true);

/** Volts that ngspice printed, in the order of the deck. */
const printed = (output: string): number[] =>
  [...output.matchAll(/^mag\([^=]*\) = ([-+\d.e]+)/gm)].map(([, volts]) => Number(volts));
const run = (deck: string): string => {
  const path = join(mkdtempSync(join(tmpdir(), 'which-way-ngspice-')), 'machines.cir');
  writeFileSync(path, deck);
  // It ends with 1 where only a control block ran: what it printed is there all the same.
  return spawnSync('ngspice', ['-b', path], { encoding: 'utf8', maxBuffer: 64e6 }).stdout;
};
const furthest = (said: number[][]) => {
  const ours = sharesByUs(MACHINES);
  return Math.max(
    ...said.flatMap((shares, at) => shares.map((one, load) => Math.abs(one - (ours[at]?.[load] ?? NaN)))),
  );
};

describe('300 generated machines against the circuit simulator ngspice (version 39, deck and output beside the circuit)', () => {
  it('every load takes the share of its power that it said', () => {
    expect(file('machines.cir')).toBe(machinesDeck(MACHINES));
    const said = printed(file('machines.out'));
    expect(said.length).toBeGreaterThan(600);
    expect(said.some((volts) => volts > 200)).toBe(true);
    expect(furthest(sharesBySimulator(MACHINES, said))).toBeLessThan(1e-4);
  });

  it.skipIf(!installed)('and that it says now, where it is installed', () => {
    expect(furthest(sharesBySimulator(MACHINES, printed(run(machinesDeck(MACHINES)))))).toBeLessThan(1e-4);
  });

  it('and 150 with motors of several windings: which winding is fed, and what a load of one winding or two takes', () => {
    expect(file('wound.cir')).toBe(machinesDeck(WOUND));
    const said = printed(file('wound.out'));
    const windings = WOUND.flatMap(({ circuit }) => circuit.loads.flatMap((load) => windingsOf(load)));
    expect(said).toHaveLength(windings.length);
    const fed = fedByUs(WOUND);
    expect(fed.flat().filter(Boolean).length).toBeGreaterThan(50);
    expect(fed).toEqual(fedBySimulator(WOUND, said));
    for (const make of ['two-speed', 'tapped', 'reversible', 'run-start', 'series-wound', 'shunt-wound'])
      expect(WOUND.some(({ circuit }) => circuit.loads.some((load) => load.make === make))).toBe(true);
  });

  it.skipIf(!installed)('and that they are fed now, where it is installed', () => {
    expect(fedByUs(WOUND)).toEqual(fedBySimulator(WOUND, printed(run(machinesDeck(WOUND)))));
  });

  it('no name of anything begins a line of its own in a deck', () => {
    const evil = 'lamp\r\n.control\nshell touch /tmp/x\n.endc\u2028.end';
    const drawn = {
      terminals: 'L N A',
      supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
      // One of known power and one of which it is not known stand in different lines.
      loads: { e1: { watts: 400, volts: 230 }, e2: { watts: null, volts: null } },
      wires: 'L>mains N>back A>e1.1 A>e2.1 N>e1.2 N>e2.2',
    } as const;
    const circuit = drawnCircuit(drawn);
    const named = { ...circuit, loads: circuit.loads.map((load) => ({ ...load, name: evil })) };
    const settings = [{ name: evil, nets: drawnContacts(drawn.terminals, 'L-A').nets }];
    for (const deck of [spiceDeck(evil, named, settings), switchDeck(evil, ['1', evil, '3'], settings)]) {
      expect(deck).toContain('lamp .control');
      expect(deck.split('\n').filter((line) => /^\s*\.(control|endc)|^shell/.test(line))).toEqual([]);
      expect(deck.match(/^\.end$/gm)).toHaveLength(1);
      expect(deck).not.toMatch(/[\r\u2028]/);
    }
  });

  it.skipIf(!installed)('a deck that is taken away gives the table, setting by setting', () => {
    const drawn = {
      terminals: 'L N A B C',
      supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
      loads: { e1: { watts: 400, volts: 230 }, e2: { watts: 400, volts: 230 } },
      wires: 'L>mains N>back A>e1.1 B>e1.2 B>e2.1 C>e2.2',
    } as const;
    const settings = ['', 'L-A N-C', 'L-A N-B', 'L-B N-A-C'].map((joins, at) => ({
      ...{ name: `setting ${at}`, nets: drawnContacts(drawn.terminals, joins).nets },
    }));
    const deck = spiceDeck('three heats', drawnCircuit(drawn), settings);
    const watts = settings.map((_, at) => {
      const asked = deck
        .replace('.param setting=0', `.param setting=${at}`)
        .replace(
          '.ac lin 1 50 50\n',
          '.control\nac lin 1 50 50\nprint mag(v(n7)-v(n8))\nprint mag(v(n9)-v(n10))\n.endc\n',
        );
      return printed(run(asked)).reduce((sum, volts) => sum + (volts / 230) ** 2 * 400, 0);
    });
    expect(watts.map((one) => Math.round(one))).toEqual([0, 200, 400, 800]);
  });
});

describe.skipIf(!installed)('a switch alone, run by ngspice', () => {
  it('joins in every setting what the table says, and nothing else', () => {
    const labels = ['1', '2', '3', '4'];
    const settings = ['', '1-2', '1-3 2-4', '1-2-4'].map((joins, at) => ({
      ...{ name: `setting ${at}`, nets: drawnContacts(labels.join(' '), joins).nets },
    }));
    const deck = switchDeck('a switch', labels, settings);
    const pairs = labels.flatMap((_, a) => labels.slice(a + 1).map((__, at) => [a, a + 1 + at] as const));
    const read = settings.map((_, setting) =>
      pairs.map(([a, b]) => {
        const asked = deck
          .replace('.param setting=0', `.param setting=${setting}`)
          .replace('.op\n', `Itest n${a} n${b} DC 1u\n.control\nop\nprint v(n${a})-v(n${b})\n.endc\n`);
        const [, volts] = /^v\([^=]*= ([-+\d.e]+)/m.exec(run(asked)) ?? [];
        return Math.abs(Number(volts)) < 1e-6;
      }),
    );
    expect(read).toEqual(settings.map(({ nets }) => pairs.map(([a, b]) => nets[a] === nets[b])));
  });
});
