import type { SwitchMap } from '../../continuity/index.js';
import type { LoadEnd, LoadMake, LoadKind, Potential } from '../../log/index.js';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { matchPattern, type Requirement } from '../match.js';
import { proposedSource, requirementBy } from '../requirement.js';

/** Common arrangements around one switch (textbook circuits). */
export const PRESETS = [
  'three-heat',
  'reversing',
  'reversing-with-brake',
  'run-and-brake',
  'run-and-brake-contacts',
  'two-way-at-the-line',
  'two-way-at-the-lamp',
  'intermediate',
  'manual-off-auto',
  'two-pickups',
  'input-selector',
  'stop-run-start',
] as const;
export type PresetName = (typeof PRESETS)[number];

/** What a terminal of a preset is wired to: a supply, ends of loads, or another switch or device. */
export interface PresetWire {
  terminal: string;
  ends: ({ supply: Potential } | { load: string; end: LoadEnd } | { elsewhere: true })[];
}

/** An end of a load that goes on without the switch. */
export interface PresetTie {
  load: string;
  end: LoadEnd;
  to: { supply: Potential } | { load: string; end: LoadEnd };
}

/** An arrangement: what its switch does, what feeds it and what it feeds. */
export interface Preset {
  name: PresetName;
  terminals: readonly string[];
  /** What joins in each position. */
  positions: readonly string[];
  supplies: readonly Potential[];
  loads: readonly { name: string; kind: LoadKind; make?: LoadMake; current: 'AC' | 'DC' }[];
  wires: readonly PresetWire[];
  ties?: readonly PresetTie[];
}

const supply = (kind: Potential) => [{ supply: kind }];
const motor = { name: 'Motor', kind: 'motor', make: 'permanent-magnet', current: 'DC' } as const;
const MOTOR_WIRES: readonly PresetWire[] = [
  { terminal: 'P', ends: supply('+') },
  { terminal: 'M', ends: supply('0') },
  { terminal: 'A', ends: [{ load: 'Motor', end: '+' }] },
  { terminal: 'B', ends: [{ load: 'Motor', end: '-' }] },
];

const elsewhere = (...terminals: string[]): PresetWire[] =>
  terminals.map((terminal) => ({ terminal, ends: [{ elsewhere: true }] }));
/** One of two switches that work one lamp; between them there may be an intermediate one. */
const TWO_WAY = { terminals: ['C', '1', '2'], positions: ['C-1', 'C-2'] } as const;
const lamp = { name: 'Lamp', kind: 'lamp', current: 'AC' } as const;

/** Two signals on A and B, the output on C, their grounds joined without the switch. */
const signals = (one: string, other: string): Pick<Preset, 'supplies' | 'loads' | 'wires' | 'ties'> => ({
  supplies: [],
  loads: [
    ...[one, other].map((name) => ({ name, kind: 'signal', make: 'signal-source', current: 'AC' }) as const),
    { name: 'Output', kind: 'signal', make: 'signal-output', current: 'AC' },
  ],
  wires: [
    { terminal: 'A', ends: [{ load: one, end: '+' }] },
    { terminal: 'B', ends: [{ load: other, end: '+' }] },
    { terminal: 'C', ends: [{ load: 'Output', end: '+' }] },
  ],
  ties: [one, other].map((load) => ({ load, end: '-', to: { load: 'Output', end: '-' } })),
});

