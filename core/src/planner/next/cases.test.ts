import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { readingsAsked } from '../../log/index.js';
import type { TerminalId, TerminalRole } from '../../switch/index.js';
import { bench, CLOSED, OPEN, type Bench } from '../../testing/generated.js';
import { learntChance } from '../chance/chance.js';
import { fieldOf } from '../field/field-of-map.js';
import { polarityAsk } from './other-way-round.js';

const says = (on: Bench, terminal: number, role: TerminalRole) =>
  on.add({
    kind: 'restructured',
    change: { change: 'terminal-role', terminal: on.terminals[terminal] as TerminalId, role },
    basedOn: null,
  });

describe('cases of the trade change what is asked', () => {
  it.each(['earth', 'electronics', 'track', 'frame'] as const)('%s is not asked for the pattern', (role) => {
    const on = bench(4, 1);
    says(on, 3, role);
    expect(fieldOf(deriveMap(on.events)).places).toEqual([0, 1, 2]);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 0, 2, OPEN);
    expect(deriveMap(on.events).complete).toBe(true);
  });

  it.each(['contact', 'dummy', 'lamp'] as const)('%s is asked like any other', (role) => {
    const on = bench(3, 1);
    says(on, 2, role);
    expect(fieldOf(deriveMap(on.events)).places).toEqual([0, 1, 2]);
  });

  it('a lamp tab that read open is read the other way round, once', () => {
    const on = bench(2, 1);
    const [one, lamp] = on.terminals;
    on.read(0, 0, 1, OPEN);
    expect(polarityAsk(deriveMap(on.events))).toBeNull();
    says(on, 1, 'lamp');
    const ask = polarityAsk(deriveMap(on.events));
    expect(ask && readingsAsked(ask)).toMatchObject([{ red: [lamp], black: [one] }]);
    on.read(0, 1, 0, OPEN);
    expect(polarityAsk(deriveMap(on.events))).toBeNull();
  });

  it('so does a capacitor that was declared across two terminals', () => {
    const on = bench(2, 1);
    on.read(0, 0, 1, OPEN);
    const terminals = on.terminals.slice(0, 2) as [TerminalId, TerminalId];
    const part = { form: 'capacitor', terminals, ohms: null, note: '', on: true, removed: false } as const;
    on.add({ kind: 'part-declared', part: { id: on.newId(), ...part } });
    expect(polarityAsk(deriveMap(on.events))).not.toBeNull();
  });
});

describe('what a terminal looks like', () => {
  it('makes it a little likelier to join another, certain of nothing, and counts for nothing', () => {
    const on = bench(4, 2);
    const before = learntChance(fieldOf(deriveMap(on.events)));
    const plain = before(0, 1, 2);
    const looked = on.add({
      kind: 'terminal-looked',
      terminal: on.terminals[2] as TerminalId,
      looks: ['wide-tab'],
    });
    const map = deriveMap(on.events);
    const hinted = learntChance(fieldOf(map));
    expect(hinted(0, 1, 2)).toBeGreaterThan(plain);
    expect(hinted(0, 1, 2)).toBeLessThan(plain * 1.5 + 1e-12);
    expect(hinted(0, 0, 1)).toBe(before(0, 0, 1));
    expect([...map.settings.values()].every(({ coverage }) => coverage.measured === 0)).toBe(true);
    on.add({ kind: 'withdrawn', target: looked.id, basedOn: null });
    expect(learntChance(fieldOf(deriveMap(on.events)))(0, 1, 2)).toBe(plain);
  });
});
