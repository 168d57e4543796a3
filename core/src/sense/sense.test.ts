import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { newIdFrom, seededRandom } from '../switch/index.js';
import { ORDINARY_METER, type Reading, type Value } from '../log/index.js';
import { bench } from '../testing/generated.js';
import { displayStep, quantityOf } from './quantity.js';
import { isLeak, middleHint, senseReading } from './reading-evidence.js';

const newId = newIdFrom(seededRandom(5));
const reading = (value: Value): Reading => ({
  id: newId(),
  setting: newId(),
  red: [newId()],
  black: [newId()],
  value,
});
const sense = (value: Value, inCircuit = false) =>
  senseReading(reading(value), { meter: ORDINARY_METER, zeroOhms: 0.2, inCircuit });

describe('the three bands', () => {
  // 2 ohm and 1 megohm: common practice, the defaults of the profile.
  it.each([
    [0.1, 'joins', 'low'],
    [2.2, 'joins', 'low'],
    [2.3, 'nothing', 'middle'],
    [37, 'nothing', 'middle'],
    [0.9e6, 'nothing', 'middle'],
    [1.1e6, 'parts', 'none'],
  ] as const)('%d ohms on the display with 0.2 in the leads: %s', (ohms, says, because) => {
    expect(sense({ kind: 'ohms', ohms })).toMatchObject({ says, because, by: 'ohms' });
  });

  it('over range parts, unsteady says nothing, a tone speaks as a tone', () => {
    expect(sense({ kind: 'over' })).toMatchObject({ says: 'parts', because: 'over' });
    expect(sense({ kind: 'unsteady' })).toMatchObject({ says: 'nothing', because: 'unsteady' });
    expect(sense({ kind: 'tone', sounded: true })).toMatchObject({ says: 'joins', by: 'tone' });
    expect(sense({ kind: 'tone', sounded: false })).toMatchObject({ says: 'parts', because: 'silent' });
  });

  it('in circuit an open still proves apart, a closed proves nothing', () => {
    expect(sense({ kind: 'over' }, true).says).toBe('parts');
    expect(sense({ kind: 'ohms', ohms: 0.3 }, true)).toMatchObject({
      says: 'nothing',
      because: 'in-circuit',
    });
    expect(sense({ kind: 'tone', sounded: true }, true).says).toBe('nothing');
  });
});

describe('quantities', () => {
  it('below what the meter can tell are said to be that, and never clamped', () => {
    expect(quantityOf(0.1, 0.2, ORDINARY_METER)).toMatchObject({ ohms: -0.1 });
    expect(quantityOf(0.2, 0.2, ORDINARY_METER)).toMatchObject({ ohms: 0, belowResolution: true });
    expect(quantityOf(0.5, 0.2, ORDINARY_METER)).toMatchObject({ ohms: 0.3, belowResolution: false });
  });

  it('carry percent of reading plus counts, of the reading and of the zero', () => {
    const { uncertainty } = quantityOf(100, 0.2, ORDINARY_METER);
    expect(uncertainty).toBeCloseTo(100 * 0.008 + 3 * 0.1 + 3 * 0.1, 9);
    expect(displayStep(5000, ORDINARY_METER)).toBeCloseTo(10, 9);
  });

  it('have hints by size in the middle band only', () => {
    expect([1, 10, 5000, 5e5, 3e7].map((ohms) => middleHint(ohms, ORDINARY_METER))).toEqual([
      null,
      'work-the-contact',
      'a-part-or-film',
      'hands-off-the-tips',
      null,
    ]);
  });
});

describe('the tape', () => {
  it('says of each reading which meter it was, and judges it by that one', () => {
    const on = bench(3, 1);
    const coarse = { ...ORDINARY_METER, name: 'Coarse', resolutionOhms: 1, percent: 1.5, counts: 3 };
    on.read(0, 0, 1, { kind: 'ohms', ohms: 1 });
    on.add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0 }, meter: coarse });
    on.read(0, 0, 2, { kind: 'ohms', ohms: 1 });
    const { tape } = deriveMap(on.events);
    expect(tape.map(({ meter }) => meter?.name)).toEqual([ORDINARY_METER.name, 'Coarse']);
    const [fine, rough] = tape.map(({ evidence }) => evidence.quantity?.uncertainty ?? 0);
    expect(rough).toBeGreaterThan((fine ?? 0) * 3);
  });

  it('takes off the zero of the last check before the reading, and of another one when that check is undone', () => {
    const on = bench(2, 1);
    on.read(0, 0, 1, { kind: 'ohms', ohms: 2.4 });
    const better = on.add({
      kind: 'meter-checked',
      leadsTogether: { kind: 'ohms', ohms: 0.5 },
      meter: ORDINARY_METER,
    });
    on.read(0, 0, 1, { kind: 'ohms', ohms: 2.4 });
    const because = () => deriveMap(on.events).tape.map(({ evidence }) => evidence.because);
    expect(because()).toEqual(['middle', 'low']);
    on.add({ kind: 'withdrawn', target: better.id, basedOn: null });
    expect(because()).toEqual(['middle', 'middle']);
  });
});

describe('a meter set by hand', () => {
  const set = (rangeOhms: number | null, value: Value) =>
    senseReading(reading(value), {
      meter: { ...ORDINARY_METER, rangeOhms },
      zeroOhms: 0.2,
      inCircuit: false,
    });

  it('says above 200 ohm at over-range, as silent as a beeper', () => {
    expect(set(200, { kind: 'over' })).toMatchObject({
      says: 'parts',
      by: 'tone',
      because: 'above-range',
      aboveOhms: 200,
    });
    expect(set(2e6, { kind: 'over' })).toMatchObject({ says: 'parts', by: 'ohms', because: 'over' });
    expect(set(null, { kind: 'over' })).toMatchObject({ says: 'parts', by: 'ohms', because: 'over' });
  });

  it('parts from 1 megohm up, and notes up to 20 megohm as a leak', () => {
    const at = (ohms: number) => set(null, { kind: 'ohms', ohms });
    expect([0.9e6, 1.1e6, 5e6, 19e6, 25e6].map((ohms) => [at(ohms).says, isLeak(at(ohms))])).toEqual([
      ['nothing', false],
      ['parts', true],
      ['parts', true],
      ['parts', true],
      ['parts', false],
    ]);
    expect(isLeak(set(null, { kind: 'over' }))).toBe(false);
  });
});

describe('the lead zero', () => {
  it.each([
    [0.5, 0.3],
    [150, 149.8],
    // From here the display steps in whole ohms, and more: a zero of 0.2 is not seen any more.
    [450, 450],
    [9_610_000, 9_610_000],
  ])('is taken off %d as far as the display shows it', (ohms, net) => {
    expect(quantityOf(ohms, 0.2, ORDINARY_METER).ohms).toBe(net);
  });
});
