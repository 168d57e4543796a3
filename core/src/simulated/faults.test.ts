import { describe, expect, it } from 'vitest';
import { resistanceWithDiodes } from '../network/index.js';
import { createMapper } from '../continuity/index.js';
import { proposalsFor } from '../explain/index.js';
import { answerTo, planNext } from '../planner/index.js';
import { simulatedSwitchProblems } from '../formats/index.js';
import { readingsAsked, type Value } from '../log/index.js';
import { seededRandom, type PromptId, type SettingId, type TerminalId } from '../switch/index.js';
import { bench } from '../testing/generated.js';
import { simulatedBench } from './story.js';
import {
  CONTACT_FAULTS,
  NO_METER_FAULTS,
  SIMULATED_PARTS,
  type ContactFault,
  type MeterFaults,
  type SimulatedPart,
} from './faults.js';
import { METER_FAULTS, withFault, withSurprises } from './surprise.js';
import { simulatedMeter, type SimulatedBench } from './simulated-meter.js';
import { type SimulatedSwitch } from './simulated-switch.js';

const LEADS = 0.2;
const plain = (over: Partial<SimulatedSwitch> = {}): SimulatedSwitch => ({
  seed: 4,
  name: 'a bench model',
  terminals: 4,
  positions: [{ name: null }, { name: null }, { name: null }],
  contacts: [{ a: 0, b: 1, closedIn: [1], ohms: 0.05 }],
  meter: { leadOhms: LEADS, resolutionOhms: 0.1, beeperOhms: 50 },
  ...over,
});
const faulty = (fault: ContactFault) =>
  plain({ contacts: [{ a: 0, b: 1, closedIn: [1], ohms: 0.05, fault }] });
const withPart = (form: SimulatedPart['form'], ohms: number) =>
  plain({ parts: [{ a: 2, b: 3, form, ohms }] });
const withMeter = (faults: Partial<MeterFaults>) =>
  plain({ meter: { ...plain().meter, faults: { ...NO_METER_FAULTS, ...faults } } });

const { terminals } = bench(4, 3);
/** What is shown between two terminals, by place, at a position, after the story so far. */
function shown(
  hidden: SimulatedSwitch,
  a: number[],
  b: number[],
  position: number,
  story: Partial<SimulatedBench> = {},
): Value {
  const ids = (places: number[]) => places.map((place) => terminals[place] as TerminalId);
  const meter = simulatedMeter(hidden, {
    place: (id) => terminals.indexOf(id),
    position: () => position,
    dial: () => 'ohms',
    ...story,
  });
  return meter.probe(ids(a), ids(b));
}
const ohmsOf = (value: Value) =>
  value.kind === 'ohms' ? value.ohms : value.kind === 'over' ? Infinity : Number.NaN;
const readBefore = (all: number, pair = 0) => ({ readBefore: () => ({ all, pair }) });

describe('faults of simulated contacts', () => {
  it('dirty falls by half with every stroke, burnt stays', () => {
    const after = (fault: ContactFault, strokes: number) =>
      ohmsOf(shown(faulty(fault), [0], [1], 1, { strokes: () => strokes }));
    expect(after({ kind: 'dirty', ohms: 40 }, 0)).toBeCloseTo(40.25, 0);
    expect(after({ kind: 'dirty', ohms: 40 }, 2)).toBeCloseTo(10.25, 0);
    expect(after({ kind: 'dirty', ohms: 40 }, 12)).toBeLessThan(0.5);
    expect(after({ kind: 'burnt', ohms: 40 }, 12)).toBeCloseTo(40.25, 0);
  });

  it('welded is closed everywhere, broken nowhere, unsteady flickers', () => {
    expect([0, 1, 2].map((at) => ohmsOf(shown(faulty({ kind: 'welded' }), [0], [1], at)) < 1)).toEqual([
      true,
      true,
      true,
    ]);
    expect(shown(faulty({ kind: 'broken' }), [0], [1], 1)).toEqual({ kind: 'over' });
    expect(shown(faulty({ kind: 'unsteady' }), [0], [1], 1)).toEqual({ kind: 'unsteady' });
    expect(shown(faulty({ kind: 'unsteady' }), [0], [1], 0)).toEqual({ kind: 'over' });
  });

  it('one-sided makes only when the handle comes from that side', () => {
    const hidden = faulty({ kind: 'one-sided', makes: 'up' });
    const from = (position: number | null) =>
      ohmsOf(shown(hidden, [0], [1], 1, { cameFrom: () => position }));
    expect([from(null), from(0)].every((ohms) => ohms < 1)).toBe(true);
    expect(from(2)).toBe(Infinity);
  });
});

