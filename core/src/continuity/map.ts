import {
  extendTape,
  readTape,
  type ReadingEvidence,
  type TapeLine,
  type TapeMemory,
} from '../sense/index.js';
import { createLogReader, liveEvents, structureOf, type JobEvent, type Log } from '../log/index.js';
import { inPattern, allPositionsClosed, type SettingId, type Structure } from '../switch/index.js';
import { extendSettled } from './extend-settled.js';
import { NO_PARTS, partsAt, type PartsAt } from './parts-at.js';
import { coverageOf, isComplete, type Coverage } from './coverage.js';
import { settle } from './settle.js';
import { type Blocks, type Explanations, type Settled } from './settled.js';

/** One setting of the map. */
export interface MappedSetting {
  settled: Settled;
  coverage: Coverage;
}

/** What is known of a switch: for every setting the nets, and how each fact is known. A pure function of the log. */
export interface SwitchMap {
  log: Log;
  structure: Structure;
  tape: TapeLine[];
  /** Contact terminals' places within `settled.terminals`. */
  contacts: number[];
  settings: ReadonlyMap<SettingId, MappedSetting>;
  /** All required settings settled, nothing disputed, and every list of positions closed. */
  complete: boolean;
}

/** Derives maps from logs, recomputing only the settings whose live evidence changed. */
export type Mapper = (events: Iterable<JobEvent>) => SwitchMap;

/** A mapper with a memory of its own; the map it gives is the same as one from a fresh mapper. */
export function createMapper(): Mapper {
  const read = createLogReader();
  const tapeMemory: TapeMemory = new WeakMap();
  let lastStructure: { changes: string; structure: Structure } | null = null;
  let last: {
    map: SwitchMap;
    bySetting: Map<SettingId, ReadingEvidence[]>;
    explained: Explanations;
    assumed: Blocks[];
    parts: { at: PartsAt; key: string };
  } | null = null;
  return (events) => {
    const { log, added } = read(events);
    const tail = last && added ? extendTape(last.map.tape, added, log, last.map.structure, tapeMemory) : null;
    if (last && tail) {
      last = { ...last, ...goOn(last, log, tail) };
      return last.map;
    }
    const changes = liveEvents(log, 'restructured')
      .map(({ id }) => id)
      .join();
    if (lastStructure?.changes !== changes) lastStructure = { changes, structure: structureOf(log) };
    const { structure } = lastStructure;
    const tape = readTape(log, structure, tapeMemory);
    const explained: Explanations = new Map(
      liveEvents(log, 'explained').flatMap(({ what }) => what.readings.map((id) => [id, what.as] as const)),
    );
    const bySetting = groupEvidence(tape);
    const assumed = blocksApart(log);
    const parts = partsAt(log);
    const contacts = structure.terminals.flatMap((terminal, place) => (inPattern(terminal) ? [place] : []));
    const before = last;
    const keeps =
      before !== null &&
      before.map.structure === structure &&
      sameEntries(before.explained, explained) &&
      sameItems(before.assumed, assumed) &&
      before.parts.key === parts.key;
    const settings = new Map<SettingId, MappedSetting>();
    for (const { id } of structure.settings) {
      const evidence = bySetting.get(id) ?? [];
      const known =
        keeps && sameItems(before.bySetting.get(id) ?? [], evidence)
          ? before.map.settings.get(id)
          : undefined;
      settings.set(id, known ?? settleOne({ structure, contacts, explained, assumed, parts }, id, evidence));
    }
    const map = { log, structure, tape, contacts, settings, complete: completeness(structure, settings) };
    last = { map, bySetting, explained, assumed, parts };
    return map;
  };
}

/** What every setting of a map is settled by, besides its own evidence. */
interface Grounds {
  structure: Structure;
  contacts: readonly number[];
  explained: Explanations;
  assumed: readonly Blocks[];
  parts: { at: PartsAt };
}

function settleOne(
  { structure, contacts, explained, assumed, parts }: Grounds,
  id: SettingId,
  evidence: readonly ReadingEvidence[],
): MappedSetting {
  const terminals = structure.terminals.map((terminal) => terminal.id);
  const settled = settle(id, terminals, evidence, { explained, apart: assumed, partsAt: parts.at });
  return { settled, coverage: coverageOf(settled, contacts) };
}

/** The map of a log that only goes on: the settings that the new lines speak of are settled anew, the others stay. */
function goOn(
  {
    map: before,
    bySetting,
    explained,
    assumed,
    parts,
  }: {
    map: SwitchMap;
    bySetting: Map<SettingId, ReadingEvidence[]>;
    explained: Explanations;
    assumed: Blocks[];
    parts: { at: PartsAt };
  },
  log: Log,
  tape: TapeLine[],
): { map: SwitchMap; bySetting: Map<SettingId, ReadingEvidence[]> } {
  // Nothing was read: the settings, and the tape, stay the very same.
  if (tape === before.tape) return { map: { ...before, log }, bySetting };
  const fresh = groupEvidence(tape.slice(before.tape.length));
  const evidence = new Map(bySetting);
  const settings = new Map(before.settings);
  for (const [id, items] of fresh) {
    const all = (evidence.get(id) ?? []).concat(items);
    evidence.set(id, all);
    const known = settings.get(id);
    if (!known) continue;
    // Parts may settle more, or less, once a net has grown.
    const plain = assumed.length === 0 && parts.at === NO_PARTS;
    const extended = plain ? extendSettled(known.settled, items) : null;
    settings.set(
      id,
      extended
        ? { settled: extended, coverage: coverageOf(extended, before.contacts) }
        : settleOne({ ...before, explained, assumed, parts }, id, all),
    );
  }
  const complete = completeness(before.structure, settings);
  return { map: { ...before, log, tape, settings, complete }, bySetting: evidence };
}

/** What persons assumed, and did not take back: blocks that do not touch each other. */
function blocksApart(log: Log): Blocks[] {
  return liveEvents(log, 'assumed').map(({ what }) => what.assumption.blocks);
}

/**
 * The map of a log, from nothing.
 * @example
 * const on = bench(2, 1);
 * on.read(0, 0, 1, CLOSED);
 * deriveMap(on.events).complete // => true
 */
export function deriveMap(events: Iterable<JobEvent>): SwitchMap {
  return createMapper()(events);
}

function completeness(structure: Structure, settings: SwitchMap['settings']): boolean {
  const required = structure.settings.filter(({ need }) => need === 'required');
  return (
    required.length > 0 &&
    allPositionsClosed(structure) &&
    required.every(({ id }) => {
      const mapped = settings.get(id);
      return mapped !== undefined && isComplete(mapped.coverage);
    })
  );
}

function groupEvidence(tape: readonly TapeLine[]): Map<SettingId, ReadingEvidence[]> {
  const groups = new Map<SettingId, ReadingEvidence[]>();
  for (const { reading, standing, evidence } of tape) {
    if (standing !== 'counts') continue;
    const group = groups.get(reading.setting);
    if (group) group.push(evidence);
    else groups.set(reading.setting, [evidence]);
  }
  return groups;
}

function sameEntries<Key, Item>(one: ReadonlyMap<Key, Item>, other: ReadonlyMap<Key, Item>): boolean {
  return one.size === other.size && [...one].every(([key, item]) => other.get(key) === item);
}

function sameItems<Item>(one: readonly Item[], other: readonly Item[]): boolean {
  return one.length === other.length && one.every((item, index) => item === other[index]);
}
