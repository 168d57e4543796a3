import { describe, expect, it } from 'vitest';
import { effectiveOhms } from '../network/index.js';
import { ORDINARY_METER, PLAIN_APPROACH, type Deed, type MeterProfile, type Part } from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { PartId, TerminalId, TerminalRole } from '../switch/index.js';
import { bench, mapHidden } from '../testing/generated.js';
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

describe('a beep across a declared part', () => {
  const heard = (meter: MeterProfile, ohms: number) => {
    const on = bench(3, 1);
    on.add({ kind: 'meter-checked', leadsTogether: { kind: 'tone', sounded: true }, meter });
    on.add(partOn(on, 0, 1, { form: 'resistor', ohms }));
    on.read(0, 0, 1, { kind: 'tone', sounded: true });
    return factAt([...deriveMap(on.events).settings.values()][0]?.settled as never, 0, 1).state;
  };
  const own = { ...ORDINARY_METER, name: 'The grey one', beeperOhms: 30 };

  // Common practice: beepers sound below 20 to 200 ohm, by meter.
  it.each([
    ['any meter may sound through 150 Ω', ORDINARY_METER, 150, 'unknown'],
    ['none sounds through 10 kΩ: a contact is closed', ORDINARY_METER, 10_000, 'measured'],
    ['one that stays silent at 30 Ω does not sound through 150', own, 150, 'measured'],
    ['but through 20', own, 20, 'unknown'],
  ] as const)('%s', (_, meter, ohms, state) => expect(heard(meter, ohms)).toBe(state));
});

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

  it('of two low readings round it, of which one is a contact, neither closes before a person says which', () => {
    const on = accept(3.2);
    const one = on.read(1, 0, 2, { kind: 'ohms', ohms: 1.9 });
    on.read(1, 1, 2, { kind: 'ohms', ohms: 1.9 });
    expect([fact(on, 0, 2).state, fact(on, 1, 2).state]).toEqual(['unknown', 'unknown']);
    on.add({ kind: 'explained', readings: [one.id], as: 'part', note: '' });
    expect([fact(on, 0, 2).joined, fact(on, 1, 2).joined]).toEqual([false, true]);
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

describe('a terminal that was named a lamp tab or the end of a coil', () => {
  const named = (role: TerminalRole, at = 2) => {
    const on = bench(5, 2);
    const terminal = on.terminals[at] as TerminalId;
    on.add({ kind: 'restructured', change: { change: 'terminal-role', terminal, role }, basedOn: null });
    return on;
  };
  const fact = (on: On, a: number, b: number, setting = 0) =>
    factAt([...deriveMap(on.events).settings.values()][setting]?.settled as never, a, b);

  it.each([
    ['lamp', { kind: 'ohms', ohms: 0.7 }],
    ['coil', { kind: 'ohms', ohms: 1.2 }],
    ['coil', { kind: 'tone', sounded: true }],
  ] as const)('closes nothing by a low reading alone: %s, %o; a person says which', (role, value) => {
    for (const [a, b] of [
      [0, 2],
      [2, 3],
    ] as const) {
      // prettier-ignore
      const on = named(role);
      const low = on.read(0, a, b, value);
      expect(fact(on, a, b).state).toBe('unknown');
      expect(lookAgain(on)).toMatchObject([{ a, b, because: 'part-or-contact' }]);
      on.add({ kind: 'explained', readings: [low.id], as: 'contact', note: '' });
      expect(fact(on, a, b).joined).toBe(true);
      expect(lookAgain(on)).toEqual([]);
    }
  });

  it('parts where it reads open, and where a person says that it is the part', () => {
    const on = named('lamp');
    on.read(0, 1, 2, { kind: 'over' });
    const low = on.read(0, 0, 2, { kind: 'ohms', ohms: 0.7 });
    on.add({ kind: 'explained', readings: [low.id], as: 'part', note: '' });
    expect([fact(on, 1, 2).joined, fact(on, 0, 2).joined]).toEqual([false, false]);
  });

  it('changes nothing beside it, nor at a tie lug, which has no contact behind it but is no part', () => {
    const beside = named('coil');
    beside.read(0, 0, 1, { kind: 'ohms', ohms: 0.7 });
    expect(fact(beside, 0, 1).joined).toBe(true);
    const tie = named('dummy');
    tie.read(0, 0, 2, { kind: 'ohms', ohms: 0.7 });
    expect(fact(tie, 0, 2).joined).toBe(true);
  });

  it('a map that grows by a reading at a time is the same as one made at once', () => {
    const on = named('coil');
    on.read(0, 0, 2, { kind: 'ohms', ohms: 0.7 });
    on.read(0, 0, 1, { kind: 'ohms', ohms: 0.3 });
    on.bundle(0, [0, 1], [2], { kind: 'ohms', ohms: 0.7 });
    const mapper = createMapper();
    for (let at = 1; at <= on.events.length; at += 1) mapper(on.events.slice(0, at));
    expect(mapper(on.events).settings).toEqual(deriveMap(on.events).settings);
  });
});

describe('a low bundle that a part may have closed', () => {
  // Terminals 0 and 1 tied against 3: open at 1, so a contact at 0 would follow; a lamp lies there.
  const bundled = (on: On) => {
    on.bundle(0, [0, 1], [3], { kind: 'ohms', ohms: 0.7 });
    on.read(0, 1, 3, { kind: 'over' });
    return factAt([...deriveMap(on.events).settings.values()][0]?.settled as never, 0, 3);
  };

  it('closes nothing by elimination where a part is declared, accepted or named', () => {
    const plain = bench(5, 1);
    expect(bundled(plain)).toMatchObject({ state: 'follows', joined: true });
    const declared = bench(5, 1);
    declared.add(partOn(declared, 0, 3, { ohms: null }));
    expect(bundled(declared).state).toBe('unknown');
    const accepted = bench(5, 2);
    const middle = accepted.read(1, 0, 3, { kind: 'ohms', ohms: 1.3 });
    accepted.add({ kind: 'explained', readings: [middle.id], as: 'part', note: '' });
    expect(bundled(accepted).state).toBe('unknown');
    const named = bench(5, 1);
    const terminal = named.terminals[3] as TerminalId;
    named.add({
      kind: 'restructured',
      change: { change: 'terminal-role', terminal, role: 'coil' },
      basedOn: null,
    });
    expect(bundled(named).state).toBe('unknown');
  });

  it('across no part it proves as ever', () => {
    const on = bench(5, 1);
    on.add(partOn(on, 2, 4, { ohms: null }));
    expect(bundled(on)).toMatchObject({ state: 'follows', joined: true });
  });

  it('is split by the plan into pairs, which ends', () => {
    const on = bench(7, 2);
    on.add(partOn(on, 0, 5, { ohms: null }));
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: 6 } });
    const hidden = [partitionFromGroups(7, [[0, 1]]), partitionFromGroups(7, [[0, 2]])];
    // A lamp that reads low across 0 and 5 in both positions: the truthful hands see it as a join.
    const shown = [partitionFromGroups(7, [[0, 1, 5]]), partitionFromGroups(7, [[0, 2, 5]])];
    const { map } = mapHidden(shown, on);
    [...map.settings.values()].forEach(({ settled }, at) => {
      for (let a = 0; a < 7; a += 1)
        for (let b = a + 1; b < 7; b += 1)
          if (factAt(settled, a, b).joined)
            expect([at, a, b, hidden[at]?.[a]]).toEqual([at, a, b, hidden[at]?.[b]]);
    });
    expect(map.complete).toBe(false);
  });
});