const ALL: Record<PresetName, Omit<Preset, 'name'>> = {
  'three-heat': {
    terminals: ['L', 'N', 'A', 'B', 'C'],
    positions: ['', 'L-A N-C', 'L-A N-B', 'L-B N-A-C'],
    supplies: ['L', 'N'],
    loads: ['Element 1', 'Element 2'].map((name) => ({ name, kind: 'resistive', current: 'AC' })),
    wires: [
      { terminal: 'L', ends: supply('L') },
      { terminal: 'N', ends: supply('N') },
      { terminal: 'A', ends: [{ load: 'Element 1', end: '1' }] },
      { terminal: 'B', ends: [{ load: 'Element 1', end: '2' }, { load: 'Element 2', end: '1' }] }, // prettier-ignore
      { terminal: 'C', ends: [{ load: 'Element 2', end: '2' }] },
    ],
  },
  reversing: {
    terminals: ['P', 'M', 'A', 'B'],
    positions: ['P-A M-B', '', 'P-B M-A'],
    supplies: ['+', '0'],
    loads: [motor],
    wires: MOTOR_WIRES,
  },
  'reversing-with-brake': {
    terminals: ['P', 'M', 'A', 'B'],
    positions: ['P-A M-B', 'A-B', 'P-B M-A'],
    supplies: ['+', '0'],
    loads: [motor],
    wires: MOTOR_WIRES,
  },
  'run-and-brake': {
    terminals: ['P', 'A', 'B'],
    // The motor runs from plus; let go, its ends are joined.
    positions: ['A-B', 'P-A'],
    supplies: ['+', '0'],
    loads: [motor],
    wires: [
      { terminal: 'P', ends: supply('+') },
      { terminal: 'A', ends: [{ load: 'Motor', end: '+' }] },
      { terminal: 'B', ends: [{ load: 'Motor', end: '-' }, { supply: '0' }] },
    ],
  },
  'run-and-brake-contacts': {
    terminals: ['P', 'A', 'B', 'C'],
    // A contact to run and one to brake, apart: let go, the second joins the ends of the motor.
    positions: ['B-C', 'P-A'],
    supplies: ['+', '0'],
    loads: [motor],
    wires: [
      { terminal: 'P', ends: supply('+') },
      { terminal: 'A', ends: [{ load: 'Motor', end: '+' }] },
      { terminal: 'B', ends: [{ load: 'Motor', end: '+' }] },
      { terminal: 'C', ends: [{ load: 'Motor', end: '-' }, { supply: '0' }] },
    ],
  },
  'two-way-at-the-line': {
    ...TWO_WAY,
    supplies: ['L'],
    loads: [],
    wires: [{ terminal: 'C', ends: supply('L') }, ...elsewhere('1', '2')],
  },
  'two-way-at-the-lamp': {
    ...TWO_WAY,
    supplies: ['N'],
    loads: [lamp],
    wires: [{ terminal: 'C', ends: [{ load: 'Lamp', end: '1' }] }, ...elsewhere('1', '2')],
    ties: [{ load: 'Lamp', end: '2', to: { supply: 'N' } }],
  },
  intermediate: {
    terminals: ['1', '2', '3', '4'],
    positions: ['1-3 2-4', '1-4 2-3'],
    supplies: [],
    loads: [],
    wires: elsewhere('1', '2', '3', '4'),
  },
  'manual-off-auto': {
    terminals: ['L', 'M', 'A'],
    positions: ['L-M', '', 'L-A'],
    supplies: ['L', 'N'],
    loads: [{ name: 'Pump', kind: 'motor', make: 'universal', current: 'AC' }],
    wires: [
      { terminal: 'L', ends: supply('L') },
      { terminal: 'M', ends: [{ load: 'Pump', end: '1' }] },
      ...elsewhere('A'),
    ],
    ties: [{ load: 'Pump', end: '2', to: { supply: 'N' } }],
  },
  'two-pickups': {
    terminals: ['A', 'B', 'C'],
    positions: ['A-C', 'A-B-C', 'B-C'],
    ...signals('Neck', 'Bridge'),
  },
  'input-selector': {
    terminals: ['A', 'B', 'C'],
    positions: ['A-C', 'B-C'],
    ...signals('Input 1', 'Input 2'),
  },
  'stop-run-start': {
    terminals: ['L', 'H', 'S'],
    // START feeds the coil; let go, the coil holds itself through its own contact.
    positions: ['', 'L-H', 'L-H-S'],
    supplies: ['L', 'N'],
    loads: [
      { name: 'Contactor', kind: 'motor', make: 'contactor', current: 'AC' },
      { name: 'Motor', kind: 'motor', make: 'universal', current: 'AC' },
    ],
    wires: [
      { terminal: 'L', ends: supply('L') },
      { terminal: 'H', ends: [{ load: 'Contactor', end: '13' }] },
      { terminal: 'S', ends: [{ load: 'Contactor', end: 'A1' }] },
    ],
    ties: [
      { load: 'Contactor', end: '14', to: { load: 'Contactor', end: 'A1' } },
      { load: 'Contactor', end: 'A2', to: { supply: 'N' } },
      { load: 'Contactor', end: '1', to: { supply: 'L' } },
      { load: 'Contactor', end: '2', to: { load: 'Motor', end: '1' } },
      { load: 'Motor', end: '2', to: { supply: 'N' } },
    ],
  },
};

export const presetOf = (name: PresetName): Preset => ({ name, ...ALL[name] });

/** What the switch of a preset joins, position by position. */
function patternOf({ terminals, positions }: Pick<Preset, 'terminals' | 'positions'>): Pattern {
  return positions.map((joins) =>
    partitionFromGroups(
      terminals.length,
      joins
        .split(' ')
        .filter(Boolean)
        .map((net) => net.split('-').map((name) => terminals.indexOf(name))),
    ),
  );
}

/** A preset laid on a switch: each of its terminals with the place of the switch's terminal. */
export interface LaidPreset {
  preset: Preset;
  places: ReadonlyMap<string, number>;
}

/**
 * How an arrangement lies on the terminals of a switch, by what that does (should do, or does where that is not said); null where it
 * does something else.
 */
export function laidPreset(map: SwitchMap, name: PresetName): LaidPreset | null {
  const preset = presetOf(name);
  const found = requirementBy(map, proposedSource(map));
  if (found.kind === 'none' || found.requirement.known) return null;
  const { requirement } = found;
  const required: Requirement = {
    pattern: patternOf(preset),
    terminals: preset.terminals.map((_, at) => at),
    known: null,
  };
  // Only the switch's own terminals that join something can be those of the arrangement.
  const places = requirement.terminals;
  const own: Pattern = requirement.pattern.map((nets) =>
    places.map((place) => places.findIndex((other) => nets[other] === nets[place])),
  );
  const fit = matchPattern(required, own);
  if (fit.kind !== 'same-wiring' || fit.sparePositions.length + fit.spareTerminals.length > 0) return null;
  return {
    preset,
    places: new Map(
      fit.terminals.map(({ from, to }) => [preset.terminals[from] as string, places[to] as number]),
    ),
  };
}
