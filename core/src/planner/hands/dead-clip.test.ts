import { describe, expect, it } from 'vitest';
import { deriveMap, factAt } from '../../continuity/index.js';
import { partitionFromGroups } from '../../partition/index.js';
import { seededRandom, type ReadingId, type SettingId, type TerminalId } from '../../switch/index.js';
import { bench, CLOSED, OPEN } from '../../testing/generated.js';
import { mapWithClips, someSwitch, withClips, wrongIn } from '../../testing/map-with-clips.js';
import { runs } from '../../testing/runs.js';
import { planNext } from '../next/plan.js';
import { suspectClips } from '../next/suspects.js';

describe('a clip that makes no contact', () => {
  it('makes no wrong map complete where every closing touch is answered truthfully, on 12 switches', () => {
    let [voided, bundled] = [0, 0];
    for (let sample = 0; sample < 12; sample += 1) {
      const random = seededRandom(sample + 1);
      const { lugs, hidden } = someSwitch(random);
      for (let fault = 0; fault < runs(8); fault += 1) {
        const on = withClips(lugs, hidden.length, sample + 1);
        const clip = on.terminals[Math.floor(random() * lugs)] as TerminalId;
        const failure = { clip, from: Math.floor(random() * 20), every: 1 + Math.floor(random() * 2) };
        // Every fourth time another clip fails too.
        const other = on.terminals[Math.floor(random() * lugs)] as TerminalId;
        const failures =
          fault % 4 === 3 && other !== clip ? [failure, { ...failure, clip: other, from: 2 }] : [failure];
        // Every third time the clips come off untouched in the middle.
        const hasty = fault % 3 === 2;
        const { map } = mapWithClips(hidden, on, { failures, truthful: true, hasty });
        expect(map.complete).toBe(true);
        expect(wrongIn(map, hidden, on)).toBe(0);
        bundled += map.clips.uses.length > 0 ? 1 : 0;
        voided += map.clips.uses.some(({ standing }) => standing === 'silent') ? 1 : 0;
      }
    }
    // The faults were there: most runs tie terminals, and many lose what hung on a loose clip.
    expect(bundled).toBeGreaterThan(runs(8) * 10);
    expect(voided).toBeGreaterThan(runs(8) * 3);
  });

  it('costs at most one more touch a clip and run where nothing fails', () => {
    let most = 0;
    for (let sample = 0; sample < 12; sample += 1) {
      const { lugs, hidden } = someSwitch(seededRandom(sample + 1));
      const on = withClips(lugs, hidden.length, sample + 1);
      const { map, closings } = mapWithClips(hidden, on, { failures: [], truthful: true });
      expect(map.complete).toBe(true);
      expect(wrongIn(map, hidden, on)).toBe(0);
      // A use is what one clip did between two proofs: none is touched twice for it.
      expect(closings).toBeLessThanOrEqual(map.clips.uses.length);
      most = Math.max(most, closings);
    }
    expect(most).toBeGreaterThan(0);
  });

  it('that came off untouched is not proved: its map is not complete until what rests on it is read again', () => {
    const { hidden } = { hidden: [partitionFromGroups(8, [[2, 6]]), partitionFromGroups(8, [[1, 7]])] };
    const on = withClips(8, 2, 5);
    const failure = { clip: on.terminals[2] as TerminalId, from: 1, every: 1 };
    const { map, plans } = mapWithClips(hidden, on, { failures: [failure], truthful: true, hasty: true });
    expect(plans).toContain('clips-unproved');
    expect(map.complete).toBe(true);
    expect(wrongIn(map, hidden, on)).toBe(0);
  });

  it('is named where it explains a contradiction, and all that was parted through it is in dispute', () => {
    // Clips on six of twelve, the one on 2 loose after it was touched; 2 and 6 are joined, and only later read.
    const on = bench(12, 2);
    const id = (place: number) => on.terminals[place] as TerminalId;
    const red = [0, 1, 2, 3, 4, 5];
    on.add({ kind: 'clips-touched', red: red.map(id), black: [], silent: [] });
    for (const setting of [0, 1])
      for (let lone = 6; lone < 12; lone += 1) on.bundle(setting, red, [lone], OPEN);
    on.add({ kind: 'clips-touched', red: red.map(id), black: [], silent: [], touched: red.map(id) });
    const fact = (setting: number, a: number, b: number) => {
      const settled = deriveMap(on.events).settings.get(on.settings[setting] as SettingId)?.settled;
      return settled ? factAt(settled, a, b).state : 'none';
    };
    expect([fact(0, 2, 6), fact(0, 2, 9), fact(1, 2, 6), fact(0, 1, 6)]).toEqual(Array(4).fill('follows'));
    on.read(0, 2, 6, { kind: 'ohms', ohms: 0.4 });
    const map = deriveMap(on.events);
    const [only, ...more] = map.settings.get(on.settings[0] as SettingId)?.settled.contradictions ?? [];
    if (!only) throw new Error('no contradiction');
    expect(more).toEqual([]);
    const [clip, ...others] = suspectClips(map, on.settings[0] as SettingId, only);
    expect([clip?.terminal, others]).toEqual([id(2), []]);
    // In every position what hung on it is in dispute; what other clips parted elsewhere stands.
    expect([fact(0, 2, 9), fact(1, 2, 6), fact(0, 1, 9), fact(1, 1, 6)]).toEqual([
      ...['disputed', 'disputed', 'follows', 'follows'],
    ]);
    on.add({
      kind: 'clips-doubted',
      clips: (clip?.uses ?? []).map(({ terminal, readings }) => ({ terminal, readings })),
    });
    expect(deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled.contradictions).toEqual(
      [],
    );
    expect([fact(0, 2, 6), fact(0, 2, 9), fact(1, 2, 6), fact(0, 1, 6)]).toEqual([
      ...['measured', 'unknown', 'unknown', 'follows'],
    ]);
  });

  it('taking out one bundle does not make its map complete: the others through the clip are not proved either', () => {
    const on = bench(4, 1);
    const id = (place: number) => on.terminals[place] as TerminalId;
    on.add({ kind: 'clips-touched', red: [id(0), id(1)], black: [], silent: [] });
    const first = on.bundle(0, [0, 1], [2], OPEN);
    on.bundle(0, [0, 1], [3], OPEN);
    on.read(0, 0, 2, CLOSED);
    on.read(0, 0, 1, OPEN);
    on.add({ kind: 'superseded', reading: first.id as ReadingId, replacement: null, source: 'typed' });
    on.read(0, 1, 2, OPEN);
    on.read(0, 2, 3, OPEN);
    const map = deriveMap(on.events);
    expect(map.settings.get(on.settings[0] as SettingId)?.coverage).toMatchObject({
      unknown: 0,
      disputed: 0,
    });
    expect(map.complete).toBe(false);
    expect(planNext(map, null)).toMatchObject({ kind: 'clips-unproved' });
  });

  it('is proved by a low that can only have come through it', () => {
    const on = bench(4, 1);
    const id = (place: number) => on.terminals[place] as TerminalId;
    on.add({ kind: 'clips-touched', red: [id(0), id(1)], black: [], silent: [] });
    on.bundle(0, [0, 1], [2], OPEN);
    on.bundle(0, [0, 1], [3], CLOSED);
    const standing = () =>
      deriveMap(on.events).clips.uses.map(({ terminal, standing: now }) => [
        on.terminals.indexOf(terminal),
        now,
      ]);
    on.read(0, 0, 1, OPEN);
    expect(standing()).toEqual([
      [0, 'unproved'],
      [1, 'unproved'],
    ]);
    on.read(0, 1, 3, OPEN);
    expect(standing()).toEqual([
      [0, 'proved'],
      [1, 'unproved'],
    ]);
  });
});
