import { newIdFrom, newTerminal, seededRandom, type TerminalId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import type { Shape } from './shape.js';
import { joinKey, sideBySidePicture } from './side-by-side.js';
import { strandOf } from './strand.js';

const newId = newIdFrom(seededRandom(7));
const terminals = ['1', '2', '3', '4'].map((label) => newTerminal(label, newId));
const ids = terminals.map(({ id }) => id) as [TerminalId, TerminalId, TerminalId, TerminalId];

const paths = (shapes: readonly (Shape | string)[]): string[] =>
  shapes.flatMap((shape) =>
    typeof shape === 'string'
      ? []
      : [...(shape.tag === 'path' ? [String(shape.attributes['d'])] : []), ...paths(shape.children)],
  );
const texts = (shapes: readonly (Shape | string)[]): string[] =>
  shapes.flatMap((shape) => (typeof shape === 'string' ? [shape] : texts(shape.children)));

const picture = (layout: 'one-row' | 'two-rows') =>
  sideBySidePicture(
    {
      old: { terminals, layout: { kind: layout }, placed: [] },
      fresh: ['a', 'b', 'c', 'd'],
      wires: ids.map((from, to) => ({ from, to: 3 - to, tag: `W${to}`, color: to === 0 ? 'GNYE' : '' })),
      ties: [[2, 3]],
      strand: strandOf(0),
      oldJoins: [[ids[0], ids[1]]],
      freshJoins: [[3, 2]],
      differs: new Set([joinKey(2, 3)]),
    },
    { old: 'old', fresh: 'a part', caption: 'both', noPhoto: '', notPlaced: '' },
  );

describe('two switches side by side', () => {
  it.each(['one-row', 'two-rows'] as const)('no two wires share a lane, in %s', (layout) => {
    const wires = [...new Set(paths(picture(layout).shapes).filter((path) => path.includes('H')))];
    expect(wires).toHaveLength(4);
    // Each level run of a wire, with its height: two at one height belong to one wire.
    const runs = wires.flatMap((path, wire) =>
      [...path.matchAll(/V([\d.]+)H/g)].map(([, y]) => ({ y: Number(y), wire })),
    );
    for (const one of runs)
      for (const other of runs) if (one.y === other.y) expect(one.wire).toBe(other.wire);
  });

  it('names both, every wire and every lug', () => {
    const said = texts(picture('two-rows').shapes);
    expect(said).toEqual(expect.arrayContaining(['old', 'a part', 'W0 GNYE', 'W1', '1', '4', 'a', 'd']));
  });
});
