import type { SwitchMap } from '../continuity/index.js';
import { recordsOf, ticksOf, type Wire } from '../log/index.js';
import { requiredSettings } from '../switch/index.js';
import { chosenOf, refitOf, type Refit } from './refit.js';

/** One thing to do with the hands, with the name by which it is ticked. */
export type CardLine = { key: string } & (
  | { kind: 'jumper'; from: string; to: string }
  /** `others`: labels of joined lugs on which it may sit as well. */
  | { kind: 'wire'; wire: Wire; old: string | null; to: string; sharing: Wire[]; others: string[] }
  /** Wires that sat together on a lug which is not there any more. */
  | { kind: 'splice'; wires: Wire[]; old: string }
  | { kind: 'cap'; wire: Wire; old: string | null }
  | { kind: 'label'; wire: Wire; old: string | null }
  /** The handle may not go further than from one position to another. */
  | { kind: 'stop'; from: string; to: string; spare: string[] }
);

/** The card by which wires go onto what is put back. */
export interface TransferCard {
  refit: Refit | null;
  lines: CardLine[];
  ticked: ReadonlySet<string>;
  /** Bare ends that are not capped yet: nothing else is done before. */
  uncapped: number;
  /** Lines that are not done, bare ends included. */
  left: number;
}

export const isTicked = ({ ticked }: TransferCard, { key }: CardLine): boolean => ticked.has(key);

/**
 * The transfer card of a job: bare ends, then jumpers, then wire by wire in the order of the lugs, splices, and the stop to fit.
 * @example
 * transferCard(mapped(3, '1-2', '1-3')).left // => 0
 */
export function transferCard(map: SwitchMap): TransferCard {
  const refit = refitOf(map);
  const lines = refit ? linesOf(map, refit) : labelsOf(map);
  const ticked = ticksOf(map.log);
  const open = lines.filter(({ key }) => !ticked.has(key));
  return {
    refit,
    lines,
    ticked,
    uncapped: open.filter(({ kind }) => kind === 'cap').length,
    left: open.length,
  };
}

const oldLabel = ({ structure }: Pick<SwitchMap, 'structure'>, { terminal }: Wire): string | null =>
  structure.terminals.find(({ id }) => id === terminal)?.label ?? null;

const labelsOf = (map: SwitchMap): CardLine[] =>
  recordsOf(map.log, 'wire-tagged').map((wire) => ({
    key: `label ${wire.id}`,
    kind: 'label',
    wire,
    old: oldLabel(map, wire),
  }));

function linesOf(map: SwitchMap, refit: Refit): CardLine[] {
  const { lugs, jumpers, wires } = refit;
  const label = (lug: number) => lugs[lug] ?? '?';
  const homeless = wires.filter(({ lug }) => lug === null).map(({ wire }) => wire);
  const splices = new Map<string, Wire[]>();
  for (const wire of homeless)
    if (wire.terminal) splices.set(wire.terminal, [...(splices.get(wire.terminal) ?? []), wire]);
  const spliced = [...splices.entries()].filter(([, list]) => list.length > 1);
  const together = new Set(spliced.flatMap(([, list]) => list));
  return [
    ...homeless
      .filter((wire) => !together.has(wire))
      .map((wire): CardLine => ({ key: `cap ${wire.id}`, kind: 'cap', wire, old: oldLabel(map, wire) })),
    ...jumpers.map(([from, to]): CardLine => ({
      key: `jumper ${label(from)} ${label(to)}`,
      kind: 'jumper',
      from: label(from),
      to: label(to),
    })),
    ...wires
      .filter(({ lug }) => lug !== null)
      .toSorted((one, other) => (one.lug as number) - (other.lug as number))
      .map(({ wire, lug, mayLie }): CardLine => ({
        key: `wire ${wire.id}`,
        kind: 'wire',
        wire,
        old: oldLabel(map, wire),
        to: label(lug as number),
        sharing: wires.filter((one) => one.lug === lug && one.wire !== wire).map((one) => one.wire),
        others: mayLie.map(label),
      })),
    ...spliced.map(([terminal, list]): CardLine => ({
      key: `splice ${terminal}`,
      kind: 'splice',
      wires: list,
      old: list[0] ? (oldLabel(map, list[0]) ?? '?') : '?',
    })),
    ...stopOf(map, refit),
  ];
}

/** A turning part with positions to spare must not be turned to them, as far as a stop can see to it: spares behind the last or before the first. */
function stopOf(map: SwitchMap, { way, positions }: Refit): CardLine[] {
  if (way !== 'part' || chosenOf(map)?.part?.form !== 'rotary') return [];
  const needed = new Set(requiredSettings(map.structure).map(({ id }) => id));
  const used = positions.flatMap(({ setting }, at) => (setting && needed.has(setting) ? [at] : []));
  const [first, last] = [used[0], used.at(-1)];
  if (first === undefined || last === undefined || used.length === positions.length) return [];
  const spare = positions.filter((_, at) => at < first || at > last).map(({ name }) => name);
  const [from, to] = [positions[first]?.name ?? '', positions[last]?.name ?? ''];
  return spare.length > 0 ? [{ key: `stop ${from} ${to}`, kind: 'stop', from, to, spare }] : [];
}
