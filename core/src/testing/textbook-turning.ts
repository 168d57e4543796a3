import {
  MAINS,
  plus,
  ZERO,
  PHASES,
  lamp,
  heat,
  small,
  motor,
  threePhase,
  DELTA_LEADS,
  type BookCircuit,
} from './textbook-parts.js';

/** Direct current. */
export const DIRECT: BookCircuit[] = [
  {
    of: 'two 12 V lamps in series on 24 V: full; side by side on 12 V: full (Ohm)',
    drawn: {
      terminals: '24 M 12',
      supplies: { high: plus(24), low: plus(12), minus: ZERO },
      loads: { a: small(12), b: small(12) },
      wires: '24>high 12>low M>a.1 a.2>b.1 b.2>minus',
    },
    settings: [['24 V', '24-M', 'full full'], ['12 V', '12-M', 'part 25 part 25']], // prettier-ignore
  },
  {
    of: 'lamps at bow, stern, both (common practice on boats)',
    drawn: {
      terminals: 'C B S',
      supplies: { battery: plus(12), minus: ZERO },
      loads: { bow: small(12), stern: small(12) },
      wires: 'C>battery B>bow.1 S>stern.1 bow.2>minus stern.2>minus',
    },
    settings: [['BOW', 'C-B', 'full off'], ['STERN', 'C-S', 'off full'], ['ANCHOR', 'C-B-S', 'full full']], // prettier-ignore
  },
  {
    of: 'a lamp dimmed by an equal resistance in series, then bridged (Ohm)',
    drawn: {
      terminals: '1 2 3',
      supplies: { battery: plus(12), minus: ZERO },
      loads: { dropper: small(12), lamp: small(12) },
      wires: '1>battery 2>dropper.1 dropper.2>3 3>lamp.1 lamp.2>minus',
    },
    settings: [['DIM', '1-2', 'part 25 part 25'], ['BRIGHT', '1-3', 'floating full']], // prettier-ignore
  },
  {
    of: 'a permanent-magnet motor run and braked by one changeover (textbook on DC machines)',
    drawn: {
      terminals: 'P A B',
      supplies: { battery: plus(12), minus: ZERO },
      loads: { motor },
      wires: 'P>battery A>motor.+ B>motor.- B>minus',
    },
    settings: [['RUN', 'P-A', 'full'], ['BRAKE', 'A-B', 'braked'], ['between', '', 'off']], // prettier-ignore
  },
  {
    of: 'the same motor with both ends on minus, or both on plus: braked (textbook on DC machines)',
    drawn: {
      terminals: 'P M A B',
      supplies: { battery: plus(12), minus: ZERO },
      loads: { motor },
      wires: 'P>battery M>minus A>motor.+ B>motor.-',
    },
    settings: [['both on minus', 'M-A-B', 'braked'], ['both on plus', 'P-A-B', 'braked'], ['coasting', 'M-B', 'off']], // prettier-ignore
  },
  {
    of: 'a window motor by two changeovers that rest on minus (common practice)',
    drawn: {
      terminals: 'C1 P1 M1 C2 P2 M2',
      supplies: { battery: plus(12), minus: ZERO },
      loads: { motor },
      wires: 'P1>battery P2>battery M1>minus M2>minus C1>motor.+ C2>motor.-',
    },
    settings: [
      ['UP', 'C1-P1 C2-M2', 'full'],
      ['DOWN', 'C1-M1 C2-P2', 'reversed'],
      ['at rest', 'C1-M1 C2-M2', 'braked'],
      ['both pressed', 'C1-P1 C2-P2', 'braked'],
    ],
  },
];

