import { healthyOf } from '../machine/index.js';
import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import {
  type ChosenReplacement,
  liveEvents,
  recordsOf,
  type RefitWay,
  type Wire,
  wiresLaidOf,
} from '../log/index.js';
import { partitionFromGroups, type Partition } from '../partition/index.js';
import {
  settingName,
  requiredSettings,
  type SettingId,
  type TerminalId,
  type WireId,
} from '../switch/index.js';

/** A position of what goes back, in handle order. */
export interface RefitPosition {
  name: string;
  /** What joins in it, over the lugs; null: not known in full. */
  nets: Partition | null;
  /** The setting that it stands for; null: one that nothing needs. */
  setting: SettingId | null;
}

/** A wire with the lug that it goes to; null: it goes to none, and its end is left over. */
export interface LaidWire {
  wire: Wire;
  lug: number | null;
  /** Other lugs that are joined with that one: there it would do the same. */
  mayLie: readonly number[];
}

/** What goes back into the machine: its lugs, its positions, and which wire goes where. */
export interface Refit {
  way: Exclude<RefitWay, 'label'>;
  /** What it is called. */
  name: string;
  /** Lugs by label. */
  lugs: readonly string[];
  /** By what readings at each lug are kept: `terminal` with its id, of a part `lug` with its label. */
  lugKeys: readonly string[];
  positions: readonly RefitPosition[];
  /** Junctions between lugs, by place. */
  jumpers: readonly (readonly [from: number, to: number])[];
  /** Jumpers of the old switch, or of a jumper test, that may still be there and must not. */
  strays: readonly (readonly [from: number, to: number])[];
  wires: readonly LaidWire[];
}

/** The chosen replacement of a job; null: none is. */
export const chosenOf = ({ log }: Pick<SwitchMap, 'log'>): ChosenReplacement | null =>
  liveEvents(log, 'chosen').at(-1)?.what.replacement ?? null;

/** What goes back where nobody has said: the part that was chosen, else the same switch. */
const proposedWay = (map: SwitchMap): RefitWay => (chosenOf(map)?.part ? 'part' : 'same');

/** What goes back as it was said, or else as it is proposed. */
export const wayOf = (map: SwitchMap): RefitWay => {
  const said = recordsOf(map.log, 'refit-begun');
  return said === 'part' && !chosenOf(map)?.part ? 'same' : (said ?? proposedWay(map));
};

/** What goes back; null where nothing is matched and the wires are only labelled. */
export function refitOf(map: SwitchMap): Refit | null {
  const way = wayOf(map);
  const chosen = chosenOf(map);
  if (way === 'label') return null;
  return way === 'part' && chosen?.part ? withPart(map, chosen, chosen.part) : withSame(map);
}

function withPart(
  map: SwitchMap,
  chosen: ChosenReplacement,
  part: NonNullable<ChosenReplacement['part']>,
): Refit {
  const place = new Map(part.terminals.map((label, at) => [label, at]));
  const lugsOf = new Map<string, number[]>();
  for (const { from, to } of chosen.terminals) {
    const lug = place.get(to);
    if (lug !== undefined) lugsOf.set(from, [...(lugsOf.get(from) ?? []), lug]);
  }
  const wires = spreadOver(map, (terminal) => lugsOf.get(terminal ?? '') ?? [], part.terminals);
  const jumpers = [...lugsOf.values()].flatMap((lugs) =>
    lugs.slice(1).map((to, at) => [lugs[at] as number, to] as const),
  );
  const old = recordsOf(map.log, 'part-declared').flatMap(({ form, terminals }) =>
    form === 'jumper' ? [terminals] : [],
  );
  return {
    way: 'part',
    name: part.name,
    lugs: part.terminals,
    wires,
    jumpers,
    lugKeys: part.terminals.map((label) => `lug ${label}`),
    strays: straysOf([...old, ...triedOf(map)], (id) => lugsOf.get(id)?.[0], jumpers),
    positions: part.positions.map(({ name, joined }, at) => {
      const called = name ?? `position ${at + 1}`;
      return {
        name: called,
        nets: partitionFromGroups(
          part.terminals.length,
          joined.map((net) => net.flatMap((label) => place.get(label) ?? [])),
        ),
        setting: chosen.positions.find(({ to }) => to === called)?.from ?? null,
      };
    }),
  };
}

