import { newIdFrom, newTerminal, seededRandom, type Side, type TerminalId } from '@which-way/core/switch';
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

const picture = (layout: 'one-row' | 'two-rows', seenFrom?: Side) =>
  sideBySidePicture(
    {
      old: { terminals, layout: { kind: layout }, placed: [] },
      fresh: ['a', 'b', 'c', 'd'],
      wires: ids.map((from, to) => ({ from, to: 3 - to, tag: `W${to}`, color: to === 0 ? 'GNYE' : '' })),
      ties: [[2, 3]],
      strand: strandOf(0),
      ...(seenFrom && { seenFrom }),
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

  it('from the front left and right are the other way round, on both, and every wire still has its lugs', () => {
    // Where each wire begins and ends, across.
    const ends = (seenFrom?: Side) =>
      [...new Set(paths(picture('one-row', seenFrom).shapes).filter((path) => path.includes('H')))].map(
        (path) => {
          const [from, to] = [/^M([\d.]+)/.exec(path)?.[1], /H([\d.]+)V[\d.]+$/.exec(path)?.[1]];
          return [Number(from), Number(to)] as const;
        },
      );
    const [back, front] = [ends('terminal'), ends('front')];
    expect(ends()).toEqual(back);
    // The first lug lies as far from the one edge as it did from the other: what is left of the middle is right of it.
    const middle = (at: 0 | 1) => back.reduce((sum, one) => sum + one[at], 0) / back.length;
    for (const [at, one] of back.entries())
      for (const end of [0, 1] as const)
        expect((front[at]?.[end] ?? 0) - middle(end)).toBeCloseTo(middle(end) - one[end], 3);
  });

  it('names both, every wire and every lug', () => {
    const said = texts(picture('two-rows').shapes);
    expect(said).toEqual(expect.arrayContaining(['old', 'a part', 'W0 GNYE', 'W1', '1', '4', 'a', 'd']));
  });
});
