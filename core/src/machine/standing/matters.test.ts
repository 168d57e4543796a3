import { describe, expect, it } from 'vitest';
import type { SettingId } from '../../switch/index.js';
import { drawnContacts, drawnCircuit, type Drawn } from '../wiring/drawn.js';
import { everyPartition, whatMatters, type Box } from './matters.js';
import { powered } from '../power/settled.js';

const still = () => 0;

const FAN: Drawn = {
  // A motor of which only one winding is used: both ends of the other lie on the switch.
  terminals: '1 2 3 4',
  supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
  loads: { run: { watts: 40, volts: 230 }, idle: { watts: 20, volts: 230 } },
  wires: '1>mains 2>run.1 run.2>back 3>idle.1 4>idle.2',
};
const settings = (drawn: Drawn, ...joins: string[]) =>
  joins.map((one, at) => ({
    setting: `s${at}` as SettingId,
    nets: drawnContacts(drawn.terminals, one).nets,
  }));

describe('every partition', () => {
  it('there are as many as Bell’s numbers say (1, 2, 5, 15, 52, 203, 877, 4140)', () => {
    const counts = [1, 2, 3, 4, 5, 6, 7, 8].map((size) => [...everyPartition(size)].length);
    expect(counts).toEqual([1, 2, 5, 15, 52, 203, 877, 4140]);
  });
});

describe('what matters to the machine', () => {
  const machine = drawnCircuit(FAN);
  const matters = whatMatters(machine, settings(FAN, '', '1-2'), still);
  if (typeof matters === 'string') throw new Error(matters);

  it('whether both ends of an unused winding join is of no account', () => {
    const [off, on] = matters.settings;
    const free = ({ free: pairs }: Box) => pairs.map((pair) => pair.join('-'));
    expect(off?.boxes[0] && free(off.boxes[0])).toContain('2-3');
    expect(on?.boxes[0] && free(on.boxes[0])).toContain('2-3');
    // Live or not live is not of no account: 1 on the idle winding makes it live.
    expect(off?.boxes[0] && free(off.boxes[0])).not.toContain('0-2');
    expect(on?.boxes[0] && free(on.boxes[0])).not.toContain('0-1');
  });

  it('every partition in a box does the same for every load (brute force over all of them)', () => {
    const does = (roots: readonly number[]) => {
      const joins = roots.flatMap((root, at): [number, number][] => (root === at ? [] : [[root, at]]));
      const { loads, meetings } = powered(machine, joins);
      return JSON.stringify([[...loads.values()], meetings]);
    };
    let looked = 0;
    for (const { boxes } of matters.settings)
      for (const { nets, free } of boxes) {
        const loose = new Set(free.map((pair) => pair.join()));
        for (const roots of everyPartition(4)) {
          const inside = [0, 1, 2, 3].every((a) =>
            [0, 1, 2, 3].every(
              (b) => a >= b || loose.has(`${a},${b}`) || (roots[a] === roots[b]) === (nets[a] === nets[b]),
            ),
          );
          if (!inside) continue;
          looked += 1;
          expect(does(roots)).toBe(does(nets));
        }
      }
    expect(looked).toBeGreaterThan(4);
  });

  it('says so where there are too many wires, or no time', () => {
    const many = Array.from({ length: 9 }, (_, at) => `t${at}`);
    const wide = drawnCircuit({
      ...FAN,
      terminals: many.join(' '),
      wires: many.map((one) => `${one}>mains`).join(' '),
    });
    expect(whatMatters(wide, [], still)).toBe('too-many-wires');
    let at = 0;
    expect(whatMatters(machine, settings(FAN, ''), () => (at += 1500))).toBe('took-too-long');
  });
});
