import { endsOf, powered, windingsOf, type Circuit } from '../machine/index.js';
import type { Load, LoadMake } from '../log/index.js';
import { deckOf } from '../formats/spice-deck.js';
import { partitionOf, type Partition } from '../partition/index.js';
import { seededRandom } from '../switch/index.js';
import { drawnCircuit } from '../machine/wiring/drawn.js';

/** A machine with one way in which its contacts stand. */
export interface GeneratedMachine {
  circuit: Circuit;
  nets: Partition;
}

const SUPPLIES = {
  single: { m: { kind: 'L', volts: 230 }, n: { kind: 'N', volts: null } },
  three: {
    m: { kind: 'L1', volts: 230 },
    o: { kind: 'L2', volts: 230 },
    p: { kind: 'L3', volts: 230 },
    n: { kind: 'N', volts: null },
  },
  direct: { m: { kind: '+', volts: 24, current: 'DC' }, n: { kind: '0', volts: null, current: 'DC' } },
} as const;

/** Makes with several windings, or with one made otherwise; what a diode does no network of resistances has. */
const WOUND: Record<'AC' | 'DC', readonly LoadMake[]> = {
  AC: ['two-speed', 'tapped', 'reversible', 'run-start', 'capacitor', 'shaded-pole'],
  DC: ['series-wound', 'shunt-wound', 'permanent-magnet'],
};

/**
 * Random machines without shorts: supplies, two-ended and three-phase loads, wires and ties anywhere, contacts anyhow. `wound`: most
 * loads are motors with windings of the workshop's makes.
 */
export function generatedMachines(count: number, seed: number, wound = false): GeneratedMachine[] {
  const random = seededRandom(seed);
  const below = (limit: number) => Math.floor(random() * limit);
  const found: GeneratedMachine[] = [];
  while (found.length < count) {
    const kind = (['single', 'three', 'direct'] as const)[below(3)] ?? 'single';
    const names = Array.from({ length: 3 + below(4) }, (_, at) => `${at + 1}`);
    const current = kind === 'direct' ? 'DC' : 'AC';
    const volts = kind === 'direct' ? 24 : 230;
    const loads = Object.fromEntries(
      Array.from({ length: 1 + below(4) }, (_, at) => {
        const three = kind === 'three' && random() < 0.4;
        const watts = kind === 'direct' ? 5 + below(50) : 20 + below(400);
        const makes = WOUND[current];
        const make = wound && random() < 0.75 ? makes[below(makes.length)] : undefined;
        if (make) return [`l${at}`, { current, volts, watts, kind: 'motor', make }] as const;
        return [
          `l${at}`,
          { current, volts, watts, ...(three && { kind: 'motor', make: 'three-phase' }) },
        ] as const;
      }),
    );
    const supplies = Object.keys(SUPPLIES[kind]);
    const ends = Object.entries(loads).flatMap(([load, more]) =>
      endsOf({ kind: 'resistive', ...more } as Pick<Load, 'kind' | 'make'>).map((end) => `${load}.${end}`),
    );
    const any = (list: readonly string[]) => list[below(list.length)] as string;
    const wires = [
      ...names.map((name) => `${name}>${random() < 0.4 ? any(supplies) : any(ends)}`),
      ...ends
        .filter(() => random() < 0.5)
        .map((end) => `${end}>${random() < 0.5 ? any(supplies) : any(ends)}`),
    ].filter((wire) => wire.split('>')[0] !== wire.split('>')[1]);
    const circuit = drawnCircuit({
      terminals: names.join(' '),
      supplies: SUPPLIES[kind] as never,
      loads: loads as never,
      wires: wires.join(' '),
    });
    const nets = partitionOf(
      names.length,
      Array.from({ length: below(names.length) }, (): [number, number] => [
        below(names.length),
        below(names.length),
      ]),
    );
    if (powered(circuit, joinsOf(nets)).meetings.every(({ how }) => how !== 'short'))
      found.push({ circuit, nets });
  }
  return found;
}

export const joinsOf = (nets: Partition): [number, number][] =>
  nets.flatMap((root, place): [number, number][] => (root === place ? [] : [[root, place]]));

/** All of them in one deck; it prints the volts across every winding, in their order. */
export function machinesDeck(machines: readonly GeneratedMachine[]): string {
  const prints = machines.flatMap(({ circuit }, at) =>
    deckOf(circuit, [], `m${at}`)
      .filter((line) => line.startsWith('Rl'))
      .map((line) => {
        const [, a, b] = line.split(' ');
        return `print mag(v(${a})-v(${b}))`;
      }),
  );
  return [
    '* generated machines',
    '.param setting=0',
    ...machines.flatMap(({ circuit, nets }, at) => deckOf(circuit, [{ nets }], `m${at}`)),
    '.control',
    'set numdgt=9',
    'ac lin 1 50 50',
    ...prints,
    '.endc',
    '.end',
    '',
  ].join('\n');
}

/** Shares of their power that all loads take, by the volts that a simulator printed, and by this program. */
export function sharesBySimulator(
  machines: readonly GeneratedMachine[],
  printed: readonly number[],
): number[][] {
  let at = 0;
  return machines.map(({ circuit }) =>
    circuit.loads.map((load) => {
      const rated = load.volts ?? 1;
      const windings = load.make === 'three-phase' ? 3 : 1;
      const shares = Array.from({ length: windings }, () => ((printed[at++] ?? NaN) / rated) ** 2);
      return load.make === 'three-phase'
        ? shares.reduce((sum, one) => sum + one, 0) / 3
        : Math.max(...shares);
    }),
  );
}

/** Which windings of the loads are fed, by the volts that a simulator printed; from a two-hundred-and-fiftieth of its power on. */
export function fedBySimulator(
  machines: readonly GeneratedMachine[],
  printed: readonly number[],
): boolean[][] {
  let at = 0;
  return machines.flatMap(({ circuit }) =>
    circuit.loads.map((load) =>
      windingsOf(load).map(() => ((printed[at++] ?? NaN) / (load.volts ?? 1)) ** 2 >= 0.004),
    ),
  );
}

export const fedByUs = (machines: readonly GeneratedMachine[]): boolean[][] =>
  machines.flatMap(({ circuit, nets }) => {
    const { loads } = powered(circuit, joinsOf(nets));
    return circuit.loads.map((load) => {
      const state = loads.get(load.id);
      return [...(state?.fed ?? [(state?.share ?? 0) >= 0.004])];
    });
  });

export const sharesByUs = (machines: readonly GeneratedMachine[]): number[][] =>
  machines.map(({ circuit, nets }) => {
    const { loads } = powered(circuit, joinsOf(nets));
    return circuit.loads.map(({ id }) => loads.get(id)?.share ?? 0);
  });
