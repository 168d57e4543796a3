import { describe, expect, it } from 'vitest';
import { liveEvents, readLog, type Value } from '../log/index.js';
import { atTheKeys } from '../testing/at-the-keys.js';
import { bench, CLOSED, OPEN, type Bench } from '../testing/generated.js';

const MIDDLE: Value = { kind: 'ohms', ohms: 150 };

/** The settings of the readings that were answered last, by their number. */
const lastAt = (on: Bench): number[] =>
  (liveEvents(readLog(on.events), 'answered').at(-1)?.what.readings ?? []).map(({ setting }) =>
    on.settings.indexOf(setting),
  );

describe('a pair that is typed while something is settled', () => {
  it.each<[string, number, (on: Bench) => void]>([
    ['looked at again', 0, (on) => on.read(0, 0, 1, MIDDLE)],
    ['looked at again in the other position', 1, (on) => on.read(1, 0, 1, MIDDLE)],
  ])('belongs to the position of the prompt, wherever the handle was: %s', (_, asked, odd) => {
    const on = bench(2, 2);
    odd(on);
    on.read(1 - asked, 0, 1, OPEN);
    const keys = atTheKeys(on, [[0, 0], [0, 1]], { sense: 'ohms' }); // prettier-ignore
    const { task, at } = keys.moment();
    expect(task).toMatchObject({ kind: 'plan', plan: { kind: 'look-again', setting: on.settings[asked] } });
    expect(at).toBe(on.settings[1 - asked]);
    keys.press(...'1-2=0.3', 'Enter');
    expect(lastAt(on)).toEqual([asked]);
  });

  it('belongs to the position whose readings contradict', () => {
    const on = bench(3, 2);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 1, 2, CLOSED);
    on.read(0, 0, 2, OPEN);
    for (const [a, b] of [[0, 1], [0, 2], [1, 2]] as const) on.read(1, a, b, OPEN); // prettier-ignore
    const keys = atTheKeys(on, [[0, 0, 0], [0, 1, 2]], { sense: 'ohms' }); // prettier-ignore
    expect(keys.moment().task).toMatchObject({ plan: { kind: 'disputed', setting: on.settings[0] } });
    keys.press(...'1-3=0.3', 'Enter');
    expect(lastAt(on)).toEqual([0]);
  });
});
