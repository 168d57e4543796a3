import { describe, expect, it } from 'vitest';
import {
  faultModel,
  nextTest,
  NO_EVIDENCE,
  rankFaults,
  type HuntEvidence,
  type Observation,
} from '../index.js';
import type { LoadId, SettingId } from '../../switch/index.js';
import { answered } from '../../testing/hunting.js';
import { builtHouse, type House } from '../../testing/house-of-switches.js';
import {
  AS_MAPPED,
  behaviourOf,
  combinationsOf,
  healthyIn,
  inCombinations,
  settingOf,
  hazardsOf,
  isBarred,
  standingsAt,
  type Combination,
  type InPlace,
  type Machine,
} from '../index.js';

const first = ({ handles }: Machine): Combination => handles.map(({ settings }) => settings[0] as SettingId);
const allOf = (machine: Machine): Combination[] => combinationsOf(machine) ?? [];

/** What a load does in every combination, the last handle changing fastest. */
function does(machine: Machine, load: LoadId | undefined, facts: InPlace = AS_MAPPED): string {
  return inCombinations(machine, allOf(machine), facts)
    .map(({ loads }) => loads.get(load as LoadId)?.does)
    .join(' ');
}

/** Lighting from two places (common practice: the commons take the line and the lamp, the other lugs are joined pair by pair). */
const STAIRS: House = {
  switches: {
    down: { size: 3, settings: ['1-2', '1-3'], wires: '1>L 2>up.2 3>up.3' },
    up: { size: 3, settings: ['1-2', '1-3'], wires: '1>lamp.1' },
  },
  loads: { lamp: {} },
};
/** With a third place between: an intermediate switch crosses the two travellers. */
const LANDING: House = {
  switches: {
    down: { size: 3, settings: ['1-2', '1-3'], wires: '1>L 2>mid.1 3>mid.2' },
    mid: { size: 4, settings: ['1-3 2-4', '1-4 2-3'], wires: '3>up.2 4>up.3' },
    up: { size: 3, settings: ['1-2', '1-3'], wires: '1>lamp.1' },
  },
  loads: { lamp: {} },
};
/** A pump by hand, off, or by its float (common practice: hand - off - auto). */
const PUMP: House = {
  switches: { selector: { size: 3, settings: ['1-2', '', '1-3'], wires: '1>L 2>pump.1 3>float.C' } },
  devices: { float: { kind: 'float', contact: 'makes', pins: '2>pump.1' } },
  loads: { pump: { kind: 'motor', make: 'universal', watts: 500 } },
};