/** Turning fields. */
export const TURNING: BookCircuit[] = [
  {
    of: 'three phases handed on by one: the same way round (textbook on AC machines)',
    drawn: {
      terminals: 'L1 L2 L3 U V W',
      supplies: PHASES,
      loads: { motor: threePhase },
      wires: DELTA_LEADS,
    },
    settings: [
      ['as named', 'L1-U L2-V L3-W', 'full'],
      ['one on', 'L1-V L2-W L3-U', 'full'],
      ['two on', 'L1-W L2-U L3-V', 'full'],
    ],
  },
  {
    of: 'any two of three phases exchanged: the other way round (textbook on AC machines)',
    drawn: {
      terminals: 'L1 L2 L3 U V W',
      supplies: PHASES,
      loads: { motor: threePhase },
      wires: DELTA_LEADS,
    },
    settings: [
      ['first and second', 'L1-V L2-U L3-W', 'reversed'],
      ['second and third', 'L1-U L2-W L3-V', 'reversed'],
      ['first and third', 'L1-W L2-V L3-U', 'reversed'],
    ],
  },
  {
    of: 'a three-phase motor with one line broken hums and does not start; with two it is live and still (textbook on AC machines)',
    drawn: {
      terminals: 'L1 L2 L3 U V W',
      supplies: PHASES,
      loads: { motor: threePhase },
      wires: DELTA_LEADS,
    },
    settings: [
      ['second and third left', 'L2-V L3-W', 'stalled'],
      ['first and third left', 'L1-U L3-W', 'stalled'],
      ['one left', 'L1-U', 'floating'],
    ],
  },
  {
    of: 'an on-off for a universal motor, and the same broken in the return (common practice)',
    drawn: {
      terminals: '1 2 3 4',
      supplies: MAINS,
      loads: { motor: { kind: 'motor', make: 'universal', volts: 230 } },
      wires: '1>mains 2>motor.1 3>motor.2 4>return',
    },
    settings: [['ON', '1-2 3-4', 'full'], ['OFF', '', 'off'], ['return open', '1-2', 'floating']], // prettier-ignore
  },
  {
    of: 'a fan with a choke in series of as many ohms as it has: a quarter; bridged: full (common practice, reckoned as resistances)',
    drawn: {
      terminals: 'L S F',
      supplies: MAINS,
      loads: { choke: heat(60), fan: heat(60) },
      wires: 'L>mains S>choke.1 choke.2>F F>fan.1 fan.2>return',
    },
    settings: [['SLOW', 'L-S', 'part 25 part 25'], ['FAST', 'L-F', 'floating full']], // prettier-ignore
  },
  {
    of: 'three speeds by two equal chokes in series (common practice, reckoned as resistances): a ninth, a quarter, full',
    drawn: {
      terminals: 'L 1 2 3',
      supplies: MAINS,
      loads: { one: heat(60), two: heat(60), fan: heat(60) },
      wires: 'L>mains 1>one.1 one.2>2 2>two.1 two.2>3 3>fan.1 fan.2>return',
    },
    settings: [
      ['1', 'L-1', 'part 11 part 11 part 11'],
      ['2', 'L-2', 'floating part 25 part 25'],
      ['3', 'L-3', 'floating floating full'],
    ],
  },
  {
    of: 'run and start winding apart: the start winding turned round turns the motor round (textbook on AC machines)',
    drawn: {
      terminals: 'L N A B',
      supplies: MAINS,
      loads: { motor: { kind: 'motor', make: 'reversible', volts: 230 } },
      wires: 'L>mains N>return L>motor.M1 N>motor.M2 A>motor.S1 B>motor.S2',
    },
    settings: [['FORWARD', 'L-A N-B', 'full'], ['REVERSE', 'L-B N-A', 'reversed']], // prettier-ignore
  },
];

/** Control. */
export const CONTROL: BookCircuit[] = [
  {
    of: 'manual, off, automatic: by hand or by a contact elsewhere (common practice)',
    drawn: {
      terminals: 'L M A F',
      supplies: MAINS,
      loads: { pump: heat(300) },
      wires: 'L>mains M>pump.1 F>pump.1 pump.2>return',
    },
    settings: [
      ['MANUAL', 'L-M', 'full'],
      ['OFF, float up', 'A-F', 'off'],
      ['AUTO, float down', 'L-A', 'off'],
      ['AUTO, float up', 'L-A-F', 'full'],
    ],
  },
  {
    of: 'a cut-out in series with a heater and its lamp beside the heater (common practice)',
    drawn: {
      terminals: '1 2 3',
      supplies: MAINS,
      loads: { heater: heat(1000), pilot: lamp(5) },
      wires: '1>mains 2>heater.1 2>pilot.1 heater.2>return pilot.2>return',
    },
    settings: [['hot', '', 'off off'], ['heating', '1-2', 'full full']], // prettier-ignore
  },
  {
    of: 'a signal lamp at the other throw of a changeover: it tells when the heater rests (common practice)',
    drawn: {
      terminals: 'C 1 2',
      supplies: MAINS,
      loads: { heater: heat(1000), ready: lamp(5) },
      wires: 'C>mains 1>heater.1 2>ready.1 heater.2>return ready.2>return',
    },
    settings: [['heating', 'C-1', 'full off'], ['ready', 'C-2', 'off full']], // prettier-ignore
  },
  {
    of: 'a two-pole changeover between two supplies of 12 V, never both (common practice)',
    drawn: {
      terminals: 'A B P',
      supplies: { one: plus(12), other: plus(12), minus: ZERO },
      loads: { radio: small(12) },
      wires: 'A>one B>other P>radio.1 radio.2>minus',
    },
    settings: [['1', 'A-P', 'full'], ['OFF', '', 'off'], ['2', 'B-P', 'full']], // prettier-ignore
  },
];