/** Wires of one old terminal over its joined lugs: where somebody has said, else each on the one with the fewest wires so far. */
function spreadOver(
  { log }: Pick<SwitchMap, 'log'>,
  lugsOf: (terminal: TerminalId | null) => readonly number[],
  labels: readonly string[],
): LaidWire[] {
  const said = wiresLaidOf(log);
  const saidLug = ({ id, terminal }: Wire) =>
    lugsOf(terminal).find((lug) => labels[lug] === said.get(id) && said.has(id));
  const laid = new Map<WireId, number>();
  const load = new Map<number, number>();
  const lay = ({ id }: Wire, lug: number) => {
    laid.set(id, lug);
    load.set(lug, (load.get(lug) ?? 0) + 1);
  };
  const wires = recordsOf(log, 'wire-tagged');
  for (const wire of wires) {
    const lug = saidLug(wire);
    if (lug !== undefined) lay(wire, lug);
  }
  for (const wire of wires) {
    if (laid.has(wire.id)) continue;
    const [fewest] = lugsOf(wire.terminal).toSorted((a, b) => (load.get(a) ?? 0) - (load.get(b) ?? 0));
    if (fewest !== undefined) lay(wire, fewest);
  }
  return wires.map((wire) => ({
    wire,
    lug: laid.get(wire.id) ?? null,
    mayLie: lugsOf(wire.terminal).filter((lug) => lug !== laid.get(wire.id)),
  }));
}

function withSame(map: SwitchMap): Refit {
  const { structure, log } = map;
  const place = new Map(structure.terminals.map(({ id }, at) => [id, at]));
  const size = structure.terminals.length;
  const healthy = healthyOf(map);
  const jumpers = recordsOf(log, 'part-declared').flatMap(({ form, terminals: [from, to] }) => {
    const ends = [place.get(from), place.get(to)] as const;
    return form === 'jumper' && ends[0] !== undefined && ends[1] !== undefined
      ? [[ends[0], ends[1]] as const]
      : [];
  });
  return {
    jumpers,
    strays: straysOf(triedOf(map), (id) => place.get(id), jumpers),
    way: 'same',
    name: 'the same switch',
    lugs: structure.terminals.map(({ label }) => label),
    lugKeys: structure.terminals.map(({ id }) => `terminal ${id}`),
    wires: recordsOf(log, 'wire-tagged').map((wire) => ({
      wire,
      lug: wire.terminal ? (place.get(wire.terminal) ?? null) : null,
      mayLie: [],
    })),
    positions: requiredSettings(structure).map((setting) => ({
      name: settingName(structure, setting.id),
      nets: healthy?.find((one) => one.setting === setting.id)?.nets ?? mappedNets(map, setting.id, size),
      setting: setting.id,
    })),
  };
}

/** Terminals whose wires were joined in jumper tests, two by two. */
const triedOf = ({ log }: SwitchMap): [TerminalId, TerminalId][] =>
  recordsOf(log, 'jumper-tested').flatMap(({ joined }) =>
    joined.flatMap((net) => net.slice(1).map((to): [TerminalId, TerminalId] => [net[0] as TerminalId, to])),
  );

/** Pairs of lugs that may be joined still, each once, without those that must be. */
function straysOf(
  pairs: readonly (readonly [TerminalId, TerminalId])[],
  lugOf: (id: TerminalId) => number | undefined,
  jumpers: Refit['jumpers'],
): [number, number][] {
  const wanted = new Set(jumpers.map((pair) => pair.toSorted((a, b) => a - b).join()));
  const found = new Map<string, [number, number]>();
  for (const [from, to] of pairs) {
    const [a, b] = [lugOf(from), lugOf(to)];
    if (a === undefined || b === undefined || a === b) continue;
    const pair: [number, number] = a < b ? [a, b] : [b, a];
    if (!wanted.has(pair.join())) found.set(pair.join(), pair);
  }
  return [...found.values()];
}

/** The nets of a setting where every pair of terminals is settled; else null. */
function mappedNets(map: SwitchMap, setting: SettingId, size: number): Partition | null {
  const settled = map.settings.get(setting)?.settled;
  if (!settled) return null;
  for (let a = 0; a < size; a += 1)
    for (let b = a + 1; b < size; b += 1) if (!isSettled(factAt(settled, a, b))) return null;
  return settled.nets;
}