describe('simulated parts', () => {
  it('a lamp is warm at first and cools to its cold ohms, a suppressor charges until it is over range', () => {
    const lamp = withPart('lamp', 20);
    const warm = [0, 2, 30].map((all) => ohmsOf(shown(lamp, [2], [3], 0, readBefore(all))));
    expect(warm[0]).toBeGreaterThan(warm[1] as number);
    expect(warm[2]).toBeCloseTo(20.2, 0);
    const charging = [0, 1, 2, 6].map((pair) =>
      ohmsOf(shown(withPart('suppressor', 900), [2], [3], 0, readBefore(pair, pair))),
    );
    expect(charging).toEqual([...charging].sort((one, other) => one - other));
    expect(charging[0]).toBeLessThan(1000);
    expect(charging[3]).toBe(Infinity);
  });

  it('a diode conducts one way, in a network too (piecewise linear, checked by hand)', () => {
    const diode = withPart('diode', 1.2);
    expect(ohmsOf(shown(diode, [2], [3], 0))).toBeCloseTo(1.4, 1);
    expect(shown(diode, [3], [2], 0)).toEqual({ kind: 'over' });
    // A diode with 10 ohms in series, beside 30 ohms: 7.5 forward, 30 backward.
    const side = [{ a: 0, b: 2, ohms: 30 }];
    expect(
      resistanceWithDiodes(3, [...side, { a: 1, b: 2, ohms: 9 }], [{ a: 0, b: 1, ohms: 1 }], 0, 2),
    ).toBeCloseTo(7.5, 9);
    expect(
      resistanceWithDiodes(3, [...side, { a: 1, b: 2, ohms: 9 }], [{ a: 0, b: 1, ohms: 1 }], 2, 0),
    ).toBeCloseTo(30, 9);
  });

  it('a potentiometer follows the handle and a motor varies with it; a leak and a resistor stay', () => {
    const across = (form: SimulatedPart['form'], ohms: number) =>
      [0, 1, 2].map((at) => ohmsOf(shown(withPart(form, ohms), [2], [3], at)));
    const [low, middle, high] = across('potentiometer', 3000);
    expect([low, middle, high].map((ohms) => Math.round((ohms as number) / 100))).toEqual([10, 20, 30]);
    expect(new Set(across('motor', 30)).size).toBeGreaterThan(1);
    for (const [form, ohms] of [
      ['leak', 2e6],
      ['resistor', 470],
    ] as const) {
      const values = across(form, ohms);
      expect(Math.max(...values) - Math.min(...values)).toBeLessThan(0.01 * ohms);
    }
  });
});

