import type { Resistance } from '../network/index.js';
import { seededRandom } from '../switch/index.js';

/** A connected network of resistances, to be seen between node 0 and node 1. */
export interface ResistorNetwork {
  nodes: number;
  network: Resistance[];
}

/** As switches have them: contacts of milliohms, lamps and windings of ohms, films and leaks of megohms. Seeded. */
export function resistorNetworks(count: number, seed: number): ResistorNetwork[] {
  const random = seededRandom(seed);
  const ohms = () => Number((10 ** (random() * 8 - 1.3)).toPrecision(4));
  return Array.from({ length: count }, () => {
    const nodes = 2 + Math.floor(random() * 8);
    const pick = () => Math.floor(random() * nodes);
    const tree = Array.from({ length: nodes - 1 }, (_, at) => ({
      a: at + 1,
      b: Math.floor(random() * (at + 1)),
      ohms: ohms(),
    }));
    const more = Array.from({ length: Math.floor(random() * 8) }, () => ({
      a: pick(),
      b: pick(),
      ohms: ohms(),
    }));
    return { nodes, network: [...tree, ...more.filter(({ a, b }) => a !== b)] };
  });
}

/** A deck for ngspice: every network driven by one ampere between its nodes 0 (ground) and 1, voltages printed in order. */
export function ngspiceDeck(networks: readonly ResistorNetwork[]): string {
  const node = (index: number, at: number) => (at === 0 ? '0' : `n${index}_${at}`);
  const lines = networks.flatMap(({ network }, index) => [
    `I${index} 0 ${node(index, 1)} 1`,
    ...network.map(({ a, b, ohms }, at) => `R${index}_${at} ${node(index, a)} ${node(index, b)} ${ohms}`),
  ]);
  const prints = networks.map((_, index) => `print v(n${index}_1)`);
  return [
    '* Resistances between two nodes of random networks: one ampere in, so volts are ohms.',
    ...lines,
    '.options gmin=1e-18 reltol=1e-9 abstol=1e-15 vntol=1e-12',
    '.control',
    'set numdgt=12',
    'op',
    ...prints,
    'quit',
    '.endc',
    '.end',
    '',
  ].join('\n');
}

/** What ngspice printed: ohms per network, in order. */
export function readNgspice(output: string): number[] {
  return [...output.matchAll(/^v\(n\d+_1\) = (\S+)/gm)].map(([, volts]) => Number(volts));
}
