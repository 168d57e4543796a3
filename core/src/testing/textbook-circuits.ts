import {
  N,
  MAINS,
  phase,
  lamp,
  heat,
  STAR_HEATERS,
  DELTA_HEATERS,
  type BookCircuit,
} from './textbook-parts.js';
import { CONTROL, DIRECT, TURNING } from './textbook-turning.js';

const LIGHTING: BookCircuit[] = [
  {
    of: 'one-way lighting (textbook on house wiring)',
    drawn: {
      terminals: '1 2',
      supplies: MAINS,
      loads: { lamp: lamp() },
      wires: '1>mains 2>lamp.1 lamp.2>return',
    },
    settings: [['OFF', '', 'off'], ['ON', '1-2', 'full']], // prettier-ignore
  },
  {
    of: 'two lamps by a two-circuit switch: the one, the other, both (textbook on house wiring)',
    drawn: {
      terminals: 'C 1 2',
      supplies: MAINS,
      loads: { a: lamp(), b: lamp() },
      wires: 'C>mains 1>a.1 2>b.1 a.2>return b.2>return',
    },
    settings: [['OFF', '', 'off off'], ['1', 'C-1', 'full off'], ['2', 'C-2', 'off full'], ['both', 'C-1-2', 'full full']], // prettier-ignore
  },
  {
    of: 'two-way and intermediate, three places (textbook on house wiring): each of them changes it',
    drawn: {
      terminals: '1 2 3 a b 4',
      supplies: MAINS,
      loads: { lamp: lamp() },
      wires: '1>mains 4>lamp.1 lamp.2>return',
    },
    settings: [
      ['straight, both at the first', '1-2 2-a a-4', 'full'],
      ['crossed', '1-2 2-b a-4 3-a', 'off'],
      ['crossed, first moved', '1-3 3-a a-4 2-b', 'full'],
      ['straight, first moved', '1-3 2-a 3-b a-4', 'off'],
    ],
  },
  {
    of: 'two-way with both switches to the line and the lamp between the commons: live at both ends when off (a way that is forbidden today, common practice)',
    drawn: {
      terminals: 'C1 L1 N1 C2 L2 N2',
      supplies: MAINS,
      loads: { lamp: lamp() },
      wires: 'L1>mains L2>mains N1>return N2>return C1>lamp.1 C2>lamp.2',
    },
    settings: [
      ['line and neutral', 'C1-L1 C2-N2', 'full'],
      ['neutral and line', 'C1-N1 C2-L2', 'full'],
      ['both to the line', 'C1-L1 C2-L2', 'floating'],
      ['both to neutral', 'C1-N1 C2-N2', 'off'],
    ],
  },
  {
    of: 'two switches in series: both must be on (textbook on logic with contacts)',
    drawn: {
      terminals: '1 2 3 4',
      supplies: MAINS,
      loads: { lamp: lamp() },
      wires: '1>mains 2>3 4>lamp.1 lamp.2>return',
    },
    settings: [['neither', '', 'off'], ['first', '1-2', 'off'], ['second', '3-4', 'off'], ['both', '1-2 3-4', 'full']], // prettier-ignore
  },
  {
    of: 'two switches side by side: either is enough (textbook on logic with contacts)',
    drawn: {
      terminals: '1 2 3 4',
      supplies: MAINS,
      loads: { lamp: lamp() },
      wires: '1>mains 3>mains 2>lamp.1 4>lamp.1 lamp.2>return',
    },
    settings: [['neither', '', 'off'], ['first', '1-2', 'full'], ['second', '3-4', 'full'], ['both', '1-2 3-4', 'full']], // prettier-ignore
  },
  {
    of: 'three lamps in series: a ninth of the power each (Ohm)',
    drawn: {
      terminals: '1 2',
      supplies: MAINS,
      loads: { a: lamp(), b: lamp(), c: lamp() },
      wires: '1>mains 2>a.1 a.2>b.1 b.2>c.1 c.2>return',
    },
    settings: [['ON', '1-2', 'part 11 part 11 part 11']],
  },
  {
    of: 'two lamps in series, one of them bridged: the other is full (Ohm)',
    drawn: {
      terminals: '1 2 M',
      supplies: MAINS,
      loads: { a: lamp(), b: lamp() },
      wires: '1>mains 2>a.1 a.2>M M>b.1 b.2>return',
    },
    settings: [['dim', '1-2', 'part 25 part 25'], ['bright', '1-2-M', 'floating full']], // prettier-ignore
  },
  {
    of: 'a bridge of four lamps in balance: the contact across it changes nothing (Wheatstone)',
    drawn: {
      terminals: '1 X Y',
      supplies: MAINS,
      loads: { a: lamp(), b: lamp(), c: lamp(), d: lamp() },
      wires: '1>mains 1>a.1 1>b.1 a.2>X b.2>Y X>c.1 Y>d.1 c.2>return d.2>return',
    },
    settings: [['open', '', 'part 25 part 25 part 25 part 25'], ['closed', 'X-Y', 'part 25 part 25 part 25 part 25']], // prettier-ignore
  },
  {
    of: 'the same out of balance, 60 and 120 W crossed: open a third each side, closed half the volts each (Ohm)',
    drawn: {
      terminals: '1 X Y',
      supplies: MAINS,
      loads: { a: lamp(60), b: lamp(120), c: lamp(120), d: lamp(60) },
      wires: '1>mains 1>a.1 1>b.1 a.2>X b.2>Y X>c.1 Y>d.1 c.2>return d.2>return',
    },
    settings: [['open', '', 'part 44 part 11 part 11 part 44'], ['closed', 'X-Y', 'part 25 part 25 part 25 part 25']], // prettier-ignore
  },
];