describe('a system of several switches', () => {
  it('two on the stairs: the lamp burns in two of four combinations, and changes whenever either handle moves', () => {
    const { machine, loads } = builtHouse(STAIRS);
    expect(does(machine, loads['lamp'])).toBe('full off off full');
    const all = allOf(machine);
    expect(behaviourOf(loads['lamp'] as LoadId, all, inCombinations(machine, all, AS_MAPPED))).toEqual({
      kind: 'either',
      handles: [0, 1],
    });
    expect(machine.loose).toEqual([]);
  });

  it('three on the stairs, the middle one intermediate: any of the three changes it', () => {
    const { machine, loads } = builtHouse(LANDING);
    expect(does(machine, loads['lamp'])).toBe('full off off full off full full off');
    const all = allOf(machine);
    expect(behaviourOf(loads['lamp'] as LoadId, all, inCombinations(machine, all, AS_MAPPED))).toEqual({
      kind: 'either',
      handles: [0, 1, 2],
    });
  });

  it('a pump with a float: by hand always, off never, by itself as the water is', () => {
    const { machine, loads } = builtHouse({
      ...PUMP,
      loads: { pump: { kind: 'resistive', watts: 500 } },
    });
    expect(does(machine, loads['pump'])).toBe('full full off off off full');
    const all = allOf(machine);
    const results = inCombinations(machine, all, AS_MAPPED);
    expect(behaviourOf(loads['pump'] as LoadId, all, results)).toEqual({ kind: 'mixed' });
    const auto = all.filter(([setting]) => setting === machine.handles[0]?.settings[2]);
    expect(behaviourOf(loads['pump'] as LoadId, auto, results.slice(4))).toEqual({
      kind: 'follows',
      part: { handle: 1, settings: ['work'] },
    });
  });

  it('two in a row: only with both on; two side by side: with any on', () => {
    const row = builtHouse({
      switches: {
        one: { size: 2, settings: ['', '1-2'], wires: '1>L 2>two.1' },
        two: { size: 2, settings: ['', '1-2'], wires: '2>lamp.1' },
      },
      loads: { lamp: {} },
    });
    const beside = builtHouse({
      switches: {
        one: { size: 2, settings: ['', '1-2'], wires: '1>L 2>lamp.1' },
        two: { size: 2, settings: ['', '1-2'], wires: '1>L 2>lamp.1' },
      },
      loads: { lamp: {} },
    });
    const kindOf = ({ machine, loads }: typeof row) => {
      const all = allOf(machine);
      return behaviourOf(loads['lamp'] as LoadId, all, inCombinations(machine, all, AS_MAPPED));
    };
    const on = ({ machine }: typeof row) =>
      [0, 1].map((handle) => ({ handle, settings: [machine.handles[handle]?.settings[1]] }));
    expect(kindOf(row)).toEqual({ kind: 'all', parts: on(row) });
    expect(kindOf(beside)).toEqual({ kind: 'any', parts: on(beside) });
  });

  it('says nothing of what hangs on a switch that cannot be read, was not mapped, or on a wire that goes nobody knows where', () => {
    const unread = builtHouse(STAIRS, ['up']);
    // The lamp belongs to the job that cannot be read, and is not known at all; with the other one gone it is.
    expect(unread.machine.handles[1]?.settings).toHaveLength(1);
    const without = builtHouse(
      { ...STAIRS, switches: { ...STAIRS.switches, up: { ...up(), wires: '1>lamp.1 2>down.2 3>down.3' } } },
      ['down'],
    );
    expect(does(without.machine, without.loads['lamp'])).toBe('not-known not-known');
    const unmapped = builtHouse({
      ...STAIRS,
      switches: { ...STAIRS.switches, up: { ...up(), unmapped: true } },
    });
    expect(does(unmapped.machine, unmapped.loads['lamp'])).toBe('not-known not-known not-known not-known');
    const loose = builtHouse({
      ...STAIRS,
      switches: { ...STAIRS.switches, down: { size: 3, settings: ['1-2', '1-3'], wires: '1>L 2>up.2 3>?' } },
    });
    // Where the current takes the traveller that is known it burns for certain; a loose wire may go to any bare lug.
    expect(does(loose.machine, loose.loads['lamp'])).toBe('full not-known off not-known');
    expect(loose.machine.loose).toHaveLength(1);
  });

  it('finds which of two is welded, from one look, in few tests more; the other is not accused', () => {
    const { machine, loads } = builtHouse(STAIRS);
    const all = allOf(machine);
    const found = healthyIn(machine, all);
    if (!('healthy' in found)) throw new Error('it was mapped');
    const model = faultModel(machine.circuit, found.healthy);
    const truth = model.faults.find(
      ({ fault }) => fault.kind === 'never-opens' && fault.contact.toSorted().join() === '3,4',
    );
    expect(truth).toBeDefined();
    const lamp = loads['lamp'] as LoadId;
    const at = (index: number) => settingOf(machine, all[index] as Combination);
    const see = (index: number): Observation => ({
      ...{ setting: at(index), load: lamp },
      seen: truth?.shows.get(`${at(index)} ${lamp}`) ?? 'right',
    });
    // Down at 1, up at 2: the lamp should be dark, and burns.
    let evidence: HuntEvidence = { ...NO_EVIDENCE, seen: [see(1)] };
    for (let tests = 0; tests < 8; tests += 1) {
      const next = nextTest(model, rankFaults(model, evidence), evidence);
      if (!next || !truth) break;
      evidence = answered(evidence, next, truth, model.healthy);
    }
    const [best] = rankFaults(model, evidence);
    expect(best?.fault).toBe(truth?.fault);
    expect(best?.chance).toBeGreaterThan(0.9);
    expect(
      model.faults.some(
        ({ fault }) => fault.kind === 'never-opens' && fault.contact.includes(0) && fault.contact.includes(3),
      ),
    ).toBe(false);
  });

  it('4,097 combinations are too many: some handles have to stand still', () => {
    const many = builtHouse({
      switches: Object.fromEntries(
        Array.from({ length: 13 }, (_, at) => [
          `s${at}`,
          { size: 2, settings: ['', '1-2'], wires: '1>L 2>lamp.1', unmapped: true },
        ]),
      ),
      loads: { lamp: {} },
    });
    expect(combinationsOf(many.machine, first(many.machine))).toBeNull();
    expect(combinationsOf(many.machine, first(many.machine), (at) => at < 12)).toHaveLength(4096);
  });
});

