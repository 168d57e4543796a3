import { describe, expect, it } from 'vitest';
import { deriveMap, factAt } from '../../continuity/index.js';
import { partitionFromGroups } from '../../partition/index.js';
import { PLAIN_APPROACH } from '../../log/index.js';
import { type SettingId } from '../../switch/index.js';
import { bench, CLOSED, mapHidden, type Bench } from '../../testing/generated.js';
import { planNext } from './plan.js';

/** Two wafers of four lugs, two positions; nothing joins across unless `across`. */
const hidden = (across = false) => [
  partitionFromGroups(8, [[0, 1], [4, 5], ...(across ? [[0, 4]] : [])]),
  partitionFromGroups(8, [
    [0, 2],
    [4, 6],
  ]),
];

function assuming(clips = 0): Bench {
  const on = bench(8, 2);
  if (clips > 0) on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, clips } });
  const blocks = [on.terminals.slice(0, 4), on.terminals.slice(4)];
  on.add({ kind: 'assumed', assumption: { kind: 'blocks-apart', blocks }, by: '' });
  return on;
}

describe('wafers that are assumed not to touch', () => {
  it('are marked so, are left to the end, and count as settled only when they are read', () => {
    const on = assuming();
    const before = deriveMap(on.events);
    const settled = before.settings.get(on.settings[0] as SettingId)?.settled;
    expect(settled && factAt(settled, 0, 4)).toMatchObject({ state: 'assumed', joined: false });
    expect(before.settings.get(on.settings[0] as SettingId)?.coverage).toMatchObject({
      assumed: 16,
      unknown: 12,
    });
    let acrossFrom = -1;
    let [prompts, complete] = [0, false];
    const { map, asked } = mapHidden(hidden(), on, {
      onPrompt: (now) => {
        const plan = planNext(now, null);
        if (acrossFrom < 0 && plan.kind === 'ask' && plan.reason === 'assumed') acrossFrom = prompts;
        if (acrossFrom < 0) complete ||= now.complete;
        prompts += 1;
      },
    });
    expect(acrossFrom).toBeGreaterThan(0);
    expect(complete).toBe(false);
    expect(map.complete).toBe(true);
    const isAcross = (one: string) => {
      const [, red, black] = one.split(' ').map(Number) as [number, number, number];
      return red < 4 !== black < 4;
    };
    const first = asked.findIndex(isAcross);
    expect(asked.slice(first).every(isAcross)).toBe(true);
  });

  it('are read by one bundle for each position where there are clips for both', () => {
    const on = assuming(8);
    const { map, asked } = mapHidden(hidden(), on);
    expect(map.complete).toBe(true);
    const bundles = asked.filter((one) => one.includes('+'));
    expect(bundles.map((one) => one.split(' ').slice(1).join(' | '))).toEqual([
      '0+1+2+3 | 4+5+6+7',
      '0+1+2+3 | 4+5+6+7',
    ]);
  });

  it('give way to what is read: a join across stands, and a low bundle is resolved in pairs', () => {
    const on = assuming();
    on.read(0, 0, 4, CLOSED);
    const settled = deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled;
    expect(settled && factAt(settled, 0, 4)).toMatchObject({ state: 'measured', joined: true });
    const clipped = assuming(8);
    const { map } = mapHidden(hidden(true), clipped);
    expect(map.complete).toBe(true);
    const found = map.settings.get(clipped.settings[0] as SettingId)?.settled;
    expect(found && factAt(found, 1, 5).joined).toBe(true);
  });

  it('taken back, are unknown again', () => {
    const on = assuming();
    const made = on.events.at(-1);
    on.add({ kind: 'withdrawn', target: made?.id as never, basedOn: null });
    const settled = deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled;
    expect(settled && factAt(settled, 0, 4).state).toBe('unknown');
  });
});
