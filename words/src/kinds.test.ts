import { deriveMap } from '@which-way/core/continuity';
import { exampleKinds, kindsOf } from '@which-way/core/kinds';
import { createWriter, type JobEvent, type Load } from '@which-way/core/log';
import { describeSwitch, type ActuatorForm } from '@which-way/core/switch';
import { identify } from '@which-way/core/table';
import { describe, expect, it } from 'vitest';
import { kindTexts, kindWords } from './kinds.js';
import { identityTitle } from './table/identity.js';

/**
 * What a switch is called that joins this, every pair of it read: positions apart by `|`, nets by spaces, terminals apart by `-`, named
 * positions before a colon.
 */
function titleOf(text: string, loads: readonly Load['kind'][] = [], form: ActuatorForm = 'rotary'): string {
  const rows = text.split('|').map((row) => row.trim());
  const names = rows.map((row) => (row.includes(':') ? (row.split(':')[0] ?? '') : ''));
  const nets = rows.map((row) => row.replace(/^[^:]*:/, '').trim().split(' ').filter((one) => one !== '' && one !== '.').map((net) => net.split('-'))); // prettier-ignore
  const labels = [...new Set(nets.flat(2))].toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  let count = 0;
  const newId = () => `id${(count += 1)}` as never;
  const writer = createWriter({ newId, now: () => '2026-01-01T00:00:00.000Z' });
  const change = describeSwitch(
    { terminals: labels.length, positions: rows.length, form, layout: 'list' },
    newId,
  );
  const terminals = change.terminals.map((one, at) => ({ ...one, label: labels[at] ?? '' }));
  const actuators = change.actuators.map((one) => ({
    ...one,
    positions: one.positions.map((position, at) => ({ ...position, name: names[at] || null })),
  }));
  const events: JobEvent[] = [];
  const write = (what: Parameters<typeof writer.write>[1]) => events.push(writer.write(events, what));
  write({ kind: 'restructured', change: { ...change, terminals, actuators }, basedOn: null });
  rows.forEach((_, at) => {
    const readings = labels.flatMap((a, one) =>
      labels.slice(one + 1).map((b, further) => ({
        id: newId(),
        setting: change.settings[at]?.id as never,
        red: [terminals[one]?.id as never],
        black: [terminals[one + 1 + further]?.id as never],
        value: (nets[at] ?? []).some((net) => net.includes(a) && net.includes(b))
          ? { kind: 'ohms' as const, ohms: 0.2 }
          : { kind: 'over' as const },
      })),
    );
    for (const reading of readings)
      write({
        ...{ kind: 'answered', act: 'pair', prompt: null, source: 'typed', inCircuit: false },
        readings: [reading],
      } as never);
  });
  loads.forEach((kind, at) =>
    write({ kind: 'load-named', load: { ...PLAIN_LOAD, id: newId(), name: `load ${at + 1}`, kind } }),
  );
  const map = deriveMap(events);
  return identityTitle(map.structure, identify(map));
}

const PLAIN_LOAD = { amps: null, watts: null, volts: null, current: 'AC', removed: false } as const;