describe('faults of the meter and of how it is held', () => {
  it('fingers on the tips show skin where nothing joins, and not in a bundle held by clips', () => {
    const hidden = withMeter({ fingersOhms: 6e5 });
    expect(ohmsOf(shown(hidden, [0], [2], 0))).toBeGreaterThan(5e5);
    expect(ohmsOf(shown(hidden, [0], [1], 1))).toBeLessThan(1);
    expect(shown(hidden, [0, 1], [2], 0)).toEqual({ kind: 'over' });
  });

  it('a dead clip hides its terminal in a bundle, and a lead touched to it does not', () => {
    const hidden = withMeter({ deadClip: 0 });
    expect(shown(hidden, [0, 2], [1], 1)).toEqual({ kind: 'over' });
    expect(ohmsOf(shown(hidden, [0], [1], 1))).toBeLessThan(1);
    expect(ohmsOf(shown(plain(), [0, 2], [1], 1))).toBeLessThan(1);
  });

  it('asleep it shows nothing until the leads are held together again', () => {
    const hidden = withMeter({ autoOffAfter: 10 });
    expect(ohmsOf(shown(hidden, [0], [1], 1, { sinceCheck: () => 9 }))).toBeLessThan(1);
    expect(shown(hidden, [0], [1], 1, { sinceCheck: () => 10 })).toEqual({ kind: 'over' });
  });

  it('with a low battery reads high, and slow over range falls first', () => {
    expect(
      ohmsOf(
        shown(
          { ...withMeter({ lowBattery: true }), parts: [{ a: 2, b: 3, form: 'resistor', ohms: 100 }] },
          [2],
          [3],
          0,
        ),
      ),
    ).toBeCloseTo(120.2, 0);
    const slow = withMeter({ slowOverRange: true });
    expect(ohmsOf(shown(slow, [0], [2], 0))).toBeGreaterThan(1e6);
    expect(shown(slow, [0], [2], 0, readBefore(1, 1))).toEqual({ kind: 'over' });
  });
});

describe('a switch with surprises', () => {
  it('is the same for the same seed, is well formed, and differs between seeds', () => {
    const made = Array.from({ length: 40 }, (_, seed) => withSurprises(plain(), seed, 3));
    expect(withSurprises(plain(), 7, 3)).toEqual(made[7]);
    for (const one of made) expect(simulatedSwitchProblems(JSON.parse(JSON.stringify(one)))).toEqual([]);
    expect(new Set(made.map((one) => JSON.stringify(one))).size).toBeGreaterThan(20);
    expect(
      simulatedSwitchProblems({ ...plain(), parts: [{ a: 0, b: 9, form: 'lamp', ohms: 5 }] }),
    ).toMatchObject([{ path: 'parts.0' }]);
  });

  it('can have a fault of every kind for certain', () => {
    for (const kind of [...CONTACT_FAULTS, ...SIMULATED_PARTS, ...METER_FAULTS]) {
      const made = withFault(plain(), kind, seededRandom(3));
      expect(made).not.toEqual(plain());
      expect(simulatedSwitchProblems(JSON.parse(JSON.stringify(made)))).toEqual([]);
      expect(JSON.stringify(made)).toContain(kind);
    }
  });

  it('can be mapped to the end as the log tells the story, and a potentiometer in it is recognised', () => {
    const hidden = {
      ...withPart('potentiometer', 9000),
      contacts: faulty({ kind: 'dirty', ohms: 30 }).contacts,
    };
    const on = bench(4, 3);
    const mapper = createMapper();
    let at: SettingId | undefined = on.settings[0];
    for (let acts = 0; ; acts += 1) {
      const map = mapper(on.events);
      const plan = planNext(map, at ?? null);
      if (plan.kind !== 'ask') {
        expect(plan.kind).toBe('look-again');
        expect(proposalsFor(map, on.settings[2] as SettingId, 2, 3)[0]?.as).toBe('potentiometer');
        break;
      }
      const prompt = { id: on.newId<PromptId>(), ask: plan.ask };
      on.add({ kind: 'prompt-shown', prompt });
      const values = new Map(
        readingsAsked(plan.ask).map(({ setting, red, black, key }) => {
          at = setting;
          return [
            key,
            simulatedMeter(
              hidden,
              simulatedBench(mapper(on.events), setting, () => 'ohms'),
            ).probe(red, black),
          ];
        }),
      );
      on.add(answerTo(prompt, { values, source: 'simulated', inCircuit: false }, on.newId));
      expect(acts).toBeLessThan(60);
    }
  });
});
