import { describe, expect, it } from 'vitest';
import { powered, whatMatters, type Healthy } from '../machine/index.js';
import type { Pattern } from '../partition/index.js';
import { seededRandom, type SettingId } from '../switch/index.js';
import { drawnContacts, drawnCircuit, type Drawn } from '../machine/wiring/drawn.js';
import { runs } from '../testing/runs.js';
import { randomPart } from '../testing/wire-demands.js';
import { requirementByMachine } from './machine-need.js';
import { matchPattern } from './match.js';

const HEATERS: Drawn = {
  terminals: '1 2 3 4',
  supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
  loads: { warm: { watts: 100, volts: 230 }, idle: { watts: 50, volts: 230 } },
  wires: '1>mains 2>warm.1 warm.2>back 3>idle.1 4>idle.2',
};
const machine = drawnCircuit(HEATERS);
const settings: Healthy[] = ['', '1-2'].map((joins, at) => ({
  setting: `s${at}` as SettingId,
  nets: drawnContacts(HEATERS.terminals, joins).nets,
}));
const matters = whatMatters(machine, settings, () => 0);
const need = requirementByMachine(matters);

const does = (nets: readonly number[]) => {
  const joins = nets.flatMap((root, at): [number, number][] => (root === at ? [] : [[root, at]]));
  const { loads, meetings } = powered(machine, joins);
  return JSON.stringify([[...loads.values()], meetings]);
};

describe('a replacement by what the machine needs', () => {
  it('another pattern that does the same job is found, though it is not the same switch', () => {
    if (need.found.kind === 'none') throw new Error(need.found.because);
    // Both ends of the idle winding joined, at the second position: of no account to the machine.
    const other: Pattern = [[0, 1, 2, 3], [0, 0, 2, 2]]; // prettier-ignore
    expect(matchPattern({ ...need.found.requirement, free: new Uint32Array(16) }, other).kind).toBe('no');
    expect(matchPattern(need.found.requirement, other).kind).toBe('same-wiring');
    expect(requirementByMachine('too-many-wires').found).toEqual({ kind: 'none', because: 'too-many-wires' });
  });

  it('whatever is found does the same for every load in every setting', () => {
    if (need.found.kind === 'none') throw new Error(need.found.because);
    const ways = [need.found.requirement, ...need.also];
    let found = 0;
    for (let seed = 1; seed <= runs(400); seed += 1) {
      const part = randomPart(seededRandom(seed), 4 + (seed % 2), 2 + (seed % 3));
      for (const way of ways) {
        const fit = matchPattern(way, part);
        if (!('terminals' in fit)) continue;
        found += 1;
        fit.positions.forEach(({ from, to }) => {
          const wired = [0, 1, 2, 3].map((wire) => fit.terminals.find((one) => one.from === wire)?.to ?? -1);
          const nets = wired.map((place) =>
            wired.findIndex((other) => part[to]?.[other] === part[to]?.[place]),
          );
          expect(does(nets)).toBe(does(settings[from]?.nets ?? []));
        });
      }
    }
    expect(found).toBeGreaterThan(5);
  });
});
