import { describe, expect, it } from 'vitest';
import type { LoadId, SettingId } from '../switch/index.js';
import { drawnContacts, drawnMachine, type Drawn } from './drawn.js';
import {
  faultModel,
  lookKey,
  nextTest,
  NO_EVIDENCE,
  rankFaults,
  SURE,
  type ContactRead,
  type Healthy,
  type Observation,
  type PartTried,
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
const model = faultModel(machine, SETTINGS);
const looked = (...seen: [setting: string, load: string, what: Observation['seen']][]): Observation[] =>
  seen.map(([setting, load, what]) => ({ setting: setting as SettingId, load: load as LoadId, seen: what }));

describe('which fault explains what was seen', () => {
  it('an open element and a dead contact show the very same: a look does not tell them apart, a reading or a trial does', () => {
    // Warm on HIGH, never hot: one of the two does not burn.
    const seen = looked(['HIGH', 'e2', 'off']);
    const first = rankFaults(model, { ...NO_EVIDENCE, seen });
    expect(first.filter(({ chance }) => chance > 0.05).map(({ fault }) => fault.kind)).toEqual(
      expect.arrayContaining(['load-open', 'never-closes']),
    );
    expect(nextTest(model, first, { ...NO_EVIDENCE, seen })).toMatchObject({ kind: 'look' });
    const all: Observation[] = [
      ...looked(['OFF', 'e1', 'off'], ['OFF', 'e2', 'off'], ['LOW', 'e1', 'off'], ['LOW', 'e2', 'off']),
      ...looked(
        ['MEDIUM', 'e1', 'right'],
        ['MEDIUM', 'e2', 'right'],
        ['HIGH', 'e1', 'right'],
        ['HIGH', 'e2', 'off'],
      ),
    ];
    const after = rankFaults(model, { ...NO_EVIDENCE, seen: all });
    const two = after.slice(0, 2).map(({ fault }) => fault);
    expect(two).toContainEqual({ kind: 'load-open', load: 'e2' });
    expect(two).toContainEqual({ kind: 'never-closes', contact: [1, 4] });
    expect(['read', 'try']).toContain(nextTest(model, after, { ...NO_EVIDENCE, seen: all })?.kind);
    const read = [{ setting: 'LOW' as SettingId, contact: [1, 4] as const, joins: true }];
    const proved = rankFaults(model, { seen: all, read, tried: [] });
    expect(proved[0]?.fault).toEqual({ kind: 'load-open', load: 'e2' });
    const tried = [{ part: 'e2' as LoadId, whole: true }];
    const other = rankFaults(model, { seen: all, read: [], tried });
    expect(other[0]?.fault).toEqual({ kind: 'never-closes', contact: [1, 4] });
  });

  it('each single fault is found from its first symptom, whatever it is, in a few tests', () => {
    let [cases, tests, seconds] = [0, 0, 0];
    for (const truth of model.faults) {
      const symptom = [...truth.shows].find(([key, seen]) => model.healthy.get(key) !== seen);
      if (!symptom) continue;
      cases += 1;
      const observe = (setting: string, load: string): Observation => ({
        ...{ setting: setting as SettingId, load: load as LoadId },
        seen: truth.shows.get(lookKey(setting as SettingId, load as LoadId)) ?? 'off',
      });
      const [setting = '', load = ''] = symptom[0].split(' ');
      const found = { seen: [observe(setting, load)], read: [] as ContactRead[], tried: [] as PartTried[] };
      for (let step = 0; step < 30; step += 1) {
        const next = nextTest(model, rankFaults(model, found), found);
        if (!next) break;
        tests += 1;
        seconds += next.seconds;
        if (next.kind === 'look') found.seen.push(...next.loads.map((one) => observe(next.setting, one)));
        else if (next.kind === 'read')
          found.read.push({ ...next, joins: truth.joins(next.setting, next.contact) });
        else found.tried.push({ part: next.part, whole: truth.whole(next.part) });
      }
      const [best] = rankFaults(model, found);
      const same = [...truth.shows].every(([key, seen]) => best?.shows.get(key) === seen);
      expect([truth.fault, same]).toEqual([truth.fault, true]);
    }
    expect(cases).toBeGreaterThan(15);
    // Every look there is, every contact in every setting, every part: more than thirty.
    expect(tests / cases).toBeLessThan(7);
    expect(seconds).toBeGreaterThan(0);
  });

  it('nothing more is asked once it is sure, and a look that was wrong does not end it', () => {
    const truth = model.faults.find(({ fault }) => fault.kind === 'load-open' && fault.load === 'e1');
    const seen = [...(truth?.shows ?? [])].map(([key, what], at): Observation => {
      const [setting = '', load = ''] = key.split(' ');
      return { setting: setting as SettingId, load: load as LoadId, seen: at === 2 ? 'weak' : what };
    });
    const tried = [{ part: 'e1' as LoadId, whole: false }];
    const ranked = rankFaults(model, { seen, read: [], tried });
    expect(ranked.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    expect(ranked[0]?.fault).toEqual({ kind: 'load-open', load: 'e1' });
    expect(nextTest(model, [{ ...ranked[0], chance: SURE } as never], NO_EVIDENCE)).toBeNull();
  });

  it('a bridge between two throws explains what both show, in every reading of the map', () => {
    const drawn: Drawn = {
      terminals: '1 2 3',
      supplies: {
        plus: { kind: '+', volts: 12, current: 'DC' },
        minus: { kind: '0', volts: null, current: 'DC' },
      },
      loads: { bow: { volts: 12, watts: 25, current: 'DC' }, stern: { volts: 12, watts: 25, current: 'DC' } },
      wires: '2>plus 1>bow.1 3>stern.1 bow.2>minus stern.2>minus',
    };
    const settings = ['1-2', '2-3'].map((joins, at): Healthy => ({
      ...{ setting: `s${at}` as SettingId, nets: drawnContacts(drawn.terminals, joins).nets },
    }));
    const pairs = [[0, 1], [0, 2], [1, 2]] as const; // prettier-ignore
    const read = settings.flatMap(({ setting }) =>
      pairs.map((contact) => ({ setting, contact, joins: true })),
    );
    const ranked = rankFaults(faultModel(drawnMachine(drawn), settings), {
      ...{ seen: looked(['s0', 'stern', 'on'], ['s1', 'bow', 'on']), read, tried: [] },
    });
    expect(ranked[0]).toMatchObject({ fault: { kind: 'never-opens', contact: [0, 2] }, explains: 2 });
  });
});
