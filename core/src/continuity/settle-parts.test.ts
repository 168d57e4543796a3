import { describe, expect, it } from 'vitest';
import { effectiveOhms } from '../network/index.js';
import type { Deed, Part } from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { PartId } from '../switch/index.js';
import { bench } from '../testing/generated.js';
import { createMapper, deriveMap, factAt } from './index.js';

type On = ReturnType<typeof bench>;

const partOn = (on: On, a: number, b: number, more: Partial<Part> = {}): Deed => ({
  kind: 'part-declared',
  part: {
    ...{ id: 'a0000000-0000-4000-8000-0000000000aa' as PartId, form: 'lamp', ohms: 120, note: '' },
    terminals: [on.terminals[a], on.terminals[b]] as Part['terminals'],
    ...{ on: true, removed: false },
    ...more,
  },
});
const lookAgain = (on: On) =>
  [...deriveMap(on.events).settings.values()].flatMap(({ settled }) => settled.lookAgain);

/** A selector of six leads in five positions with a lamp across feed and ground, every pair read as a meter shows it. */
function selector(declared: 'before' | 'after' | 'never', lampOhms = 120): On {
  const on = bench(6, 5);
  const lamp = (ohms: number) => partOn(on, 0, 5, { ohms });
  if (declared === 'before') on.add(lamp(120));
  on.settings.forEach((_, at) => {
    const nets = partitionFromGroups(6, at === 0 ? [] : [[0, at]]);
    const parts = [(lamp(lampOhms) as Extract<Deed, { kind: 'part-declared' }>).part];
    for (let a = 0; a < 6; a += 1)
      for (let b = a + 1; b < 6; b += 1) {
        const ohms = effectiveOhms({ terminals: on.terminals, nets, parts }, a, b);
        on.read(at, a, b, Number.isFinite(ohms) ? { kind: 'ohms', ohms: ohms + 0.1 } : { kind: 'over' });
      }
  });
  if (declared === 'after') on.add(lamp(120));
  return on;
}

describe('a declared part', () => {
  it('settles its own readings, declared before or after them: 120 Ω across feed and ground is asked no more', () => {
    expect(lookAgain(selector('never')).length).toBe(9);
    for (const declared of ['before', 'after'] as const) {
      const on = selector(declared);
      expect(lookAgain(on)).toEqual([]);
      const map = deriveMap(on.events);
      expect(map.complete).toBe(true);
      expect(factAt([...map.settings.values()][2]?.settled as never, 0, 5)).toMatchObject({ joined: false });
    }
  });

  it('settles nothing that is not what it would show', () => {
    expect(lookAgain(selector('before', 200)).length).toBe(9);
  });

  it('a map that grows by a reading at a time is the same as one made at once', () => {
    const on = selector('before');
    const mapper = createMapper();
    for (let at = 1; at <= on.events.length; at += 1) mapper(on.events.slice(0, at));
    const [grown, whole] = [mapper(on.events), deriveMap(on.events)];
    expect([...grown.settings].map(([, { settled }]) => settled.facts)).toEqual(
      [...whole.settings].map(([, { settled }]) => settled.facts),
    );
  });
});