// Names of the trade (common practice) unless a standard stands beside one. Tables written by hand, none made by the generators.
const NAMED: [table: string, title: string][] = [
  ['. | 1-2', '1-pole on-off'],
  // Three elements 3 to 4, 4 to 5, 5 to 6 between 1 and 2 (from memory; watts by Ohm's law).
  [
    '. | 1-3 2-6 | 1-3 2-5 | 1-3 2-4 | 1-3-5 2-4 | 1-3-5 2-4-6',
    'Heat switch for three elements, series and parallel',
  ],
  // Feed 1, lamp 2, top 3, bottom 4, grill 5, fan 6.
  ['. | 1-2 | 1-2-3-4 | 1-2-4 | 1-2-3 | 1-2-5', 'Oven programme selector'],
  ['. | 1-2 | 1-2-3-4 | 1-2-3-4-6 | 1-2-5 | 1-2-5-6', 'Oven programme selector'],
  ['. | 1-2 3-4', '2-pole on-off'],
  ['. | 1-2 3-4 5-6', '3-pole on-off'],
  ['1-2 | .', '1-pole on-off'],
  ['1-2 | 3-4', '2 separate contacts: 1 close, 1 open when moved'],
  ['1-2 3-4 5-6 7-8 | 9-10 11-12 13-14 15-16', '8 separate contacts: 4 close, 4 open when moved'],
  ['A: . | B: 1-2 | C: 1-2 3-4', '2 separate contacts'],
  ['A: . | B: 1-2 | C: .', 'One contact, closed at B'],
  ['A: 1-2 | B: . | C: 1-2', 'One contact, closed except at B'],
  // One lamp from two places.
  ['1-2 | 1-3', '1-pole changeover, common 1'],
  ['1-2 4-5 | 1-3 4-6', '2-pole changeover, commons 1, 4'],
  ['1-2 | . | 1-3', '1-pole changeover, centre off, common 1'],
  // Transfer 1-0-2 of four poles.
  ['1-2 4-5 7-8 10-11 | . | 1-3 4-6 7-9 10-12', '4-pole changeover, centre off, commons 1, 4, 7, 10'],
  // A paddle that goes through its two ways twice.
  ['1-2 | 1-3 | 1-2 | 1-3', '1-pole changeover, to and fro, common 1'],
  ['1-2 | 1-3 | 1-4 | 1-2 | 1-3 | 1-4', '1-pole 3-way selector, repeating, common 1'],
  // Intermediate lighting.
  ['1-3 2-4 | 1-4 2-3', '1-pole intermediate (crossing) switch'],
  ['1-2 | 1-3 | 1-4', '1-pole 3-way selector, common 1'],
  ['. | 1-2 | 1-3 | 1-4', '1-pole 3-way selector with off, common 1'],
  ['1-2 | 1-3 | 1-4 | 1-5 | 1-6 | 1-7', '1-pole 6-way selector, common 1'],
  ['1-2 6-7 | 1-3 6-8 | 1-4 6-9 | 1-5 6-10', '2-pole 4-way selector, commons 1, 6'],
  // Between two ways both: a volume or tone selector, pickups.
  ['1-2 | 1-2-3 | 1-3', '1-pole 2-way selector, both between two ways, common 1'],
  ['1-2 | 1-2-3 | 1-3 | 1-3-4 | 1-4', '1-pole 3-way selector, both between two ways, common 1'],
  // Fan, fan and one element, both: staged heat; parking lamps, then head lamps.
  ['. | 1-2 | 1-2-3', '1-pole progressive, 2 ways, common 1'],
  ['. | 1-2 | 1-2-3 | 1-2-3-4', '1-pole progressive, 3 ways, common 1'],
  ['1-2 | 1-2-3 | 1-2-3-4', '1-pole progressive, 3 ways, the first always closed, common 1'],
  ['1-3-4 | 1-2-4 | 1-2-3', '1-pole all but one, 3 ways, common 1'],
  ['1-3-4-5 | 1-2-4-5 | 1-2-3-5 | 1-2-3-4', '1-pole all but one, 4 ways, common 1'],
  // Two circuits: off, one, both, the other (a battery isolator, two lamps).
  ['. | 1-2 | 1-2-3 | 1-3', '1-pole two-way (off, one, both, the other), common 1'],
  ['. | 1-2 | 1-3 | 1-2-3', '1-pole two-way (off, one, the other, both), common 1'],
  ['1-2-3 | 1-3 | 1-2 | .', '1-pole two-way (both, one, the other, off), common 1'],
  // 8-4-2-1: arithmetic.
  ['. | C-1 | C-2 | C-1-2 | C-4 | C-1-4 | C-2-4 | C-1-2-4', '1-pole coded output, binary, 3 bits, common C'],
  [
    '. | C-1 | C-2 | C-1-2 | C-4 | C-1-4 | C-2-4 | C-1-2-4 | C-8 | C-1-8',
    '1-pole coded output, BCD, 4 bits, common C',
  ],
  [
    'C-1-2-4-8 | C-2-4-8 | C-1-4-8 | C-4-8 | C-1-2-8 | C-2-8 | C-1-8 | C-8 | C-1-2-4 | C-2-4',
    '1-pole coded output, complement of BCD, 4 bits, common C',
  ],
  [
    '. | C-1 | C-2 | C-1-2 | C-4 | C-1-4 | C-2-4 | C-1-2-4 | C-8 | C-1-8 | C-2-8 | C-1-2-8 | C-4-8 | C-1-4-8 | C-2-4-8 | C-1-2-4-8',
    '1-pole coded output, binary (hexadecimal), 4 bits, common C',
  ],
  // Reflected binary: 0 1 3 2 6 7 5 4.
  [
    '. | C-1 | C-1-2 | C-2 | C-2-4 | C-1-2-4 | C-1-4 | C-4',
    '1-pole coded output, Gray code, 3 bits, common C',
  ],
  [
    'C-x1-x2-x4 | C-1-x2-x4 | C-2-x1-x4 | C-1-2-x4 | C-4-x1-x2 | C-1-4-x2 | C-2-4-x1 | C-1-2-4',
    '1-pole coded output, binary with its complement, 3 bits, common C',
  ],
  // Two tracks a quarter apart, twice around.
  ['. | C-A | C-A-B | C-B | . | C-A | C-A-B | C-B', '1-pole coded output, quadrature, 2 bits, common C'],
  // Motors: P M the supply, A B the motor.
  ['P-A M-B | . | P-B M-A', 'Reversing switch'],
  ['P-A M-B | A-B | P-B M-A', 'Reversing switch, braked between'],
  [
    'FWD: P-A M-B 9-10 | OFF: . | REV: P-B M-A',
    'Reversing switch, with one extra contact 9–10, closed at FWD',
  ],
  // Three lines, two of them changed over (terminal marking of IEC 60034-8, from memory).
  ['L1-U L2-V L3-W | . | L1-V L2-U L3-W', 'Reversing switch, three-phase'],
  ['L-U1-Z1 N-U2-Z2 | . | L-U1-Z2 N-U2-Z1', 'Reversing switch for a motor with a start winding'],
  ['P-A M-B R-1 | P-A M-B | . | P-B M-A | P-B M-A R-1', 'Reversing controller, 2 steps each way'],
  [
    'P-A M-B R-1-2 | P-A M-B R-1 | P-A M-B | . | P-B M-A | P-B M-A R-1 | P-B M-A R-1-2',
    'Reversing controller, 3 steps each way',
  ],
  // Crane, five steps each way.
  [
    'P-A M-B R-1-2-3-4 | P-A M-B R-1-2-3 | P-A M-B R-1-2 | P-A M-B R-1 | P-A M-B | . | P-B M-A | P-B M-A R-1 | P-B M-A R-1-2 | P-B M-A R-1-2-3 | P-B M-A R-1-2-3-4',
    'Reversing controller, 5 steps each way',
  ],
  ['. | L1-U1 L2-V1 L3-W1 U2-V2-W2 | L1-U1-W2 L2-V1-U2 L3-W1-V2', 'Star-delta switch'],
  ['. | 1-2 3-4 5-6 7-8 9-10 | 1-2 3-4 5-6 11-12 13-14 15-16', 'Star-delta switch, single contacts'],
  [
    'L1-U1-W2 L2-V1-U2 L3-W1-V2 | L1-U1 L2-V1 L3-W1 U2-V2-W2 | . | L1-V1 L2-U1 L3-W1 U2-V2-W2 | L1-V1-U2 L2-U1-W2 L3-W1-V2',
    'Star-delta switch, reversing',
  ],
  // One tapped winding: delta, then double star.
  ['. | L1-1U L2-1V L3-1W | L1-2U L2-2V L3-2W 1U-1V-1W', 'Pole-changing switch, two speeds'],
  // Two windings: three selectors with off.
  ['. | L1-1U L2-1V L3-1W | L1-2U L2-2V L3-2W', '3-pole 2-way selector with off, commons L1 to L3'],
  // Heaters: two elements A–B and B–C.
  ['. | L-A N-C | L-A N-B | L-A-C N-B', 'Three-heat switch, series and parallel'],
  ['. | L-A N-C | L-A N-B | L-C N-B | L-A-C N-B', 'Four-heat switch for two unlike elements'],
  ['. | P1-H1 P2-H2-S', 'Two-pole on-off with a pilot contact'],
  ['P-A1 A2-B1 B2-M | P-A1-B1 M-A2-B2', 'Series-parallel switch'],
  // Vehicles and engines.
  ['. | B-A | B-A-I | B-I-S', 'Ignition switch, accessories off while it starts'],
  ['M-G | B-L | B-L-S', 'Engine key switch, magneto grounded at off'],
  ['F-LF-LR S-RR | S-LR-RR | F-RF-RR S-LR', 'Turn signal switch with the stop lamps through it'],
  ['P-A B-G | A-B-G | P-B A-G', 'Motor reversing switch, both leads grounded at rest'],
  // Inputs and meters.
  ['C-1 G-2-3-4 | C-2 G-1-3-4 | C-3 G-1-2-4 | C-4 G-1-2-3', '4-way selector, idle inputs grounded'],
  ['. | L1-V1 L2-V2 | L2-V1 L3-V2 | L3-V1 L1-V2', 'Voltmeter selector, line to line'],
  [
    '. | L1-V1 L2-V2 | L2-V1 L3-V2 | L3-V1 L1-V2 | L1-V1 N-V2 | L2-V1 N-V2 | L3-V1 N-V2',
    'Voltmeter selector, line to line and to neutral',
  ],
  // In other orders, with off at the end or in the middle.
  ['L1-V1 L2-V2 | L2-V1 L3-V2 | L1-V1 L3-V2 | .', 'Voltmeter selector, line to line'],
  ['L1-V1 L2-V2 | L1-V1 L3-V2 | L2-V1 L3-V2', 'Voltmeter selector, line to line'],
  [
    'L1-V1 N-V2 | L2-V1 N-V2 | L3-V1 N-V2 | . | L1-V1 L2-V2 | L2-V1 L3-V2 | L1-V1 L3-V2',
    'Voltmeter selector, line to line and to neutral',
  ],
  ['1-A 2-3-N | 2-A 1-3-N | 3-A 1-2-N | 1-2-3-N', 'Ammeter selector, idle transformers shorted'],
  ['1-2-3-N | 1-A 2-3-N | 2-A 1-3-N | 3-A 1-2-N', 'Ammeter selector, idle transformers shorted'],
  // Joysticks.
  ['. | C-N | C-E | C-S | C-W', '1-pole 4-way selector with off, common C'],
  ['. | C-N | C-N-E | C-E | C-E-S | C-S | C-S-W | C-W | C-W-N', 'Joystick, eight ways'],
  [
    '. | 1-2 | 1-2 3-4 | 3-4 | 3-4 5-6 | 5-6 | 5-6 7-8 | 7-8 | 7-8 1-2',
    'Joystick, eight ways, four contacts',
  ],
  // Nothing that has a name is told as what it joins.
  ['1-2-3 | 1-2-3', 'Joined in every position: 1 to 3'],
  ['1-2 | 1-3 | 1-2 | 1-4', '1 to 2, 3, 2, 4 in turn'],
  ['A: 1-2-3 | B: 1-2 | C: .', '1 with 2 closed except at C, 3 closed at A'],
];

