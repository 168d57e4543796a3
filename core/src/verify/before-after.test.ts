import { describe, expect, it } from 'vitest';
import { createMapper, deriveMap } from '../continuity/index.js';
import { MECHANICAL_SIGNS } from '../log/index.js';
import { bench, OPEN } from '../testing/generated.js';
import { beforeAndAfter, lastStretch } from './before-after.js';
import { verdictOf } from './verdict.js';

const ohms = (shown: number) => ({ kind: 'ohms', ohms: shown }) as const;

describe('a switch that was worked on', () => {
  it('counts only what is read after it: a re-reading is no contradiction, and undo joins the stretches again', () => {
    const on = bench(3, 2);
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 2, ohms(3.4));
    const cleaned = on.add({ kind: 'worked-on', what: 'cleaned', note: '' });
    const mapper = createMapper();
    expect(mapper(on.events).tape.map(({ standing }) => standing)).toEqual(['earlier', 'earlier']);
    on.read(0, 0, 1, ohms(0.4));
    on.read(1, 0, 2, ohms(0.3));
    const map = mapper(on.events);
    expect(map).toEqual(expect.objectContaining({ contacts: [0, 1, 2] }));
    expect([...map.settings.values()].flatMap(({ settled }) => settled.contradictions)).toEqual([]);
    expect(map.tape.map(({ standing }) => standing)).toEqual(['earlier', 'earlier', 'counts', 'counts']);
    expect(map.tape).toEqual(deriveMap(on.events).tape);
    on.add({ kind: 'withdrawn', target: cleaned.id, basedOn: null });
    const joined = mapper(on.events);
    expect([...joined.settings.values()].flatMap(({ settled }) => settled.contradictions)).not.toEqual([]);
  });

  it('is shown before and after, what changed first', () => {
    const on = bench(3, 2);
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 2, ohms(1.5));
    expect(lastStretch(deriveMap(on.events))).toBeNull();
    on.add({ kind: 'worked-on', what: 'cleaned', note: '' });
    on.read(0, 0, 1, ohms(0.4));
    on.read(1, 0, 2, ohms(0.3));
    const map = deriveMap(on.events);
    const stretch = lastStretch(map);
    expect(stretch?.what).toBe('cleaned');
    const rows = beforeAndAfter(stretch?.before ?? map, map);
    expect(rows[0]).toMatchObject({ was: false, is: true, changed: 'joins', setting: on.settings[0] });
    expect(rows[1]).toMatchObject({ was: true, is: true, setting: on.settings[1] });
    expect(rows[1]?.before?.ohms).toBeGreaterThan(rows[1]?.after?.ohms ?? Infinity);
  });

  it('a contact that still closes has changed when it reads otherwise by more than both readings may be out', () => {
    const on = bench(3, 2);
    const values = [[1.9, 0.3], [0.4, 0.5], [0.9, 0.9]] as const; // prettier-ignore
    const pairs = [[0, 1], [0, 2], [1, 2]] as const; // prettier-ignore
    values.forEach(([before], at) => on.read(1, pairs[at]?.[0] ?? 0, pairs[at]?.[1] ?? 0, ohms(before)));
    on.add({ kind: 'worked-on', what: 'cleaned', note: '' });
    values.forEach(([, after], at) => on.read(1, pairs[at]?.[0] ?? 0, pairs[at]?.[1] ?? 0, ohms(after)));
    const map = deriveMap(on.events);
    const rows = beforeAndAfter(lastStretch(map)?.before ?? map, map);
    // The leads take off 0.2; what is joined in a net of three shows as two contacts.
    expect(rows.map(({ changed }) => changed)).toEqual(['value', null]);
    expect(rows[0]?.before?.ohms).toBeCloseTo(1.7);
  });

  it('keeps no record of its mechanics, insulation or drops from before: they are of another switch', () => {
    const on = bench(2, 2);
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 1, ohms(0.4));
    const test = { between: 'contacts to the frame', testVolts: 500, megohms: 200, limitMegohms: 1 };
    on.add({ kind: 'insulation-tested', test });
    for (const sign of MECHANICAL_SIGNS)
      on.add({ kind: 'mechanics-noted', sign, found: 'good', terminal: null, photo: null });
    const lines = () => {
      const { insulation, mechanics, contacts } = verdictOf(deriveMap(on.events));
      return [insulation, mechanics, contacts].map(({ outcome }) => outcome);
    };
    expect(lines()).toEqual(['pass', 'pass', 'pass']);
    const rebuilt = on.add({ kind: 'worked-on', what: 'rebuilt', note: '' });
    expect(lines()).toEqual(['not-yet', 'not-yet', 'not-yet']);
    on.add({ kind: 'withdrawn', target: rebuilt.id, basedOn: null });
    expect(lines()).toEqual(['pass', 'pass', 'pass']);
  });
});
