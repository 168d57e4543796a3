import { describe, expect, it } from 'vitest';
import type { Load } from '../../log/index.js';
import type { LoadId, SettingId } from '../../switch/index.js';
import { drawnCircuit, drawnContacts, type Drawn } from '../wiring/drawn.js';
import { contactsOfNets } from './contacts.js';
import { inSetting } from './in-setting.js';
import type { Signal, SignalState } from './signals.js';

// What reaches an output, each answer worked out by hand beside its case (how pickups and inputs are switched: common practice).

const source = { kind: 'signal', make: 'signal-source' } as Partial<Load>;
const output = { kind: 'signal', make: 'signal-output' } as Partial<Load>;
const control = { kind: 'resistive' } as Partial<Load>;

/** `a + b` in series, `a | b` in parallel, `-a` turned, `[tone]` a part. */
function written(signal: Signal): string {
  if (signal.of === 'source') {
    const coils = signal.coils ? ` ${signal.coils}${signal.against ? ' against' : ''}` : '';
    return `${signal.turned ? '-' : ''}${signal.load}${coils}`;
  }
  if (signal.of === 'part') return `[${signal.load}]`;
  const inner = signal.parts.map((part) => ('parts' in part ? `(${written(part)})` : written(part)));
  return inner.join(signal.of === 'series' ? ' + ' : ' | ');
}

const told = (state: SignalState | undefined): string => {
  if (!state) return 'not known';
  if (state.is === 'reached') return written(state.by);
  return state.is === 'tangled' ? `tangled ${state.sources.join(' ')}` : state.is;
};

/** What each source and output does while these contacts are closed. */
function signals(drawn: Drawn, joins: string): Record<string, string> {
  const { loads } = inSetting(drawnCircuit(drawn), 's' as SettingId, drawnContacts(drawn.terminals, joins));
  return Object.fromEntries(
    Object.keys(drawn.loads).map((name) => [name, told(loads.get(name as LoadId)?.signal)]),
  );
}

/** Lugs N and B: the hot ends of two pickups; C: the output; G: a lug on ground. */
const SELECTOR: Drawn = {
  terminals: 'N B C G',
  supplies: {},
  loads: { neck: source, bridge: source, out: output },
  wires: 'N>neck.+ B>bridge.+ C>out.+ neck.->out.- bridge.->out.- G>out.-',
};
/** Both ends of the neck on lugs, so that it can be put in series or turned. */
const FREE: Drawn = {
  terminals: '1 2 B C G',
  supplies: {},
  loads: { neck: source, bridge: source, out: output },
  wires: '1>neck.+ 2>neck.- B>bridge.+ C>out.+ bridge.->out.- G>out.-',
};
/** Two inputs and two outputs, left and right. */
const INPUTS: Drawn = {
  terminals: 'L1 L2 L R1 R2 R',
  supplies: {},
  loads: { tunerL: source, discL: source, tunerR: source, discR: source, left: output, right: output },
  wires:
    'L1>tunerL.+ L2>discL.+ L>left.+ R1>tunerR.+ R2>discR.+ R>right.+ tunerL.->left.- discL.->left.- tunerR.->left.- discR.->left.- right.->left.-',
};

/** A pickup of two coils, all four leads on lugs, and a plain one beside it on C. */
const COILS: Drawn = {
  terminals: '1 2 3 4 C G',
  supplies: {},
  loads: { neck: { kind: 'signal', make: 'double-coil' } as Partial<Load>, bridge: source, out: output },
  wires: '1>neck.A1 2>neck.A2 3>neck.B1 4>neck.B2 C>out.+ G>out.- bridge.->out.-',
};
const BOTH: Drawn = { ...COILS, wires: `${COILS.wires} bridge.+>out.+` };

