import { describe, expect, it } from 'vitest';
import type { LoadId, SettingId } from '../switch/index.js';
import { seededRandom } from '../switch/index.js';
import { drawnContacts, drawnMachine, type Drawn } from '../testing/machines.js';
import {
  lookKey,
  nextTest,
  rankFaults,
  showsOf,
  singleFaults,
  SURE,
  type Healthy,
  type Observation,
  type Seen,
} from './faults.js';

const KILN: Drawn = {
  terminals: 'L N A B C',
  supplies: { mains: { kind: 'L', volts: 230 }, back: { kind: 'N', volts: null } },
  loads: {
    e1: { watts: 400, volts: 230 },
    e2: { watts: 400, volts: 230 },
  },
  wires: 'L>mains N>back A>e1.1 B>e1.2 B>e2.1 C>e2.2',
};
const SETTINGS: Healthy[] = [
  ['OFF', ''],
  ['LOW', 'L-A N-C'],
  ['MEDIUM', 'L-A N-B'],
  ['HIGH', 'L-B N-A-C'],
].map(([name = '', joins = '']) => ({
  setting: name as SettingId,
  nets: drawnContacts(KILN.terminals, joins).nets,
}));
const machine = drawnMachine(KILN);

describe('which fault explains what was seen', () => {
  it('an open element and a dead contact are told apart by the look that is asked for', () => {
    // Warm on HIGH, never hot: one of the two does not burn.
    const seen: Observation[] = [{ setting: 'HIGH' as SettingId, load: 'e2' as LoadId, seen: 'off' }];
    const first = rankFaults(machine, SETTINGS, seen);
    const likely = first.filter(({ chance }) => chance > 0.05).map(({ fault }) => fault.kind);
    expect(likely).toEqual(expect.arrayContaining(['load-open', 'never-closes']));
    expect(nextTest(machine, SETTINGS, first, seen)).toMatchObject({ kind: 'look' });
    // In series at LOW an open element leaves the other cold too.
    const more: Observation[] = [
      ...seen,
      { setting: 'LOW' as SettingId, load: 'e1' as LoadId, seen: 'off' },
      { setting: 'MEDIUM' as SettingId, load: 'e1' as LoadId, seen: 'right' },
      { setting: 'HIGH' as SettingId, load: 'e1' as LoadId, seen: 'right' },
    ];
    const after = rankFaults(machine, SETTINGS, more);
    // N to C is used there and nowhere else: no look tells it from the element, a reading does.
    const [one, other] = after;
    const two = [one?.fault, other?.fault];
    expect(two).toContainEqual({ kind: 'load-open', load: 'e2' });
    expect(two).toContainEqual({ kind: 'never-closes', contact: [1, 4] });
    const all = after.flatMap(({ shows }) => [...shows.keys()]).map((key) => key.split(' '));
    const looked = all.map(([setting = '', load = '']): Observation => ({
      ...{ setting: setting as SettingId, load: load as LoadId, seen: 'right' },
    }));
    const next = nextTest(machine, SETTINGS, after, looked);
    expect(next).toMatchObject({ kind: 'read' });
    if (next?.kind !== 'read') throw new Error('a reading is asked for');
    const proved = rankFaults(machine, SETTINGS, more, [{ ...next, joins: true }]);
    expect(proved[0]?.fault).toEqual({ kind: 'load-open', load: 'e2' });
  });

  it('each single fault is found from its first symptom, by looks alone, among those that show the very same', () => {
    const sameShows = (a: ReadonlyMap<string, Seen>, b: ReadonlyMap<string, Seen>) =>
      [...a].every(([key, seen]) => b.get(key) === seen);
    const healthy = showsOf(machine, SETTINGS, { kind: 'none' });
    let [cases, looks] = [0, 0];
    for (const fault of singleFaults(machine, SETTINGS)) {
      const truth = showsOf(machine, SETTINGS, fault);
      const symptom = [...truth].find(([key, seen]) => healthy.get(key) !== seen);
      if (!symptom) continue;
      cases += 1;
      const observe = (key: string): Observation => {
        const [setting = '', load = ''] = key.split(' ');
        return { setting: setting as SettingId, load: load as LoadId, seen: truth.get(key) ?? 'off' };
      };
      const seen = [observe(symptom[0])];
      for (let step = 0; step < 8; step += 1) {
        const next = nextTest(machine, SETTINGS, rankFaults(machine, SETTINGS, seen), seen);
        if (next?.kind !== 'look') break;
        looks += 1;
        seen.push(observe(lookKey(next.setting, next.load)));
      }
      const [best] = rankFaults(machine, SETTINGS, seen);
      expect([fault, sameShows(truth, best?.shows ?? new Map())]).toEqual([fault, true]);
    }
    expect(cases).toBeGreaterThan(15);
    // Eight cells there are; fewer are asked for.
    expect(looks / cases).toBeLessThan(5);
  });

  it('nothing more is asked once it is sure, and answers that are wrong now and then do not end it', () => {
    const random = seededRandom(11);
    const fault = { kind: 'load-open', load: 'e1' as LoadId } as const;
    const truth = showsOf(machine, SETTINGS, fault);
    const seen = [...truth].map(([key, what]): Observation => {
      const [setting = '', load = ''] = key.split(' ');
      const told: Seen = random() < 0.05 ? 'weak' : what;
      return { setting: setting as SettingId, load: load as LoadId, seen: told };
    });
    const ranked = rankFaults(machine, SETTINGS, seen);
    expect(ranked.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    expect(ranked[0]?.fault).toEqual(fault);
    expect(nextTest(machine, SETTINGS, [{ ...ranked[0], chance: SURE } as never], [])).toBeNull();
  });
});
