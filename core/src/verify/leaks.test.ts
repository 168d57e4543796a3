import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import type { TerminalId } from '../switch/index.js';
import { bench, type Bench } from '../testing/generated.js';
import { leaksOf } from './leaks.js';
import { shownOf } from './must-show.js';
import { verdictOf } from './verdict.js';

/** Two contacts and the frame, one position; what feeds the machine, if anybody has said. */
function withFrame(supply: 'mains' | 'battery' | null): Bench {
  const on = bench(3, 2);
  const change = { change: 'terminal-role', terminal: on.terminals[2] as TerminalId, role: 'frame' } as const;
  on.add({ kind: 'restructured', change, basedOn: null });
  if (supply !== null)
    on.add({
      kind: 'supply-named',
      supply: {
        id: on.newId(),
        name: supply,
        kind: supply === 'mains' ? 'L' : '+',
        volts: supply === 'mains' ? 230 : 12,
        current: supply === 'mains' ? 'AC' : 'DC',
        removed: false,
      },
    });
  return on;
}

/** A value that a person read and accepted as a leak. */
function accepted(on: Bench, setting: number, a: number, b: number, ohms: number): void {
  const { id } = on.read(setting, a, b, { kind: 'ohms', ohms });
  on.add({ kind: 'explained', readings: [id], as: 'leak', note: '' });
}

const insulation = (on: Bench) => verdictOf(deriveMap(on.events)).insulation;

describe('an accepted leak', () => {
  it('stands under insulation with its value, each pair once, however often it was read', () => {
    const on = withFrame(null);
    accepted(on, 0, 0, 2, 6e5);
    accepted(on, 1, 2, 0, 4e5);
    on.read(0, 0, 1, { kind: 'ohms', ohms: 5e6 });
    const leaks = leaksOf(deriveMap(on.events));
    // The lead zero of 0.2 ohm is taken off; both settings of the pair stand in one line.
    expect(
      leaks.map(({ quantity, settings, toFrame }) => [Math.round(quantity.ohms), settings, toFrame]),
    ).toEqual([
      [400_000, on.settings, true],
      [5_000_000, [on.settings[0]], false],
    ]);
  });

  // The limit of 1 megohm of live parts to earth is common practice.
  it.each([
    ['mains', 6e5, { outcome: 'fail', reasons: ['leak-to-frame'] }],
    ['mains', 9e5, { outcome: 'fail', reasons: ['leak-to-frame'] }],
    ['mains', 5e6, { outcome: 'not-yet', reasons: ['leak-to-frame-test', 'no-insulation-test'] }],
    ['battery', 6e5, { outcome: 'not-yet', reasons: ['leak-found', 'no-insulation-test'] }],
    [null, 6e5, { outcome: 'not-yet', reasons: ['leak-to-frame-supply', 'no-insulation-test'] }],
  ] as const)('to the frame, fed from %s, of %d ohm', (supply, ohms, line) => {
    const on = withFrame(supply);
    if (ohms < 1e6) accepted(on, 0, 0, 2, ohms);
    else on.read(0, 0, 2, { kind: 'ohms', ohms });
    expect(insulation(on)).toEqual(line);
    expect(shownOf(deriveMap(on.events), 'no-leak')).toBe('fails');
  });

  // 0: a contact; 1: another; 2: the frame; 3: an earth tab; 4: the can, a frame too.
  const LOW = { kind: 'ohms', ohms: 0.4 } as const;
  const joined = { outcome: 'fail', reasons: ['frame-joined'] };
  const untested = { outcome: 'not-yet', reasons: ['no-insulation-test'] };
  it.each([
    ['a contact and the frame', 0, 2, LOW, joined],
    ['a contact and an earth tab', 0, 3, LOW, joined],
    ['an earth tab and a contact', 3, 0, LOW, joined],
    // The bond of the case, and two pieces of one case, are as they should be.
    ['an earth tab and the frame', 3, 2, LOW, untested],
    ['the frame and the can', 2, 4, LOW, untested],
    ['an earth tab and the frame, badly', 3, 2, { kind: 'ohms', ohms: 5e6 }, untested],
    [
      'a contact and an earth tab, by a leak',
      0,
      3,
      { kind: 'ohms', ohms: 5e6 },
      {
        outcome: 'not-yet',
        reasons: ['leak-to-frame-test', 'no-insulation-test'],
      },
    ],
  ] as const)('or a join between %s', (_, a, b, value, line) => {
    const on = bench(5, 1);
    for (const [place, role] of [
      [2, 'frame'],
      [3, 'earth'],
      [4, 'frame'],
    ] as const)
      on.add({
        kind: 'restructured',
        change: { change: 'terminal-role', terminal: on.terminals[place] as TerminalId, role },
        basedOn: null,
      });
    on.add({
      kind: 'supply-named',
      supply: { id: on.newId(), name: 'mains', kind: 'L', volts: 230, current: 'AC', removed: false },
    });
    on.read(0, a, b, value);
    expect(insulation(on)).toEqual(line);
  });

  it.each([
    ['DC', 110, 'leak-found'],
    ['DC', 230, 'leak-to-frame'],
    ['AC', 24, 'leak-found'],
    ['AC', 110, 'leak-to-frame'],
  ] as const)('on %s of %d V is %s', (current, volts, reason) => {
    const on = withFrame(null);
    const supply = { id: on.newId(), name: 'a', volts, current, removed: false } as const;
    on.add({ kind: 'supply-named', supply: { ...supply, kind: current === 'AC' ? 'L' : '+' } as never });
    accepted(on, 0, 0, 2, 6e5);
    expect(insulation(on).reasons).toContain(reason);
  });

  it('is not passed by an insulation test that was made elsewhere', () => {
    const on = withFrame('battery');
    accepted(on, 0, 0, 2, 6e5);
    const test = { between: 'contacts', testVolts: 500, megohms: 200, limitMegohms: 1 };
    on.add({ kind: 'insulation-tested', test });
    expect(insulation(on)).toEqual({ outcome: 'cannot-tell', reasons: ['leak-found', 'insulation-good'] });
  });

  it('is none that was called a part, and none any more once its reading is taken back', () => {
    const on = withFrame('mains');
    const { id } = on.read(0, 0, 2, { kind: 'ohms', ohms: 6e5 });
    on.add({ kind: 'explained', readings: [id], as: 'part', note: '' });
    expect(leaksOf(deriveMap(on.events))).toEqual([]);
    const again = withFrame('mains');
    accepted(again, 0, 0, 2, 6e5);
    const act = again.events.find(({ what }) => what.kind === 'answered');
    again.add({ kind: 'withdrawn', target: act?.id as never, basedOn: null });
    expect(leaksOf(deriveMap(again.events))).toEqual([]);
  });
});
