import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import type { SettingId } from '../switch/index.js';
import { bench, CLOSED } from '../testing/generated.js';
import { reread } from './reread.js';

describe('a reading that is taken again', () => {
  it('joins where the wires are off; with the wires on a closed still proves nothing, and the old one is gone', () => {
    for (const inCircuit of [false, true]) {
      const on = bench(2, 1);
      const first = on.read(0, 0, 1, { kind: 'ohms', ohms: 22 });
      const again = reread(first, CLOSED, { source: 'typed', inCircuit, beside: false }, on.newId);
      for (const deed of again) on.add(deed);
      const coverage = deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.coverage;
      expect(coverage).toMatchObject(
        inCircuit ? { unknown: 1, lookAgain: 0 } : { measured: 1, lookAgain: 0 },
      );
    }
  });
});
