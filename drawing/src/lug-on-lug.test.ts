import { newIdFrom, newTerminal, seededRandom, type TerminalId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { lugOnLugPicture } from './lug-on-lug.js';
import type { Shape } from './shape.js';
import { joinKey, type SideBySide } from './side-by-side.js';
import { strandOf } from './strand.js';

const newId = newIdFrom(seededRandom(7));
const terminals = ['1', '2', '3', '4'].map((label) => newTerminal(label, newId));
const ids = terminals.map(({ id }) => id) as [TerminalId, TerminalId, TerminalId, TerminalId];

const all = (shapes: readonly (Shape | string)[]): Shape[] =>
  shapes.flatMap((shape) => (typeof shape === 'string' ? [] : [shape, ...all(shape.children)]));
const texts = (shapes: readonly (Shape | string)[]): string[] =>
  shapes.flatMap((shape) => (typeof shape === 'string' ? [shape] : texts(shape.children)));

const drawn = (layout: 'one-row' | 'two-rows'): SideBySide => ({
  old: { terminals, layout: { kind: layout }, placed: [] },
  fresh: ['a', 'b', 'c', 'd', 'e'],
  wires: ids.map((from, at) => ({ from, to: 3 - at, tag: `W${at}`, color: at === 0 ? 'GNYE' : '' })),
  ties: [[2, 4]],
  strand: strandOf(0),
  oldJoins: [[ids[0], ids[1]]],
  freshJoins: [[3, 2]],
  differs: new Set([joinKey(2, 3)]),
});
const picture = (layout: 'one-row' | 'two-rows' = 'one-row', fresh = 'a part') =>
  lugOnLugPicture(drawn(layout), { old: 'Old', fresh, caption: 'lug on lug' });

/** Wires run between the columns, from one height to another: each height pair once. */
const wires = (layout: 'one-row' | 'two-rows') => [
  ...new Set(
    all(picture(layout).shapes).flatMap(({ tag, attributes }) => {
      const [, from, to] =
        /^M312 ([\d.]+)C420 .* 508 ([\d.]+)$/.exec(tag === 'path' ? String(attributes['d']) : '') ?? [];
      return from && to ? [`${from} ${to}`] : [];
    }),
  ),
];

describe('two switches lug on lug', () => {
  it('each wire is one line from its old lug to its new one', () => {
    // Rows of 76 below a heading of 64; the first old lug goes to the fourth new one, and so on back.
    expect(wires('one-row')).toEqual(['102 330', '178 254', '254 178', '330 102']);
  });

  it('old lugs stand row by row as they lie', () => {
    const labels = texts(picture('two-rows').shapes).filter((text) => /^[1-4]$/.test(text));
    // In two rows the first half lies above the second.
    expect(labels).toHaveLength(4);
    expect(new Set(labels)).toEqual(new Set(['1', '2', '3', '4']));
    expect(wires('two-rows')).toHaveLength(4);
  });

  it('a join that differs is amber, a junction dashed, a wire of two colours both', () => {
    const strokes = all(picture().shapes).map(({ attributes }) => attributes['stroke']);
    expect(strokes).toContain('var(--amber)');
    expect(all(picture().shapes).some(({ attributes }) => Object.values(attributes).includes('16 8'))).toBe(
      true,
    );
    expect(all(picture().shapes).some(({ attributes }) => Object.values(attributes).includes('22 22'))).toBe(
      true,
    );
    expect(texts(picture().shapes)).toEqual(expect.arrayContaining(['Old', 'a part', 'W0 GNYE', 'W3']));
  });

  it('a long name stands in two lines, and only a word too long for its column is cut, with a sign of it', () => {
    expect(texts(picture('one-row', 'Pepperquay key bank five').shapes)).toEqual(
      expect.arrayContaining(['Pepperquay', 'key bank five']),
    );
    expect(texts(picture('one-row', 'x'.repeat(40)).shapes)).toContain(`${'x'.repeat(23)}…`);
  });
});
