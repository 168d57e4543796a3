import { describe, expect, it } from 'vitest';
import { deriveMap, factAt } from '../../continuity/index.js';
import { partitionFromGroups } from '../../partition/index.js';
import type { Ask } from '../../log/index.js';
import type { ReadingId, SettingId } from '../../switch/index.js';
import { bench, CLOSED, mapHidden, OPEN, SOUNDED, type Bench } from '../../testing/generated.js';
import { answerTo } from '../field/answer.js';
import { planNext } from './plan.js';
import { readTheSame, tellTaleOf } from './tell-tale.js';
import { returnSweep } from './return-sweep.js';

const selector = [1, 2, 3, 4].map((way) => partitionFromGroups(5, [[0, way]]));

describe('the pair that tells a position', () => {
  it('joins there and nowhere else where there is such a pair; there is none where all read the same', () => {
    const on = bench(5, 4);
    const { map } = mapHidden(selector, on);
    on.settings.forEach((setting, index) => {
      expect(tellTaleOf(map, setting)).toEqual({ a: 0, b: index + 1, joined: true, others: 3 });
    });
    const same = bench(3, 2);
    const dull = mapHidden([partitionFromGroups(3, [[0, 1]]), partitionFromGroups(3, [[0, 1]])], same).map;
    expect(tellTaleOf(dull, same.settings[0] as SettingId)).toBeNull();
    expect(readTheSame(dull)).toEqual([{ one: same.settings[0], other: same.settings[1] }]);
  });

  it('tells from both neighbours before any number of others; nothing is the same until all of it is known', () => {
    const on = bench(4, 3);
    const hidden = [
      partitionFromGroups(4, [[0, 1, 2]]),
      partitionFromGroups(4, [
        [0, 1],
        [2, 3],
      ]),
      partitionFromGroups(4, [[0, 3]]),
    ];
    expect(readTheSame(deriveMap(on.events))).toEqual([]);
    const { map } = mapHidden(hidden, on);
    // 0 and 1 join in the first as well; 2 and 3 in the middle one alone.
    expect(tellTaleOf(map, on.settings[1] as SettingId)).toEqual({ a: 2, b: 3, joined: true, others: 2 });
  });
});

describe('the way back', () => {
  /** Goes back as the plan asks, with what `says` finds at each position. */
  function goBack(on: Bench, says: (setting: number) => boolean): number[] {
    on.add({ kind: 'return-begun' });
    const visited: number[] = [];
    for (let guard = 0; guard < 20; guard += 1) {
      const plan = planNext(deriveMap(on.events), null);
      if (plan.kind !== 'ask' || plan.why !== 'return') return visited;
      const ask = plan.ask as Extract<Ask, { kind: 'pair' }>;
      const at = on.settings.indexOf(ask.setting);
      visited.push(at);
      const prompt = { id: on.newId<never>(), ask };
      on.add({ kind: 'prompt-shown', prompt });
      const values = new Map([[ask.black, says(at) ? CLOSED : OPEN]]);
      on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
    }
    throw new Error('no end');
  }

  it('goes from the last position but one to the first, one pair each, and says what was the same', () => {
    const on = bench(5, 4);
    mapHidden(selector, on);
    expect(goBack(on, () => true)).toEqual([2, 1, 0]);
    const map = deriveMap(on.events);
    expect(returnSweep(map)).toEqual({
      same: [2, 1, 0].map((at) => on.settings[at]),
      otherwise: [],
      left: [],
    });
    expect(map.complete).toBe(true);
  });

  it('finds a contact that makes from one side only: neither joins nor parts until a person says what it is', () => {
    const on = bench(5, 4);
    mapHidden(selector, on);
    goBack(on, (setting) => setting !== 1);
    const map = deriveMap(on.events);
    expect(returnSweep(map).otherwise).toEqual([on.settings[1]]);
    const settled = map.settings.get(on.settings[1] as SettingId)?.settled;
    expect(settled?.lookAgain).toMatchObject([{ a: 0, b: 2, because: 'direction' }]);
    expect(settled?.contradictions).toEqual([]);
    expect(map.complete).toBe(false);
    const readings = settled?.lookAgain[0]?.readings as ReadingId[];
    expect(readings.length).toBeGreaterThan(1);
    on.add({ kind: 'explained', readings, as: 'contact', note: '' });
    expect(deriveMap(on.events).complete).toBe(true);
  });
});

describe('a tone through a part', () => {
  it('says nothing any more once the ohms there are accepted to be a part; a bad contact is still a contact', () => {
    for (const as of ['part', 'contact'] as const) {
      const on = bench(2, 1);
      on.read(0, 0, 1, SOUNDED);
      const ohms = on.read(0, 1, 0, { kind: 'ohms', ohms: 20 });
      on.add({ kind: 'explained', readings: [ohms.id], as, note: '' });
      const settled = deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled;
      expect(settled?.contradictions).toEqual([]);
      expect(settled && factAt(settled, 0, 1).joined).toBe(as === 'contact');
    }
  });
});

describe('positions that are one', () => {
  it('count together after merging, and apart again when that is undone', () => {
    const on = bench(3, 3);
    on.read(0, 0, 1, CLOSED);
    on.read(2, 1, 2, OPEN);
    const before = deriveMap(on.events);
    const positions = before.structure.actuators[0]?.positions.map(({ id }) => id) ?? [];
    const change = {
      change: 'position-merged' as const,
      position: positions[2] as never,
      into: positions[0] as never,
    };
    const merging = on.add({ kind: 'restructured', change, basedOn: null });
    const merged = deriveMap(on.events);
    expect(merged.structure.settings.map(({ id }) => id)).toEqual(on.settings.slice(0, 2));
    expect(merged.settings.get(on.settings[0] as SettingId)?.coverage).toMatchObject({
      unknown: 0,
      follows: 1,
    });
    expect(merged.tape.every(({ standing }) => standing === 'counts')).toBe(true);
    on.add({ kind: 'withdrawn', target: merging.id, basedOn: null });
    expect(deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.coverage).toMatchObject({
      unknown: 2,
    });
  });

  it('that are merged into each other by a chain still end somewhere', () => {
    const on = bench(2, 3);
    on.read(2, 0, 1, CLOSED);
    const ids = deriveMap(on.events).structure.actuators[0]?.positions.map(({ id }) => id) ?? [];
    for (const [position, into] of [
      [2, 1],
      [1, 0],
    ] as const)
      on.add({
        kind: 'restructured',
        change: { change: 'position-merged', position: ids[position] as never, into: ids[into] as never },
        basedOn: null,
      });
    const map = deriveMap(on.events);
    expect(map.tape[0]?.reading.setting).toBe(on.settings[0]);
    expect(map.complete).toBe(true);
  });
});
