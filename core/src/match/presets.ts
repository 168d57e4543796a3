import type { SwitchMap } from '../continuity/index.js';
import type { LoadEnd, LoadMake, LoadKind, Potential } from '../log/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import { matchPattern, type Requirement } from './match.js';
import { proposedSource, requirementBy } from './requirement.js';

/** Common arrangements around one switch (textbook circuits). */
export const PRESETS = ['three-heat', 'reversing', 'reversing-with-brake', 'run-and-brake'] as const;
export type PresetName = (typeof PRESETS)[number];

/** What a terminal of a preset is wired to: a supply, or ends of loads. */
export interface PresetWire {
  terminal: string;
  ends: ({ supply: Potential } | { load: string; end: LoadEnd })[];
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
}

const supply = (kind: Potential) => [{ supply: kind }];
const motor = { name: 'Motor', kind: 'motor', make: 'permanent-magnet', current: 'DC' } as const;
const MOTOR_WIRES: readonly PresetWire[] = [
  { terminal: 'P', ends: supply('+') },
  { terminal: 'M', ends: supply('0') },
  { terminal: 'A', ends: [{ load: 'Motor', end: '+' }] },
  { terminal: 'B', ends: [{ load: 'Motor', end: '-' }] },
];

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
    ...{ supplies: ['+', '0'], loads: [motor], wires: MOTOR_WIRES },
  },
  'reversing-with-brake': {
    terminals: ['P', 'M', 'A', 'B'],
    positions: ['P-A M-B', 'A-B', 'P-B M-A'],
    ...{ supplies: ['+', '0'], loads: [motor], wires: MOTOR_WIRES },
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