describe('what reaches an output', () => {
  const cases: [what: string, Drawn, joins: string, Record<string, string>][] = [
    ['one pickup', SELECTOR, 'N-C', { neck: 'reaches', bridge: 'apart', out: 'neck' }],
    ['two in parallel', SELECTOR, 'N-C-B', { neck: 'reaches', bridge: 'reaches', out: 'neck | bridge' }],
    ['none', SELECTOR, '', { neck: 'apart', bridge: 'apart', out: 'not-reached' }],
    ['the idle one grounded', SELECTOR, 'N-C B-G', { bridge: 'grounded', out: 'neck' }],
    ['the output grounded: a mute', SELECTOR, 'C-G', { neck: 'apart', out: 'shorted' }],
    ['one that is joined to a grounded output', SELECTOR, 'N-C-G', { neck: 'grounded', out: 'shorted' }],
    ['two in series', FREE, '1-C 2-B', { neck: 'reaches', bridge: 'reaches', out: 'neck + bridge' }],
    ['in series, one turned', FREE, '2-C 1-B', { out: '-neck + bridge' }],
    ['in parallel, one turned', FREE, '2-C-B 1-G', { out: '-neck | bridge' }],
    ['one turned by itself', FREE, '2-C 1-G', { out: '-neck', bridge: 'apart' }],
    ['one that hangs by one end', FREE, '1-C-B', { neck: 'hangs', out: 'bridge' }],
    ['one with its ends joined, off the ground', FREE, '1-2 B-C', { neck: 'joined-ends', out: 'bridge' }],
    [
      'left and right from one source',
      INPUTS,
      'L1-L R1-R',
      { left: 'tunerL', right: 'tunerR', discL: 'apart' },
    ],
    ['a channel crossed over', INPUTS, 'L1-L R2-R', { left: 'tunerL', right: 'discR' }],
    // Four leads of two coils: in series 1 hot, 2 on 3, 4 ground; in parallel both hot, both ground; one coil alone is split.
    ['two coils in series', COILS, '1-C 2-3 4-G', { neck: 'reaches', out: 'neck series' }],
    ['two coils in parallel', COILS, '1-3-C 2-4-G', { neck: 'reaches', out: 'neck parallel' }],
    ['one coil, the other shorted', COILS, '1-C 2-3-4-G', { neck: 'split', out: 'neck A' }],
    ['one coil, the other apart', COILS, '3-C 4-G', { neck: 'split', out: 'neck B' }],
    ['two coils in series, out of phase', COILS, '1-C 2-4 3-G', { out: 'neck series against' }],
    ['two coils in parallel, out of phase', COILS, '1-4-C 2-3-G', { out: 'neck parallel against' }],
    ['both coils turned', COILS, '4-C 2-3 1-G', { out: '-neck series' }],
    ['both coils off, on the ground', COILS, '1-2-3-4-G', { neck: 'grounded', out: 'not-reached' }],
    ['in series beside a plain one', BOTH, '1-C 2-3 4-G', { neck: 'reaches', out: 'neck series | bridge' }],
    ['in parallel beside a plain one', BOTH, '1-3-C 2-4-G', { out: 'neck parallel | bridge' }],
    ['both channels joined: mono', INPUTS, 'L1-L-R', { left: 'tunerL', right: 'tunerL' }],
  ];
  it.each(cases)('%s', (_, drawn, joins, wanted) => {
    expect(signals(drawn, joins)).toMatchObject(wanted);
  });

  it('tells a tone control across from a part in the way', () => {
    const tone: Drawn = {
      ...{ terminals: 'N C', supplies: {} },
      loads: { neck: source, tone: control, out: output },
      wires: 'N>neck.+ C>out.+ neck.->out.- tone.1>out.+ tone.2>out.-',
    };
    expect(signals(tone, 'N-C').out).toBe('neck | [tone]');
    expect(signals(tone, '').out).toBe('not-reached');
    const inTheWay = { ...tone, wires: 'N>neck.+ C>tone.1 tone.2>out.+ neck.->out.-' };
    expect(signals(inTheWay, 'N-C').out).toBe('[tone] + neck');
    expect(signals(inTheWay, '').out).toBe('not-reached');
  });

  it('names the sources of a bridge, which is neither series nor parallel', () => {
    const bridge: Drawn = {
      ...{ terminals: 'X Y', supplies: {} },
      loads: { a: source, b: source, c: source, d: source, e: source, out: output },
      wires: 'X>a.- Y>b.- a.+>out.+ b.+>out.+ X>c.+ Y>d.+ c.->out.- d.->out.- X>e.+ Y>e.-',
    };
    expect(signals(bridge, '').out).toBe('tangled a b c d e');
    // Joined across, e is shorted, and two pairs in parallel lie in series.
    expect(signals(bridge, 'X-Y')).toMatchObject({ out: '(a | b) + (c | d)', e: 'joined-ends' });
  });

  it('is not known where a wire that goes nowhere yet, an end or a contact may change it, and known beside that', () => {
    const open = { ...INPUTS, wires: `${INPUTS.wires} L2>?` };
    expect(signals(open, 'L1-L R1-R')).toMatchObject({ discL: 'not known', left: 'not known' });
    const loads = inSetting(drawnCircuit(SELECTOR), 's' as SettingId, {
      ...contactsOfNets([0, 1, 0, 3]),
      isKnown: (a, b) => a !== 3 && b !== 3 && !(a === 1 || b === 1),
    }).loads;
    expect(loads.get('out' as LoadId)?.does).toBe('not-known');
  });

  it('takes no watts and does not say it of what is fed beside it', () => {
    const { watts, loads } = inSetting(
      drawnCircuit({
        ...SELECTOR,
        terminals: 'N B C G S',
        supplies: {
          plus: { kind: '+', volts: 9, current: 'DC' },
          minus: { kind: '0', volts: null, current: 'DC' },
        },
        loads: { ...SELECTOR.loads, lamp: { kind: 'lamp', watts: 2, volts: 9, current: 'DC' } },
        wires: `${SELECTOR.wires} S>plus G>lamp.1 lamp.2>minus`,
      }),
      's' as SettingId,
      drawnContacts('N B C G S', 'N-C'),
    );
    expect(watts).toBe(0);
    expect(loads.get('out' as LoadId)?.signal).toMatchObject({ is: 'reached' });
  });
});
