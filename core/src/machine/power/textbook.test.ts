import { describe, expect, it } from 'vitest';
import type { SettingId } from '../../switch/index.js';
import { BOOK_CIRCUITS } from '../../testing/textbook-circuits.js';
import type { BookCircuit } from '../../testing/textbook-parts.js';
import { drawnContacts, drawnCircuit, type Drawn } from '../wiring/drawn.js';
import { drawnHazards, type DrawnSetting } from '../../testing/drawn-hazards.js';
import type { Hazard } from '../hazards/hazard.js';
import { inSetting } from './in-setting.js';

const L = { kind: 'L', volts: 230 } as const;
const N = { kind: 'N', volts: null } as const;
const lamp = { kind: 'lamp', watts: 60, volts: 230 } as const;
const heater = (watts: number) => ({ kind: 'resistive', watts, volts: 230 }) as const;

const THREE_HEAT: Drawn = {
  terminals: 'L N A B C',
  supplies: { mains: L, return: N },
  loads: { e1: heater(400), e2: heater(400) },
  wires: 'L>mains N>return A>e1.1 B>e1.2 B>e2.1 C>e2.2',
};
const TWO_WAY: Drawn = {
  // Both switches as one: 1 is the first's common, 4 the second's; 2 and 3 are the travellers.
  terminals: '1 2 3 4',
  supplies: { mains: L, return: N },
  loads: { lamp },
  wires: '1>mains 4>lamp.1 lamp.2>return',
};
const DC = { kind: '+', volts: 12, current: 'DC' } as const;
const ZERO = { kind: '0', volts: null, current: 'DC' } as const;
const REVERSING: Drawn = {
  terminals: 'P M A B',
  supplies: { battery: DC, minus: ZERO },
  loads: { motor: { kind: 'motor', make: 'permanent-magnet', volts: 12, current: 'DC' } },
  wires: 'P>battery M>minus A>motor.+ B>motor.-',
};
const phase = (kind: 'L1' | 'L2' | 'L3') => ({ kind, volts: 230 }) as const;
const THREE_PHASE: Drawn = {
  terminals: 'L1 L2 L3 U V W',
  supplies: { P1: phase('L1'), P2: phase('L2'), P3: phase('L3') },
  loads: { motor: { kind: 'motor', make: 'three-phase', volts: 400 } },
  // Delta: the end of each winding on the beginning of the next.
  wires:
    'L1>P1 L2>P2 L3>P3 U>motor.U1 V>motor.V1 W>motor.W1 motor.U2>motor.V1 motor.V2>motor.W1 motor.W2>motor.U1',
};
const SIX = 'U1 V1 W1 U2 V2 W2';
const STAR_DELTA: Drawn = {
  terminals: `L1 L2 L3 ${SIX}`,
  supplies: THREE_PHASE.supplies,
  loads: THREE_PHASE.loads,
  wires: `L1>P1 L2>P2 L3>P3 ${SIX.split(' ')
    .map((end) => `${end}>motor.${end}`)
    .join(' ')}`,
};
const CAPACITOR: Drawn = {
  terminals: 'L A B',
  supplies: { mains: L, return: N },
  loads: { motor: { kind: 'motor', make: 'capacitor', volts: 230 } },
  wires: 'L>mains A>motor.A B>motor.B motor.C>return',
};
const SPLIT: Drawn = {
  terminals: 'L R S',
  supplies: { mains: L, return: N },
  loads: { motor: { kind: 'motor', make: 'run-start', volts: 230 } },
  wires: 'L>mains R>motor.R S>motor.S motor.C>return',
};

