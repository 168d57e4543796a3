import { describe, expect, it } from 'vitest';
import { partitionFromGroups, relabel, type Pattern } from '../../partition/index.js';
import { bench, mapHidden } from '../../testing/generated.js';
import { laidPreset, PRESETS, presetOf } from './presets.js';

/** What the switch of a preset joins, with its terminals in another order. */
function scrambledPattern(name: (typeof PRESETS)[number], order: readonly number[]): Pattern {
  const { terminals, positions } = presetOf(name);
  const plain = positions.map((joins) =>
    partitionFromGroups(
      terminals.length,
      joins
        .split(' ')
        .filter(Boolean)
        .map((net) => net.split('-').map((label) => terminals.indexOf(label))),
    ),
  );
  return relabel(plain, order);
}

describe('a common arrangement laid on a mapped switch', () => {
  it.each(PRESETS)('%s: found whatever the terminals are called, every terminal once', (name) => {
    const { terminals, positions } = presetOf(name);
    const order = terminals.map((_, at) => (at + 2) % terminals.length);
    const on = bench(terminals.length, positions.length);
    const { map } = mapHidden(scrambledPattern(name, order), on);
    const laid = laidPreset(map, name);
    expect(laid).not.toBeNull();
    const places = [...(laid?.places.values() ?? [])];
    expect(new Set(places).size).toBe(terminals.length);
    // What the arrangement joins in its first position, its places join too.
    const nets = [...map.settings.values()].map(({ settled }) => settled.nets);
    const at = (label: string) => laid?.places.get(label) ?? -1;
    const joinedIn = (position: number, a: string, b: string) =>
      nets[position]?.[at(a)] === nets[position]?.[at(b)];
    const [first = ''] = positions.filter(Boolean);
    const where = positions.indexOf(first);
    const [net = ''] = first.split(' ');
    const [a = '', b = ''] = net.split('-');
    const reversed = positions.length - 1 - where;
    expect(joinedIn(where, a, b) || joinedIn(reversed, a, b)).toBe(true);
  });

  it('is not laid on a switch that does something else', () => {
    const on = bench(4, 2);
    const { map } = mapHidden(
      [[], []].map(() => partitionFromGroups(4, [[0, 1]])),
      on,
    );
    for (const name of PRESETS) expect(laidPreset(map, name)).toBeNull();
  });
});