const HEATING: BookCircuit[] = [
  {
    of: 'a heater broken in both poles: off and dead (common practice)',
    drawn: {
      terminals: '1 2 3 4',
      supplies: MAINS,
      loads: { heater: heat(1000) },
      wires: '1>mains 3>return 2>heater.1 4>heater.2',
    },
    settings: [['OFF', '', 'off'], ['one pole left', '1-2', 'floating'], ['ON', '1-2 3-4', 'full']], // prettier-ignore
  },
  {
    of: 'two heats: one element, both (handbook on electric heating)',
    drawn: {
      terminals: 'L 1 2',
      supplies: MAINS,
      loads: { a: heat(500), b: heat(1000) },
      wires: 'L>mains 1>a.1 2>b.1 a.2>return b.2>return',
    },
    settings: [['LOW', 'L-1', 'full off'], ['MID', 'L-2', 'off full'], ['HIGH', 'L-1-2', 'full full']], // prettier-ignore
  },
  {
    of: 'unequal elements in series, 300 and 600 W: 44 and 11 per cent (Ohm)',
    drawn: {
      terminals: 'L M',
      supplies: MAINS,
      loads: { a: heat(300), b: heat(600) },
      wires: 'L>mains M>a.1 a.2>b.1 b.2>return',
    },
    settings: [['LOW', 'L-M', 'part 44 part 11']],
  },
  {
    of: 'a plate of two unequal elements, four heats: series, small, large, both (handbook on electric heating)',
    drawn: {
      terminals: 'L N A B C',
      supplies: MAINS,
      loads: { a: heat(500), b: heat(1000) },
      wires: 'L>mains N>return A>a.1 B>a.2 B>b.1 C>b.2',
    },
    settings: [
      ['1', 'L-A C-N', 'part 44 part 11'],
      ['2', 'L-A B-N', 'full off'],
      ['3', 'L-C B-N', 'off full'],
      ['4', 'L-A-C B-N', 'full full'],
    ],
  },
  {
    of: 'three elements brought in one by one (handbook on electric heating)',
    drawn: {
      terminals: 'L 1 2 3',
      supplies: MAINS,
      loads: { a: heat(800), b: heat(800), c: heat(800) },
      wires: 'L>mains 1>a.1 2>b.1 3>c.1 a.2>return b.2>return c.2>return',
    },
    settings: [['1', 'L-1', 'full off off'], ['2', 'L-1-2', 'full full off'], ['3', 'L-1-2-3', 'full full full']], // prettier-ignore
  },
  {
    of: 'upper or lower element of a boiler, never both (common practice)',
    drawn: {
      terminals: 'C U D',
      supplies: MAINS,
      loads: { upper: heat(2000), lower: heat(2000) },
      wires: 'C>mains U>upper.1 D>lower.1 upper.2>return lower.2>return',
    },
    settings: [['upper', 'C-U', 'full off'], ['lower', 'C-D', 'off full']], // prettier-ignore
  },
  {
    of: 'elements for 400 V in star on 230/400 V: a third each, with the neutral or without (handbook on electric heating)',
    drawn: STAR_HEATERS,
    settings: [
      ['with the neutral', 'L1-A L2-B L3-C S-Z', 'part 33 part 33 part 33'],
      ['without', 'L1-A L2-B L3-C', 'part 33 part 33 part 33'],
      ['two phases without the neutral', 'L1-A L2-B', 'part 25 part 25 floating'],
      ['two phases with it', 'L1-A L2-B S-Z', 'part 33 part 33 off'],
    ],
  },
  {
    of: 'the same in delta: full; a phase lost: one full, two a quarter (handbook on electric heating)',
    drawn: DELTA_HEATERS,
    settings: [
      ['DELTA', 'L1-A L2-B L3-C', 'full full full'],
      ['a phase lost', 'L1-A L2-B', 'full part 25 part 25'],
    ],
  },
  {
    of: 'a 400 V element between two phases, and between phase and neutral: full, a third (Ohm)',
    drawn: {
      terminals: '1 2 N A B',
      supplies: { P1: phase('L1'), P2: phase('L2'), return: N },
      loads: { a: heat(1000, 400) },
      wires: '1>P1 2>P2 N>return A>a.1 B>a.2',
    },
    settings: [['between phases', '1-A 2-B', 'full'], ['to neutral', '1-A N-B', 'part 33'], ['twice the same', '1-A-B', 'floating']], // prettier-ignore
  },
];

/** Circuits of lighting, heating, direct current, turning fields and control. */
export const BOOK_CIRCUITS: readonly BookCircuit[] = [
  ...LIGHTING,
  ...HEATING,
  ...DIRECT,
  ...TURNING,
  ...CONTROL,
];