/** Circuits as textbooks and standards draw them; sources beside each. */
const BOOKS: BookCircuit[] = [
  {
    of: 'two-way lighting (any textbook on house wiring): either switch changes it',
    drawn: TWO_WAY,
    settings: [
      ['both at 2', '1-2-4', 'full'],
      ['one moved', '1-2 3-4', 'off'],
      ['both moved', '1-3-4', 'full'],
    ],
  },
  {
    of: 'three-heat switch (textbook: two equal elements in series, one, both)',
    drawn: THREE_HEAT,
    settings: [
      ['OFF', '', 'off off'],
      ['LOW', 'L-A C-N', 'part 25 part 25'],
      ['MEDIUM', 'L-A B-N', 'full off'],
      ['HIGH', 'L-A-C B-N', 'full full'],
    ],
  },
  {
    of: 'reversing a permanent-magnet motor by crossing its leads, braked by shorting them (textbook on DC machines)',
    drawn: REVERSING,
    settings: [
      ['FORWARD', 'P-A M-B', 'full'],
      ['BRAKE', 'A-B', 'braked'],
      ['OFF', '', 'off'],
      ['REVERSE', 'P-B M-A', 'reversed'],
      ['both on plus', 'P-A-B', 'braked'],
    ],
  },
  {
    of: 'reversing a three-phase motor by exchanging two phases (textbook on AC machines)',
    drawn: THREE_PHASE,
    settings: [
      ['OFF', '', 'off'],
      ['FORWARD', 'L1-U L2-V L3-W', 'full'],
      ['REVERSE', 'L1-V L2-U L3-W', 'reversed'],
      ['one phase lost', 'L1-U L2-V', 'stalled'],
    ],
  },
  {
    of: 'star and delta (textbook: a third of the power in star)',
    drawn: STAR_DELTA,
    settings: [
      ['STAR', 'L1-U1 L2-V1 L3-W1 U2-V2-W2', 'part 33'],
      ['DELTA', 'L1-U1-W2 L2-V1-U2 L3-W1-V2', 'full'],
    ],
  },
  {
    of: 'a capacitor-run motor with two equal windings: fed on the one or the other it turns the other way (common practice)',
    drawn: CAPACITOR,
    settings: [
      ['UP', 'L-A', 'full'],
      ['OFF', '', 'off'],
      ['DOWN', 'L-B', 'reversed'],
      ['both', 'L-A-B', 'stalled'],
    ],
  },
  {
    of: 'a split-phase motor: start and run, then run alone (textbook on AC machines)',
    drawn: SPLIT,
    settings: [
      ['START', 'L-R-S', 'full'],
      ['RUN', 'L-R', 'full'],
      ['start alone', 'L-S', 'stalled'],
    ],
  },
  {
    of: 'two lamps in series and side by side (Ohm)',
    drawn: {
      terminals: 'L M N',
      supplies: { mains: L, return: N },
      loads: { a: lamp, b: { ...lamp, watts: 60 } },
      wires: 'L>mains N>return M>a.1 a.2>b.1 b.2>return',
    },
    settings: [
      ['series', 'L-M', 'part 25 part 25'],
      ['off', '', 'off off'],
    ],
  },
  {
    of: 'broken in the return alone: a lamp that is off and live',
    drawn: {
      terminals: '1 2',
      supplies: { mains: L, return: N },
      loads: { lamp },
      wires: '1>lamp.2 2>return lamp.1>mains',
    },
    settings: [
      ['ON', '1-2', 'full'],
      ['OFF', '', 'floating'],
    ],
  },
];

describe('circuits as textbooks draw them', () => {
  it.each(
    [...BOOKS, ...BOOK_CIRCUITS].flatMap(({ of, drawn, settings }) =>
      settings.map((one) => [of, one[0], drawn, one] as const),
    ),
  )('%s: %s', (_, __, drawn, [name, joins, does]) => {
    const machine = drawnCircuit(drawn);
    const { loads, shorts } = inSetting(machine, name as SettingId, drawnContacts(drawn.terminals, joins));
    const said = [...loads.values()].map((one) =>
      one.does === 'part' ? `part ${Math.round((one.share ?? 0) * 100)}` : one.does,
    );
    expect(said.join(' ')).toBe(does);
    expect(shorts).toEqual([]);
  });

  it('are forty or more', () => expect(BOOKS.length + BOOK_CIRCUITS.length).toBeGreaterThanOrEqual(40));

  it('a three-heat switch takes 200, 400 and 800 W with elements of 400', () => {
    const machine = drawnCircuit(THREE_HEAT);
    const watts = ['', 'L-A C-N', 'L-A B-N', 'L-A-C B-N'].map(
      (joins) => inSetting(machine, 's' as SettingId, drawnContacts(THREE_HEAT.terminals, joins)).watts,
    );
    expect(watts.map((one) => Math.round(one ?? -1))).toEqual([0, 200, 400, 800]);
  });
});

