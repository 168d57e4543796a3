import { describe, expect, it } from 'vitest';
import type { LoadId, SettingId } from '../../switch/index.js';
import { answered } from '../../testing/hunting.js';
import { drawnContacts, drawnCircuit, type Drawn } from '../wiring/drawn.js';
import {
  complaintOf,
  faultModel,
  lookKey,
  nextTest,
  NO_EVIDENCE,
  rankFaults,
  SURE,
  toldOf,
  type HuntEvidence,
  type FaultModel,
  type Healthy,
  type Observation,
} from './index.js';

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
const machine = drawnCircuit(KILN);
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
    expect(['probe', 'read', 'try']).toContain(nextTest(model, after, { ...NO_EVIDENCE, seen: all })?.kind);
    const read = [
      { setting: 'LOW' as SettingId, contact: [1, 4] as const, joins: true, by: 'ohms' as const },
    ];
    const proved = rankFaults(model, { ...NO_EVIDENCE, seen: all, read });
    expect(proved[0]?.fault).toEqual({ kind: 'load-open', load: 'e2' });
    const tried = [{ part: 'e2' as LoadId, whole: true }];
    const other = rankFaults(model, { ...NO_EVIDENCE, seen: all, tried });
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
      let found: HuntEvidence = { ...NO_EVIDENCE, seen: [observe(setting, load)] };
      for (let step = 0; step < 30; step += 1) {
        const next = nextTest(model, rankFaults(model, found), found);
        if (!next) break;
        tests += 1;
        seconds += next.seconds;
        found = answered(found, next, truth, model.healthy);
      }
      const [best] = rankFaults(model, found);
      const same = [...truth.shows].every(([key, seen]) => best?.shows.get(key) === seen);
      expect([truth.fault, same]).toEqual([truth.fault, true]);
    }
    expect(cases).toBeGreaterThan(15);
    // Every look there is, every contact in every setting, every part: more than thirty.
    expect(tests / cases).toBeLessThan(5);
    expect(seconds / cases).toBeLessThan(45);
  });

  it('nothing more is asked once it is sure, and a look that was wrong does not end it', () => {
    const truth = model.faults.find(({ fault }) => fault.kind === 'load-open' && fault.load === 'e1');
    const seen = [...(truth?.shows ?? [])].map(([key, what], at): Observation => {
      const [setting = '', load = ''] = key.split(' ');
      return { setting: setting as SettingId, load: load as LoadId, seen: at === 2 ? 'weak' : what };
    });
    const tried = [{ part: 'e1' as LoadId, whole: false }];
    const ranked = rankFaults(model, { ...NO_EVIDENCE, seen, tried });
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
      pairs.map((contact) => ({ setting, contact, joins: true, by: 'ohms' as const })),
    );
    const ranked = rankFaults(faultModel(drawnCircuit(drawn), settings), {
      ...{ ...NO_EVIDENCE, seen: looked(['s0', 'stern', 'on'], ['s1', 'bow', 'on']), read },
    });
    expect(ranked[0]).toMatchObject({ fault: { kind: 'never-opens', contact: [0, 2] }, explains: 2 });
  });
});

/** Places of the kiln by name: terminals, then the supplies, then the ends of the loads. */
const at = (name: string): number => {
  const terminal = KILN.terminals.split(' ').indexOf(name);
  return terminal >= 0 ? terminal : (machine.supplyNode.get(name) ?? machine.endNode.get(name) ?? -1);
};
const faultOf = (fault: FaultModel['faults'][number]['fault']) =>
  model.faults.find((one) => JSON.stringify(one.fault) === JSON.stringify(fault));
const reads = (setting: string, a: string, b: string, one = model.faults[0]) =>
  one?.conducts(setting as SettingId, at(a), at(b));

