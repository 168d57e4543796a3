import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ORDINARY_HANDS, costOf, EMPTY_HANDS, type Hands } from './index.js';
import { openBundle, type OpensLeft } from './recheck-bundles.js';

/** All nets of so many settings, each two of them parted by a single reading. */
function onceOnly(nets: readonly (readonly number[])[], pairsOnly: readonly boolean[] = []): OpensLeft {
  const size = nets[0]?.length ?? 0;
  const singleOf = (row: readonly number[]) => {
    const single = new Uint8Array(size * size);
    for (const one of row) for (const other of row) if (one !== other) single[one * size + other] = 1;
    return single;
  };
  return {
    size,
    places: nets[0]?.map((_, place) => place) ?? [],
    opens: nets.map((row) => ({ nets: row, single: singleOf(row) })),
    pairsOnly: nets.map((_, setting) => pairsOnly[setting] ?? false),
    leaveOut: nets.map(() => new Uint8Array(size * size)),
    held: () => false,
  };
}

const patterns = fc
  .record({ terminals: fc.integer({ min: 2, max: 10 }), settings: fc.integer({ min: 1, max: 5 }) })
  .chain(({ terminals, settings }) => {
    const row = fc.array(fc.nat(terminals - 1), { minLength: terminals, maxLength: terminals });
    return fc.array(row, { minLength: settings, maxLength: settings });
  })
  .map((nets) => nets.map((row) => row.map((net) => row.indexOf(net))));

describe('bundles of a re-check', () => {
  it('split no net, want no more clips than there are, and part every two nets once more in the end', () => {
    fc.assert(
      fc.property(patterns, fc.integer({ min: 2, max: 12 }), (nets, clipsOwned) => {
        const left = onceOnly(nets);
        const costs = { ...ORDINARY_HANDS, clipsOwned };
        let hands: Hands = EMPTY_HANDS;
        for (let moves = 0; ; moves += 1) {
          expect(moves).toBeLessThan(500);
          const move = openBundle(left, hands, costs);
          if (!move) break;
          const [reds, blacks] = [[move.red].flat(), move.black];
          expect(new Set([...reds, ...blacks]).size).toBe(reds.length + blacks.length);
          expect(reds.length + blacks.length).toBeLessThanOrEqual(clipsOwned);
          for (const setting of move.kind === 'sweep' ? [move.setting] : move.settings) {
            const { nets: row, single } = left.opens[setting] as OpensLeft['opens'][number];
            let gain = 0;
            for (const red of reds)
              for (const black of blacks) {
                const [one, other] = [row[red] as number, row[black] as number];
                expect(one).not.toBe(other);
                gain += single[one * left.size + other] as number;
                single[one * left.size + other] = single[other * left.size + one] = 0;
              }
            expect(gain).toBeGreaterThan(0);
          }
          hands = costOf(move, hands, costs, left.held).after;
        }
        for (const { single } of left.opens) expect(single.includes(1)).toBe(false);
      }),
      { numRuns: 60 },
    );
  });

  it('asks pairs alone where bundles say nothing', () => {
    const alone = Array.from({ length: 8 }, (_, place) => place);
    const costs = { ...ORDINARY_HANDS, clipsOwned: 8 };
    const bundle = openBundle(onceOnly([alone, alone, alone]), EMPTY_HANDS, costs);
    expect([bundle?.red].flat().length).toBeGreaterThan(1);
    const pair = openBundle(onceOnly([alone, alone, alone], [true, true, true]), EMPTY_HANDS, costs);
    expect([pair?.red].flat()).toHaveLength(1);
    expect(pair?.black).toHaveLength(1);
  });

  it('does not ask a pair that was passed over, but another of the same two nets; with none left it ends', () => {
    // Nets {0, 2} and {1}: 0-1 or 2-1 part them.
    const left = onceOnly([[0, 1, 0]], [true]);
    const costs = { ...ORDINARY_HANDS, clipsOwned: 3 };
    const asked: string[] = [];
    for (let move = openBundle(left, EMPTY_HANDS, costs); move; move = openBundle(left, EMPTY_HANDS, costs)) {
      const [a, b] = [[move.red].flat()[0] as number, move.black[0] as number];
      asked.push([a, b].sort().join('-'));
      const out = left.leaveOut[0] as Uint8Array;
      out[a * 3 + b] = out[b * 3 + a] = 1;
    }
    expect(asked.sort()).toEqual(['0-1', '1-2']);
  });

  it('counts a net once, whatever terminals of it are tied: more than 32 terminals too', () => {
    const nets = Array.from({ length: 40 }, (_, place) => (place < 20 ? 0 : place));
    const left = onceOnly([nets]);
    const move = openBundle(left, EMPTY_HANDS, { ...ORDINARY_HANDS, clipsOwned: 40 });
    // The net of twenty wants one clip; all others are nets of one.
    expect([move?.red, move?.black].flat().filter((place) => (place as number) < 20).length).toBeLessThan(2);
  });
});