describe('what a switch is called', () => {
  it.each(NAMED)('%s', (table, title) => expect(titleOf(table)).toBe(title));

  it('is told for every kind of the table, each its own', () => {
    const all = exampleKinds().map(({ kind, poles, ways }) => kindWords(kind, poles, ways));
    expect(new Set(all).size).toBe(all.length);
    expect(NAMED.length).toBeGreaterThanOrEqual(60);
  });
});

describe('a list of kinds', () => {
  it('tells those of one name apart: by their positions in turn, and by number where those are alike', () => {
    expect(kindTexts(kindsOf(5, 4)).filter((text) => /ammeter|three-heat/.test(text))).toEqual([
      'three-heat switch, series and parallel: OFF, LOW, MEDIUM, HIGH',
      'three-heat switch, series and parallel: OFF, LOW, MEDIUM, HIGH (2)',
      'ammeter selector, idle transformers shorted: OFF, L1, L2, L3',
      'ammeter selector, idle transformers shorted: L1, L2, L3, OFF',
    ]);
    for (let terminals = 2; terminals < 12; terminals += 1)
      for (let settings = 2; settings < 9; settings += 1) {
        const texts = kindTexts(kindsOf(terminals, settings));
        expect(new Set(texts).size).toBe(texts.length);
      }
  });
});