const up = () => STAIRS.switches['up'] as House['switches'][string];

/** What can hurt in a machine as mapped. */
function hazardsIn(machine: Machine) {
  const combinations = allOf(machine);
  const results = inCombinations(machine, combinations, AS_MAPPED);
  return hazardsOf({ machine, combinations, results, inPlace: AS_MAPPED });
}

describe('what can hurt in a system', () => {
  it('is told once, with where it was first found and how often', () => {
    const { machine } = builtHouse({
      switches: {
        one: { size: 3, settings: ['', '1-2'], wires: '1>L 2>other.1' },
        other: { size: 3, settings: ['', '1-2', '1-3'], wires: '2>N 3>lamp.1' },
      },
      loads: { lamp: {} },
    });
    const all = allOf(machine);
    const found = hazardsIn(machine);
    const shorts = found.filter(({ hazard }) => hazard.kind === 'short');
    expect(shorts).toHaveLength(1);
    expect(shorts[0]).toMatchObject({ combination: all[4], handle: null, times: 1 });
  });

  it('a heater that is live though nothing runs: the second switch breaks the return', () => {
    const { machine, loads } = builtHouse({
      switches: {
        line: { size: 2, settings: ['', '1-2'], wires: '1>L 2>heater.1' },
        back: { size: 2, settings: ['', '1-2'], wires: '1>heater.2 2>N' },
      },
      loads: { heater: { kind: 'motor', make: 'universal' } },
    });
    const all = allOf(machine);
    const found = hazardsIn(machine);
    expect(found.map(({ hazard, times }) => [hazard.kind, times])).toEqual([['live-at-off', 1]]);
    expect(found[0]).toMatchObject({ combination: all[2], hazard: { loads: [loads['heater']] } });
  });

  it('what meets while one handle goes a step on is told as not known, where nobody has looked', () => {
    const { machine } = builtHouse({
      switches: {
        one: { size: 3, settings: ['1-2', '1-3'], wires: '1>lamp.1 2>L 3>N' },
        other: { size: 2, settings: ['', '1-2'], wires: '1>L 2>fan.1' },
      },
      loads: { lamp: {}, fan: {} },
    });
    const found = hazardsIn(machine);
    expect(found).toMatchObject([
      { handle: 0, times: 2, hazard: { kind: 'short-in-passing', certain: false } },
    ]);
  });

  it('cannot be where an interlock keeps the handles from standing so, whatever else stands', () => {
    // Two breakers of one line, one to each pole; a third switch beside them.
    const { machine } = builtHouse({
      switches: {
        one: { size: 2, settings: ['', '1-2'], wires: '1>L 2>other.1' },
        other: { size: 2, settings: ['', '1-2'], wires: '2>N' },
        fan: { size: 2, settings: ['', '1-2'], wires: '1>L 2>fan.1' },
      },
      loads: { fan: {} },
    });
    const shorts = (given: Machine) =>
      hazardsIn(given).filter(({ hazard }) => hazard.kind === 'short').map(({ times }) => times); // prettier-ignore
    expect(shorts(machine)).toEqual([2]);
    const both = allOf(machine).find((one) =>
      machine.handles.every((handle, at) => one[at] === handle.settings[1]),
    );
    const barred = [standingsAt(machine, both as Combination).slice(0, 2)];
    expect(shorts({ ...machine, barred })).toEqual([]);
    // Of the third switch an interlock with one of them says nothing of both.
    expect(shorts({ ...machine, barred: [standingsAt(machine, both as Combination).slice(1)] })).toEqual([1]);
    const [free, kept] = [machine, { ...machine, barred }].map(
      (one) => allOf(one).filter((combination) => isBarred(one, combination)).length,
    );
    expect([free, kept]).toEqual([0, 2]);
  });
});
