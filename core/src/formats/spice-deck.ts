import { endKey, layNodes, siemensOf, windingsOf, type Healthy, type Circuit } from '../machine/index.js';
import { plainLine } from '../schema/index.js';
import type { LoadId, TerminalId } from '../switch/index.js';

/** A text as a comment of a netlist holds it: ASCII on one line, so that nothing in it begins a line of its own. */
const comment = (text: string): string =>
  plainLine(text)
    .replace(/[^\x20-\x7e]+/g, ' ')
    .trim();

/** Ohms of what joins and of what parts, and of the leak that gives every node a way to ground; a simulator wants all three. */
const [JOINED, PARTED, LEAK] = ['20u', '1G', '1G'];

/** Phases as an AC analysis takes them, in degrees. */
const PHASE: Partial<Record<string, number>> = { L2: -120, L3: 120 };

/** Parts of a deck without its title and its analysis, so that several machines can stand in one; `prefix` keeps them apart. */
export function deckOf(circuit: Circuit, settings: readonly Pick<Healthy, 'nets'>[], prefix = ''): string[] {
  const { terminals, supplies, loads, leads, nodes } = circuit;
  const node = (at: number) => `${prefix}n${at}`;
  const names = (kind: string, at: number) => `${kind}${prefix}_${at}`;
  const pairs = terminals.flatMap((_, a) => terminals.slice(a + 1).map((__, at) => [a, a + 1 + at] as const));
  const contacts = pairs.flatMap(([a, b]) => {
    const closed = settings.flatMap(({ nets }, at) => (nets[a] === nets[b] ? [`setting==${at}`] : []));
    if (closed.length === 0) return [];
    return [
      `${names('Rc', a * terminals.length + b)} ${node(a)} ${node(b)} {(${closed.join(' || ')}) ? ${JOINED} : ${PARTED}}`,
    ];
  });
  const windings = loads.flatMap((load, at) => {
    const siemens = siemensOf(load);
    return windingsOf(load).map(([one, other], index) => {
      const [a, b] = [one, other].map((end) => node(circuit.endNode.get(endKey(load.id, end)) as number));
      const ohms = siemens === null || siemens === 0 ? 100 : 1 / siemens;
      return `${names('Rl', at * 10 + index)} ${a} ${b} ${ohms}`;
    });
  });
  return [
    ...supplies.map(({ id, kind, volts, current }, at) => {
      const size = kind === 'N' || kind === '0' || kind === 'earth' ? 0 : (volts ?? 1);
      const direct = current === 'DC' ? `DC ${size} ` : '';
      return `${names('V', at)} ${node(circuit.supplyNode.get(id) as number)} 0 ${direct}AC ${size} ${PHASE[kind] ?? 0}`;
    }),
    ...leads.map(({ a, b }, at) => `${names('Rw', at)} ${node(a)} ${node(b)} ${JOINED}`),
    ...contacts,
    ...windings,
    ...Array.from({ length: nodes }, (_, at) => `${names('Rg', at)} ${node(at)} 0 ${LEAK}`),
  ];
}

/**
 * The machine as a SPICE netlist: sources, wires, loads as resistances, and the contacts of every setting by the parameter
 * `setting`, counted from 0. What a load is of unknown power stands as 100 ohms, and that is said.
 */
export function spiceDeck(
  title: string,
  circuit: Circuit,
  settings: readonly (Pick<Healthy, 'nets'> & { name: string })[],
): string {
  const unsaid = circuit.loads.filter((load) => siemensOf(load) === null).map(({ name }) => name);
  return [
    `* ${comment(title)}`,
    ...settings.map(({ name }, at) => `* setting ${at}: ${comment(name)}`),
    ...circuit.loads.map(({ name }, at) => `* load ${at}: ${comment(name)}`),
    ...(unsaid.length > 0 ? [`* of unknown power, taken as 100 ohms: ${comment(unsaid.join(', '))}`] : []),
    '.param setting=0',
    ...deckOf(circuit, settings),
    '.ac lin 1 50 50',
    '.end',
    '',
  ].join('\n');
}

/** The switch alone as a SPICE netlist: node `n0` is the first label, and so on; its contacts go by the parameter `setting`, counted from 0. */
export function switchDeck(
  title: string,
  labels: readonly string[],
  settings: readonly (Pick<Healthy, 'nets'> & { name: string })[],
): string {
  const alone = {
    ...layNodes(labels.length, [], []),
    terminals: labels as readonly TerminalId[],
    supplies: [],
    sources: [],
    loads: [],
    leads: [],
    open: new Set<number>(),
    halfSaid: new Set<LoadId>(),
  };
  return [
    `* ${comment(title)}`,
    ...settings.map(({ name }, at) => `* setting ${at}: ${comment(name)}`),
    ...labels.map((label, at) => `* n${at}: terminal ${comment(label)}`),
    '.param setting=0',
    ...deckOf(alone as Circuit, settings),
    '.op',
    '.end',
    '',
  ].join('\n');
}
