import { describe, expect, it } from 'vitest';
import { deriveMap, factAt } from '../continuity/index.js';
import { planNext } from '../planner/index.js';
import { resistanceBetween } from '../network/index.js';
import type { Explanation, Part, Value } from '../log/index.js';
import type { SettingId } from '../switch/index.js';
import { bench, CLOSED, OPEN, type Bench } from '../testing/generated.js';
import { effectiveOhms } from '../network/index.js';
import { proposalsFor } from './proposals.js';

const ohms = (value: number): Value => ({ kind: 'ohms', ohms: value + 0.2 });
const proposed = (on: Bench, setting: number, a: number, b: number) =>
  proposalsFor(deriveMap(on.events), on.settings[setting] as SettingId, a, b);
const part = (on: Bench, a: number, b: number, value: number, over: Partial<Part> = {}): Part => ({
  id: on.newId(),
  form: 'resistor',
  terminals: [on.terminals[a], on.terminals[b]] as Part['terminals'],
  ohms: value,
  note: '',
  on: true,
  removed: false,
  ...over,
});

describe('what a middle reading may be', () => {
  it('is a contact when it changes by more than a fifth on working it, and a part when it repeats', () => {
    const on = bench(2, 1);
    on.read(0, 0, 1, ohms(30));
    expect(proposed(on, 0, 0, 1)).toEqual([]);
    on.read(0, 0, 1, ohms(12));
    expect(proposed(on, 0, 0, 1)).toMatchObject([
      { as: 'contact', because: { code: 'changes', from: 30, to: 12 } },
    ]);
    const steady = bench(2, 1);
    [1, 2, 3].forEach(() => steady.read(0, 0, 1, ohms(470)));
    expect(proposed(steady, 0, 0, 1)).toMatchObject([{ as: 'part', because: { code: 'repeats', times: 3 } }]);
  });

  it('is a capacitor when it climbs while held, the surer when it starts low again with the leads swapped', () => {
    const on = bench(2, 1);
    for (const value of [500, 900, 1600]) on.read(0, 0, 1, ohms(value));
    expect(proposed(on, 0, 0, 1)[0]).toMatchObject({
      as: 'part',
      because: { code: 'climbs', swapped: false },
    });
    on.read(0, 1, 0, ohms(400));
    expect(proposed(on, 0, 0, 1)[0]).toMatchObject({
      as: 'part',
      because: { code: 'climbs', swapped: true },
    });
    // What reads the same the other way round is no charge.
    const plain = bench(2, 1);
    for (const value of [500, 900, 1600]) plain.read(0, 0, 1, ohms(value));
    plain.read(0, 1, 0, ohms(1600));
    expect(proposed(plain, 0, 0, 1).map(({ because }) => because.code)).not.toContain('climbs');
  });

  it('is film on a contact when it falls with each stroke', () => {
    const on = bench(2, 1);
    for (const value of [80, 40, 15]) on.read(0, 0, 1, ohms(value));
    expect(proposed(on, 0, 0, 1)[0]).toMatchObject({
      as: 'contact',
      because: { code: 'falls', from: 80, to: 15 },
    });
  });

  it('is a leak when it is high and the same in every setting', () => {
    const on = bench(2, 3);
    for (const setting of [0, 1, 2]) on.read(setting, 0, 1, ohms(0.8e6));
    expect(proposed(on, 0, 0, 1)).toMatchObject([
      { as: 'leak', because: { code: 'same-everywhere', settings: 3 } },
    ]);
  });

  it('is a potentiometer when it follows the handle step by step, up or down', () => {
    for (const values of [
      [1000, 2500, 4000],
      [4000, 2500, 1000],
    ]) {
      const on = bench(2, 3);
      values.forEach((value, setting) => on.read(setting, 1, 0, ohms(value)));
      expect(proposed(on, 1, 0, 1)[0]).toMatchObject({
        as: 'potentiometer',
        because: { code: 'follows-handle' },
      });
    }
    const zigzag = bench(2, 3);
    [1000, 4000, 2500].forEach((value, setting) => zigzag.read(setting, 0, 1, ohms(value)));
    expect(proposed(zigzag, 1, 0, 1)).toEqual([]);
  });

  it('agrees with declared parts over known nets: two lamps in parallel through a closed contact (Kirchhoff)', () => {
    const on = bench(4, 1);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 2, 3, ohms(60));
    on.add({ kind: 'part-declared', part: part(on, 0, 2, 100) });
    on.add({ kind: 'part-declared', part: part(on, 1, 2, 150) });
    const map = deriveMap(on.events);
    const settled = map.settings.get(on.settings[0] as SettingId)?.settled;
    if (!settled) throw new Error('no such setting');
    expect(
      effectiveOhms({ ...settled, parts: [part(on, 0, 2, 100), part(on, 1, 2, 150)] }, 1, 2),
    ).toBeCloseTo(60, 9);
    expect(
      resistanceBetween(
        3,
        [
          { a: 0, b: 2, ohms: 100 },
          { a: 1, b: 2, ohms: 150 },
          { a: 0, b: 1, ohms: 0 },
        ],
        1,
        2,
      ),
    ).toBeCloseTo(60, 9);
    on.read(0, 1, 2, ohms(60.4));
    expect(proposed(on, 0, 1, 2)[0]).toMatchObject({ as: 'part', because: { code: 'declared-parts' } });
    expect(proposed(on, 0, 2, 3)).toEqual([]);
  });

  it('leaves out parts that were taken off or have no value, but counts a jumper', () => {
    const on = bench(2, 1);
    const settled = deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled;
    if (!settled) throw new Error('no such setting');
    expect(effectiveOhms({ ...settled, parts: [part(on, 0, 1, 5, { on: false })] }, 0, 1)).toBe(Infinity);
    expect(
      effectiveOhms({ ...settled, parts: [part(on, 0, 1, 5, { ohms: null, form: 'lamp' })] }, 0, 1),
    ).toBe(Infinity);
    expect(
      effectiveOhms({ ...settled, parts: [part(on, 0, 1, 5, { ohms: null, form: 'jumper' })] }, 0, 1),
    ).toBe(0);
  });
});

describe('what a person accepts', () => {
  it.each([
    ['contact', true],
    ['part', false],
    ['leak', false],
    ['potentiometer', false],
  ] as [Explanation, boolean][])('%s: joined is %s, and the pair is not asked again', (as, joined) => {
    const on = bench(2, 1);
    const reading = on.read(0, 0, 1, ohms(40));
    expect(planNext(deriveMap(on.events), null).kind).toBe('look-again');
    const accepted = on.add({ kind: 'explained', readings: [reading.id], as, note: '' });
    const map = deriveMap(on.events);
    const settled = map.settings.get(on.settings[0] as SettingId)?.settled;
    expect(settled && factAt(settled, 0, 1)).toMatchObject({ joined, state: 'measured' });
    expect(map.complete).toBe(true);
    on.add({ kind: 'withdrawn', target: accepted.id, basedOn: null });
    expect(deriveMap(on.events).complete).toBe(false);
  });

  it('contradicts what else was read where it does not fit', () => {
    const on = bench(3, 1);
    const reading = on.read(0, 0, 1, ohms(40));
    on.read(0, 0, 2, CLOSED);
    on.read(0, 1, 2, OPEN);
    on.add({ kind: 'explained', readings: [reading.id], as: 'contact', note: '' });
    expect(planNext(deriveMap(on.events), null).kind).toBe('disputed');
  });
});
