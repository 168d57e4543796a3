import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { PLAIN_APPROACH } from '../../log/index.js';
import type { SettingId } from '../../switch/index.js';
import { bench } from '../../testing/generated.js';
import { writtenPattern } from '../../testing/written-pattern.js';
import { expectedCourse } from './forecast.js';
import { keysOf, turnsOf } from './keys-and-turns.js';

const labels = { terminals: [1, 1, 1, 2, 2], settings: [1, 1] };
const joined = (_: number, a: number, b: number) => a === 0 && b >= 2;

describe('keys and turns, counted by hand', () => {
  it('a single reading is one key; of a sweep each that sounded is named, and one key ends it', () => {
    const sweep = { kind: 'sweep', setting: 0, red: 0, black: [1, 2, 3] } as const;
    // 2 by its one letter and Enter, 3 by its two and Enter, then the end.
    expect(keysOf({ ...sweep, black: [1, 2, 3] }, [1, 2, 3], { joined, labels })).toBe(2 + 3 + 1);
    expect(keysOf({ ...sweep, black: [1] }, [1], { joined, labels })).toBe(1);
    expect(keysOf({ ...sweep, black: [1, 2] }, [], { joined, labels })).toBe(0);
  });

  it('a pair held through settings names the settings in which it sounded', () => {
    const hold = { kind: 'hold', red: [0], black: [2], settings: [0, 1] } as const;
    expect(keysOf({ ...hold, red: [0], black: [2], settings: [0, 1] }, [0, 1], { joined, labels })).toBe(
      2 + 2 + 1,
    );
    expect(turnsOf({ ...hold, red: [0], black: [2], settings: [0, 1] }, { setting: 0 })).toBe(1);
    expect(turnsOf({ ...hold, red: [0], black: [2], settings: [1, 0] }, { setting: 0 })).toBe(2);
    expect(turnsOf({ kind: 'sweep', setting: 1, red: 0, black: [1] }, { setting: null })).toBe(1);
  });

  it('of an on-off of two lugs in two positions known from outside: two single readings, one turn', () => {
    const on = bench(2, 2);
    const pattern = writtenPattern('- | ab');
    const outlook = { hypotheses: [{ name: 'on-off', pattern }] };
    const course = (order: 'position' | 'pair') =>
      expectedCourse(deriveMap(on.events), on.settings[0] as SettingId, outlook, {
        ...PLAIN_APPROACH,
        order,
      });
    expect(course('position')).toMatchObject({ acts: 2, keys: 2, turns: 1 });
    // Held, it is one act: the setting in which it sounded is named.
    expect(course('pair')).toMatchObject({ acts: 1, keys: 3, turns: 1 });
  });
});