describe('what the hand moves', () => {
  // Common practice.
  it.each([
    ['. | 1-2', 'push', 'Push button, 1-pole, closes when pressed'],
    ['1-2 | .', 'push', 'Push button, 1-pole, opens when pressed'],
    ['. | 1-2 3-4', 'trigger', 'Trigger switch, 2-pole, closes when squeezed'],
    ['. | 1-2', 'key', 'Key switch, 1-pole on-off'],
    ['1-2 | 1-3 | 1-4', 'key', 'Key switch, 1-pole 3-way selector, common 1'],
    ['1-2 | 1-3', 'pull', 'Pull switch, 1-pole changeover, common 1'],
    ['. | 1-2', 'toggle', '1-pole on-off'],
    ['1-2 | 3-4', 'push', '2 separate contacts: 1 close, 1 open when moved'],
  ] as const)('%s on a %s: %s', (table, form, title) => {
    expect(titleOf(table, [], form)).toBe(title);
  });
});

describe('a pattern that trades share', () => {
  // Common practice: one and the same contacts, called after what they switch.
  const TWO_CONTACTS = 'OFF: . | 1: 1-2 | 2: 1-3 | 3: 1-2-3';
  const CROSSED = '1-3 2-4 | 1-4 2-3';

  it.each([
    [
      TWO_CONTACTS,
      ['resistive', 'resistive'],
      'Heat switch for two elements: off, one, the other, both, common 1',
    ],
    [TWO_CONTACTS, ['lamp'], 'Light switch for two circuits: off, one, the other, both, common 1'],
    [TWO_CONTACTS, ['motor'], '1-pole two-way (off, one, the other, both), common 1'],
    [CROSSED, ['lamp'], 'Intermediate light switch'],
    [CROSSED, ['motor'], 'Motor reversing switch, no off'],
    [CROSSED, ['signal', 'signal'], 'Phase switch'],
    ['1-3 2-4 | . | 1-4 2-3', ['signal'], 'Phase switch, off between'],
    ['1-2 | 1-2-3 | 1-3', ['signal', 'signal'], 'Selector for two pickups, both in the middle, common 1'],
    ['. | 1-2 | 1-2-3 | 1-2-3-4', ['resistive'], 'Heat switch, 3 steps, common 1'],
  ] as const)('%s with loads %s', (table, loads, title) => {
    expect(titleOf(table, loads)).toBe(title);
  });

  it('is called as anywhere where the loads are of two trades, of none that has a name of its own, or not said', () => {
    const plain = '1-pole two-way (off, one, the other, both), common 1';
    expect([titleOf(TWO_CONTACTS), titleOf(TWO_CONTACTS, ['resistive', 'lamp'])]).toEqual([plain, plain]);
    expect(titleOf(CROSSED, ['electronics'])).toBe(titleOf(CROSSED));
    expect(titleOf(CROSSED, ['motor', 'electronics'])).toBe(titleOf(CROSSED));
  });
});