describe('a probe in the dead machine, its wires on', () => {
  it('reads what hangs together through contacts, through loads, or not at all', () => {
    expect(reads('OFF', 'mains', 'back')).toBe('open');
    // In series through both elements, and through one alone.
    expect(reads('LOW', 'mains', 'back')).toBe('ohms');
    expect(reads('MEDIUM', 'mains', 'e1 1')).toBe('closed');
    expect(reads('HIGH', 'back', 'e2 2')).toBe('closed');
    expect(reads('OFF', 'A', 'C')).toBe('ohms');
  });

  it('shows an open element, a wire that is off and a bad contact from places that are easy to reach', () => {
    const open = faultOf({ kind: 'load-open', load: 'e2' as LoadId });
    expect(reads('LOW', 'mains', 'back', open)).toBe('open');
    expect(reads('MEDIUM', 'mains', 'back', open)).toBe('ohms');
    const high = model.faults.find(({ fault }) => fault.kind === 'high' && fault.contact.includes(4));
    const dead = model.faults.find(({ fault }) => fault.kind === 'never-closes' && fault.contact.includes(4));
    expect(reads('LOW', 'back', 'e2 2', high)).toBe('ohms');
    expect(reads('LOW', 'back', 'e2 2', dead)).not.toBe('closed');
  });

  it('says nothing of places that a wire nobody has said of may join', () => {
    const unsaid = drawnCircuit({ ...KILN, wires: `${KILN.wires} C>?` });
    const [none] = faultModel({ ...unsaid, open: new Set([4]) }, SETTINGS).faults;
    expect(none?.conducts('OFF' as SettingId, at('mains'), at('back'))).toBe('open');
    expect(none?.conducts('OFF' as SettingId, at('mains'), at('C'))).toBeUndefined();
    expect(none?.conducts('HIGH' as SettingId, at('back'), at('e2 2'))).toBe('closed');
  });
});

describe('a complaint about a load', () => {
  it('says of each setting what it means there: never off where it should be off, else where it should run', () => {
    const says = (complaint: Parameters<typeof complaintOf>[3]) =>
      complaintOf(model.healthy, SETTINGS, 'e1' as LoadId, complaint).map(
        ({ setting, seen }) => `${setting} ${seen}`,
      );
    expect(says('never-off')).toEqual(['OFF on']);
    expect(says('never-on')).toEqual(['LOW off', 'MEDIUM off', 'HIGH off']);
    expect(says('sometimes')).toEqual(['LOW sometimes', 'MEDIUM sometimes', 'HIGH sometimes']);
  });

  it('never off: a contact is welded, or its lugs are bridged; in the kiln one alone cannot do it, and that shows', () => {
    const lamp: Drawn = {
      ...{ terminals: 'C 1', supplies: KILN.supplies, loads: { lamp: { watts: 40, volts: 230 } } },
      wires: 'C>mains 1>lamp.1 lamp.2>back',
    };
    const settings = ['', 'C-1'].map((joins, place): Healthy => ({
      setting: `s${place}` as SettingId,
      nets: drawnContacts(lamp.terminals, joins).nets,
    }));
    const small = faultModel(drawnCircuit(lamp), settings);
    const stays = complaintOf(small.healthy, settings, 'lamp' as LoadId, 'never-off');
    expect(rankFaults(small, { ...NO_EVIDENCE, seen: stays })[0]).toMatchObject({
      ...{ fault: { kind: 'never-opens', contact: [0, 1] }, explains: 1 },
    });
    const seen = complaintOf(model.healthy, SETTINGS, 'e1' as LoadId, 'never-off');
    expect(rankFaults(model, { ...NO_EVIDENCE, seen })[0]?.explains).toBe(0);
  });
});