describe('a low reading across a part', () => {
  const low = { kind: 'ohms', ohms: 0.5 } as const;
  const facts = (on: On) => factAt([...deriveMap(on.events).settings.values()][0]?.settled as never, 0, 1);

  it('closes nothing by itself where the part may read as low: a cold lamp, a winding', () => {
    for (const more of [{ ohms: null }, { ohms: 0.5 }, { ohms: null, form: 'motor' as const }]) {
      const on = bench(2, 1);
      on.read(0, 0, 1, low);
      expect(facts(on).joined).toBe(true);
      on.add(partOn(on, 0, 1, more));
      expect(facts(on).state).toBe('unknown');
      expect(lookAgain(on)).toMatchObject([{ because: 'part-or-contact' }]);
    }
  });

  it('joins where the part reads higher, or a person says it is the contact; parts where it is the part', () => {
    const high = bench(2, 1);
    high.add(partOn(high, 0, 1));
    high.read(0, 0, 1, low);
    expect(facts(high).joined).toBe(true);
    for (const as of ['contact', 'part'] as const) {
      const on = bench(2, 1);
      on.add(partOn(on, 0, 1, { ohms: null }));
      on.read(0, 0, 1, low);
      const [reading] = deriveMap(on.events).tape.map(({ reading: { id } }) => id);
      on.add({ kind: 'explained', readings: [reading as never], as, note: '' });
      expect([as, facts(on).joined]).toEqual([as, as === 'contact']);
    }
  });

  it('lifted at one end: what was read before still says nothing, what is read after joins', () => {
    const on = bench(2, 1);
    on.add(partOn(on, 0, 1, { ohms: null }));
    on.read(0, 0, 1, low);
    on.add(partOn(on, 0, 1, { ohms: null, on: false }));
    expect(facts(on).state).toBe('unknown');
    on.read(0, 0, 1, low);
    expect(facts(on).joined).toBe(true);
  });
});

describe('a low reading where a part was accepted', () => {
  // A cold lamp or a winding reads a few ohms; half as much another time (common practice).
  const accept = (ohms: number) => {
    const on = bench(4, 2);
    const middle = on.read(0, 0, 1, { kind: 'ohms', ohms });
    on.add({ kind: 'explained', readings: [middle.id], as: 'part', note: '' });
    return on;
  };
  const fact = (on: On, a: number, b: number) =>
    factAt([...deriveMap(on.events).settings.values()][1]?.settled as never, a, b);

  it('closes nothing by itself in another position, nor at another terminal of its net', () => {
    const on = accept(3.2);
    on.read(1, 0, 1, { kind: 'ohms', ohms: 1.9 });
    expect(fact(on, 0, 1).state).toBe('unknown');
    expect(lookAgain(on)).toMatchObject([{ because: 'part-or-contact' }]);
    const beside = accept(3.2);
    beside.read(1, 1, 2, { kind: 'ohms', ohms: 0.3 });
    beside.read(1, 0, 2, { kind: 'ohms', ohms: 1.9 });
    expect([fact(beside, 1, 2).joined, fact(beside, 0, 2).state]).toEqual([true, 'unknown']);
  });

  it('joins where the part cannot read as low, or a person says that it is the contact', () => {
    const high = accept(900);
    high.read(1, 0, 1, { kind: 'ohms', ohms: 0.5 });
    expect(fact(high, 0, 1).joined).toBe(true);
    const lower = accept(3.2);
    lower.read(1, 0, 1, { kind: 'ohms', ohms: 0.4 });
    expect(fact(lower, 0, 1).joined).toBe(true);
    const said = accept(3.2);
    const low = said.read(1, 0, 1, { kind: 'ohms', ohms: 1.9 });
    said.add({ kind: 'explained', readings: [low.id], as: 'contact', note: '' });
    expect(fact(said, 0, 1).joined).toBe(true);
  });

  it('elsewhere joins as ever', () => {
    const on = accept(3.2);
    on.read(1, 2, 3, { kind: 'ohms', ohms: 1.9 });
    expect(fact(on, 2, 3).joined).toBe(true);
  });

  it('is asked once of a pair: what reads between the bands there first', () => {
    // Two parts of 20 Ω in a chain, heard one by one; the whole was accepted first.
    const on = bench(3, 1);
    on.read(0, 0, 1, { kind: 'tone', sounded: true });
    on.read(0, 1, 2, { kind: 'tone', sounded: true });
    const [whole, one] = [[0, 2], [0, 1]].map(([a, b]) => on.read(0, a as number, b as number, { kind: 'ohms', ohms: 20 })); // prettier-ignore
    on.add({ kind: 'explained', readings: [whole?.id as never], as: 'part', note: '' });
    expect(lookAgain(on)).toMatchObject([{ a: 0, b: 1, because: 'middle' }]);
    on.add({ kind: 'explained', readings: [one?.id as never], as: 'part', note: '' });
    expect(lookAgain(on)).toEqual([]);
  });
});
