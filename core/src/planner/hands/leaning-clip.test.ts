import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { seededRandom, type SettingId, type TerminalId } from '../../switch/index.js';
import { bench, CLOSED, OPEN } from '../../testing/generated.js';
import { mapWithClips, someSwitch, withClips, wrongIn } from '../../testing/map-with-clips.js';
import { runs } from '../../testing/runs.js';
import { lowsAsk } from '../next/lows-left.js';

describe('a clip that leans on another lug', () => {
  it('makes no wrong map complete, on 12 switches: a join that low bundles alone tell of is read by itself', () => {
    let [wrong, open, disputed] = [0, 0, 0];
    for (let sample = 0; sample < 12; sample += 1) {
      const random = seededRandom(sample + 1);
      const { lugs, hidden } = someSwitch(random);
      for (let fault = 0; fault < runs(8); fault += 1) {
        const on = withClips(lugs, hidden.length, sample + 1);
        const place = Math.floor(random() * lugs);
        const clip = on.terminals[place] as TerminalId;
        const onto = on.terminals[(place + 1 + Math.floor(random() * (lugs - 1))) % lugs] as TerminalId;
        const from = fault % 2 === 0 ? 0 : Math.floor(random() * 20);
        const until = fault % 4 === 3 ? from + 3 : Infinity;
        const leans = [{ clip, onto, from, until }];
        const { map, plans } = mapWithClips(hidden, on, { failures: [], leans, truthful: true });
        disputed += plans.includes('disputed') ? 1 : 0;
        if (!map.complete) open += 1;
        else if (wrongIn(map, hidden, on) > 0) wrong += 1;
      }
    }
    expect(wrong).toBe(0);
    // What contradicts is taken out, and nothing is left open; the faults were there.
    expect(open).toBe(0);
    expect(disputed).toBeGreaterThan(runs(8) * 4);
  });

  it('never asks a pair by itself where pairs were read, or where the bundle only says what they say', () => {
    const on = bench(5, 1);
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [1, 2],
      [3, 4],
      [0, 3],
      [0, 4],
      [1, 3],
      [1, 4],
      [2, 3],
      [2, 4],
    ] as const)
      // prettier-ignore
      on.read(0, a, b, a + b === 1 ? CLOSED : OPEN);
    on.bundle(0, [0, 2], [1, 3], CLOSED);
    const map = deriveMap(on.events);
    expect(map.complete).toBe(true);
    expect(lowsAsk(map, on.settings)).toBeNull();
  });

  it('asks the join first, then what was known to be apart by it alone', () => {
    const on = bench(3, 1);
    on.bundle(0, [0, 1], [2], CLOSED);
    on.read(0, 1, 2, OPEN);
    const before = deriveMap(on.events);
    expect(before.settings.get(on.settings[0] as SettingId)?.coverage.unknown).toBe(0);
    expect(before.complete).toBe(false);
    const [zero, , two] = on.terminals;
    expect(lowsAsk(before, on.settings)).toMatchObject({ kind: 'pair', red: zero, black: two });
    on.read(0, 0, 2, CLOSED);
    expect([deriveMap(on.events).complete, lowsAsk(deriveMap(on.events), on.settings)]).toEqual([true, null]);
  });
});