describe('a fault that comes and goes', () => {
  const seen = looked(['HIGH', 'e2', 'sometimes'], ['MEDIUM', 'e1', 'right'], ['HIGH', 'e1', 'right']);
  const evidence: HuntEvidence = { ...NO_EVIDENCE, seen };

  it('is no pair of swapped wires, and is one that changes what was seen', () => {
    const ranked = rankFaults(model, evidence);
    const best = ranked.filter(({ chance }) => chance > 0.05);
    expect(best.length).toBeGreaterThan(1);
    for (const { fault, shows } of best) {
      expect(fault.kind).not.toBe('wires-swapped');
      expect(shows.get(lookKey('HIGH' as SettingId, 'e2' as LoadId))).not.toBe('on');
    }
  });

  it('is not cleared by one steady reading, and is found by working the contact', () => {
    const suspect = (given: HuntEvidence) =>
      rankFaults(model, given)
        .filter(
          ({ fault }) => 'contact' in fault && fault.contact.join() === '1,4' && fault.kind !== 'never-opens',
        )
        .reduce((sum, { chance }) => sum + chance, 0);
    const read = [
      { setting: 'HIGH' as SettingId, contact: [1, 4] as const, joins: true, by: 'ohms' as const },
    ];
    const steady = looked(['HIGH', 'e2', 'off']);
    expect(suspect({ ...evidence, read }) / suspect(evidence)).toBeGreaterThan(0.4);
    expect(suspect({ ...NO_EVIDENCE, seen: steady, read })).toBeLessThan(0.02);
    const worked = { setting: 'HIGH' as SettingId, contact: [1, 4] as const, cycles: 20, stuck: 0 };
    expect(suspect({ ...evidence, worked: [{ ...worked, missed: 2 }] })).toBeGreaterThan(0.95);
    expect(suspect({ ...evidence, worked: [{ ...worked, missed: 0, cycles: 100 }] })).toBeLessThan(0.05);
  });

  it('asks for what can show it: a contact is worked, never read once', () => {
    const asked = new Set<string>();
    let found = evidence;
    const [truth] = model.faults.filter(
      ({ fault }) => fault.kind === 'high' && fault.contact.join() === '1,4',
    );
    for (let step = 0; step < 12; step += 1) {
      const next = nextTest(model, rankFaults(model, found), found);
      if (!next || !truth) break;
      asked.add(next.kind);
      found =
        next.kind === 'work'
          ? {
              ...found,
              worked: [
                ...found.worked,
                { ...next, cycles: 20, missed: next.contact.join() === '1,4' ? 1 : 0, stuck: 0 },
              ],
            }
          : answered(found, next, truth, model.healthy);
    }
    expect(asked).not.toContain('read');
    expect(rankFaults(model, found)[0]?.fault).toMatchObject({ contact: [1, 4] });
  });
});

describe('wires joined instead of the switch', () => {
  it('that run clear all but the switch; that do not, clear the switch', () => {
    const seen = looked(['HIGH', 'e2', 'off']);
    const best = (runs: boolean) =>
      rankFaults(model, { ...NO_EVIDENCE, seen, joined: [{ setting: 'HIGH' as SettingId, runs }] })[0]?.fault;
    expect(best(true)).toMatchObject({ contact: [1, 4] });
    expect(best(false)).toEqual({ kind: 'load-open', load: 'e2' });
  });
});

describe('the wrong way', () => {
  const WINCH: Drawn = {
    terminals: 'P M A B',
    supplies: {
      battery: { kind: '+', volts: 12, current: 'DC' },
      minus: { kind: '0', volts: null, current: 'DC' },
    },
    loads: { motor: { kind: 'motor', make: 'permanent-magnet', volts: 12, current: 'DC' } },
    wires: 'P>battery M>minus A>motor.+ B>motor.-',
  };
  const HEALTHY = [['OUT', 'P-A M-B'], ['OFF', ''], ['IN', 'P-B M-A']] as const; // prettier-ignore
  const winch = faultModel(
    drawnCircuit(WINCH),
    HEALTHY.map(([setting, joins]) => ({
      setting: setting as SettingId,
      nets: drawnContacts(WINCH.terminals, joins).nets,
    })),
  );
  const motor = 'motor' as LoadId;

  it('is the opposite of what should be, setting by setting: a swapped pair on a winch comes first', () => {
    const seen = complaintOf(winch.healthy, winch.settings, motor, 'wrong-way');
    expect(seen.map(({ setting }) => setting)).toEqual(['OUT', 'IN']);
    const [first, second] = rankFaults(winch, { ...NO_EVIDENCE, seen });
    // Either pair swapped turns it about: the supply's, or the motor's.
    for (const one of [first, second]) expect(one?.fault.kind).toBe('wires-swapped');
    expect((first?.chance ?? 0) + (second?.chance ?? 0)).toBeGreaterThan(0.9);
  });

  it('a look at it told as a person does agrees with what a swapped pair shows, and only then', () => {
    const swapped = winch.faults.find(
      ({ fault, shows }) =>
        fault.kind === 'wires-swapped' && shows.get(lookKey('IN' as SettingId, motor)) === 'on',
    );
    const told = (setting: string) => {
      const key = lookKey(setting as SettingId, motor);
      return toldOf(swapped?.shows.get(key) ?? 'off', winch.healthy.get(key));
    };
    expect([told('OUT'), told('OFF'), told('IN')]).toEqual(['reversed', 'off', 'reversed']);
    // It turns as it should in IN: then no pair is swapped.
    const seen = [{ setting: 'IN' as SettingId, load: motor, seen: 'on' as const }];
    const [best] = rankFaults(winch, { ...NO_EVIDENCE, seen });
    expect(best?.fault.kind).not.toBe('wires-swapped');
  });
});
