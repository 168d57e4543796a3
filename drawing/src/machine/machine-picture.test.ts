import { describe, expect, it } from 'vitest';
import { svgText } from '../svg-text.js';
import type { MachinePoint } from './machine-drawn.js';
import { machinePicture } from './machine-picture.js';

const ENDS = ['A1', 'A2', '13', '14'];
const load = (name: string) => ({ name, ends: ENDS, says: 'off', look: 'off' as const });
const end = (which: number, name: string): MachinePoint => ({
  at: 'load',
  load: which,
  end: ENDS.indexOf(name),
});

/** The way of the one lead between two ends, as the corners of its path. */
function way(from: MachinePoint, to: MachinePoint): { first: string; last: string; path: string } {
  const picture = machinePicture(
    {
      supplies: [{ name: 'L', live: true }, { name: 'N', live: false }],
      lugs: [{ label: 'a', side: 'supply' }],
      joins: [],
      loads: [load('K'), load('M')],
      leads: [{ from, to, text: '', carries: false }],
      switchName: 'this switch',
    },
    'a machine',
  ); // prettier-ignore
  const path = /d="(M[^"]*)"/.exec(svgText(picture))?.[1] ?? '';
  const [first = '', ...steps] = path.split(/(?=[HV])/);
  return { first, last: steps.slice(-2).join(''), path };
}

// By hand: loads stand from x 610 to 800, 116 high (30 and two rows of 30 make 90) with 26 between; ends at 34 and 64 under the top at 70.
describe('a lead between two ends of loads', () => {
  it('goes beside them where both stand left, never through the load', () => {
    const { first, last, path } = way(end(0, 'A1'), end(1, 'A2'));
    expect([first, last]).toEqual(['M610 104', 'V250H610']);
    expect([...path.matchAll(/H(\d+)/g)].every(([, x]) => Number(x) <= 610)).toBe(true);
  });

  it('goes under everything where one stands left and the other right', () => {
    const { first, last, path } = way(end(0, '14'), end(0, 'A1'));
    expect([first, last]).toEqual(['M800 134', 'V104H610']);
    expect(path).toMatch(/^M800 134H8\d+V\d+H5\d+V104H610$/);
  });
});
