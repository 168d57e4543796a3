import { createWriter, ORDINARY_METER, type Deed, type JobEvent } from '@which-way/core/log';
import { deriveMap } from '@which-way/core/continuity';
import { describe, expect, it } from 'vitest';
import { newId } from '../job/new-id.js';
import { aSwitch } from '../testing/a-switch.js';
import { reread } from './reread.js';

describe('a reading that is taken again', () => {
  it('joins where the wires are off; with the wires on a closed still proves nothing, and the old one is gone', () => {
    for (const inCircuit of [false, true]) {
      const { described, read, change } = aSwitch(2, 1);
      const first = read([0], [1], { kind: 'ohms', ohms: 22 }, { inCircuit });
      if (first.kind !== 'answered' || !first.readings[0]) throw new Error('not a reading');
      const again = reread(
        first.readings[0],
        { kind: 'ohms', ohms: 0.3 },
        { source: 'typed', inCircuit, beside: false },
      );
      const checked: Deed = {
        kind: 'meter-checked',
        leadsTogether: { kind: 'ohms', ohms: 0.2 },
        meter: ORDINARY_METER,
      };
      const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
      const events: JobEvent[] = [];
      for (const what of [described, checked, first, ...again]) events.push(writer.write(events, what));
      const [setting] = change.settings;
      const coverage = setting && deriveMap(events).settings.get(setting.id)?.coverage;
      expect(coverage).toMatchObject(
        inCircuit ? { unknown: 1, lookAgain: 0 } : { measured: 1, lookAgain: 0 },
      );
    }
  });
});