describe('what is not known is not guessed', () => {
  it('a wire with no known end leaves what it could change not known; one on a net that a supply holds changes nothing', () => {
    const drawn = { ...TWO_WAY, wires: '1>mains 4>lamp.1 4>? lamp.2>return' };
    const at = (joins: string, of: Drawn) =>
      inSetting(drawnCircuit(of), 's' as SettingId, drawnContacts(of.terminals, joins)).loads.get(
        'lamp' as never,
      )?.does;
    expect(at('', drawn)).toBe('not-known');
    expect(at('1-2-4', drawn)).toBe('full');
    expect(at('', { ...drawn, wires: drawn.wires.replace('4>?', '1>?') })).toBe('off');
  });

  it('a contact of which nothing is known leaves the lamp behind it not known, and another as it is', () => {
    const drawn: Drawn = {
      terminals: '1 2 3',
      supplies: { mains: L, return: N },
      loads: { a: lamp, b: lamp },
      wires: '1>mains 2>a.1 3>b.1 a.2>return b.2>return',
    };
    const contacts = {
      ...drawnContacts(drawn.terminals, '1-3'),
      isKnown: (one: number, other: number) => ![one, other].every((place) => place < 2),
    };
    const does = (known: typeof contacts.isKnown) => {
      const { loads, watts } = inSetting(drawnCircuit(drawn), 's' as SettingId, {
        ...contacts,
        isKnown: known,
      });
      return [[...loads.values()].map((one) => one.does).join(' '), watts === null];
    };
    // 2 and 3 are known to part, and 1 joins 3: so 1 and 2 part too.
    expect(does(contacts.isKnown)).toEqual(['off full', false]);
    expect(does((one, other) => !(one === 1 || other === 1))).toEqual(['not-known full', true]);
  });
});

describe('hazards', () => {
  const kinds = (
    drawn: Drawn,
    settings: DrawnSetting[],
    makesBefore: boolean | null = false,
  ): Hazard['kind'][] => drawnHazards(drawn, settings, makesBefore).map(({ kind }) => kind);

  it('live at OFF where only the return is broken; none where both sides are', () => {
    const returned = BOOKS.at(-1)?.drawn as Drawn;
    expect(kinds(returned, ['', '1-2'])).toEqual(['live-at-off']);
    expect(kinds(THREE_HEAT, ['', 'L-A C-N'])).toEqual([]);
  });

  it('a short in a setting, and one in passing only where it may make before it breaks', () => {
    expect(kinds(THREE_HEAT, ['L-N'])).toEqual(['short']);
    const [forward, reverse] = ['P-A M-B', 'P-B M-A'];
    const both = [forward, reverse];
    expect(kinds(REVERSING, both, true)).toEqual(['reversed-at-once', 'short-in-passing']);
    expect(kinds(REVERSING, both, null)).toEqual(['reversed-at-once', 'short-in-passing']);
    expect(kinds(REVERSING, both, false)).toEqual(['reversed-at-once']);
    expect(kinds(REVERSING, [forward, '', reverse], true)).toEqual([]);
  });

  it('a start winding that stays fed, unless the handle springs back', () => {
    expect(kinds(SPLIT, ['L-R-S'])).toEqual(['start-stays']);
    expect(kinds(SPLIT, [{ joins: 'L-R-S', springs: true }])).toEqual([]);
  });

  it('star and delta at once is a short of the phases', () => {
    const contacts = drawnContacts(STAR_DELTA.terminals, 'L1-U1-W2 L2-V1-U2 L3-W1-V2 U2-V2-W2');
    const result = inSetting(drawnCircuit(STAR_DELTA), 'both' as SettingId, contacts);
    expect(result.shorts).toEqual([['P1', 'P2', 'P3']]);
    expect(result.loads.get('motor' as never)?.does).toBe('off');
  });
});
