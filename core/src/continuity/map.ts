import { readTape, type Evidence, type TapeLine, type TapeMemory } from '../sense/index.js';
import {
  liveEvents,
  positionsClosed,
  readLog,
  structureOf,
  type JobEvent,
  type Log,
  type ReadingId,
  type SettingId,
  type Structure,
  type TerminalId,
} from '../switch/index.js';
import { coverageOf, isComplete, type Coverage } from './coverage.js';
import { settle, type Settled } from './settle.js';

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
  const tapeMemory: TapeMemory = new WeakMap();
  let lastStructure: { changes: string; structure: Structure } | null = null;
  let settledMemory = new Map<SettingId, { evidence: Evidence[]; key: string; mapped: MappedSetting }>();
  return (events) => {
    const log = readLog(events);
    const changes = liveEvents(log, 'restructured')
      .map(({ id }) => id)
      .join();
    if (lastStructure?.changes !== changes) lastStructure = { changes, structure: structureOf(log) };
    const { structure } = lastStructure;
    const tape = readTape(log, structure, tapeMemory);
    const terminals = structure.terminals.map(({ id }) => id);
    const contacts = structure.terminals.flatMap(({ role }, place) => (role !== 'frame' ? [place] : []));
    const explained = new Set(liveEvents(log, 'explained').flatMap(({ what }) => what.readings));
    const key = memoryKey(terminals, contacts, explained);
    const bySetting = groupEvidence(tape);
    const fresh: typeof settledMemory = new Map();
    for (const { id } of structure.settings) {
      const evidence = bySetting.get(id) ?? [];
      const memory = settledMemory.get(id);
      if (memory && memory.key === key && sameItems(memory.evidence, evidence)) fresh.set(id, memory);
      else {
        const settled = settle(id, terminals, evidence, explained);
        fresh.set(id, { evidence, key, mapped: { settled, coverage: coverageOf(settled, contacts) } });
      }
    }
    settledMemory = fresh;
    const settings = new Map([...fresh].map(([id, { mapped }]) => [id, mapped]));
    return { log, structure, tape, contacts, settings, complete: completeness(structure, settings) };
  };
}

/** The map of a log, from nothing. */
export function deriveMap(events: Iterable<JobEvent>): SwitchMap {
  return createMapper()(events);
}

function completeness(structure: Structure, settings: SwitchMap['settings']): boolean {
  const required = structure.settings.filter(({ need }) => need === 'required');
  return (
    required.length > 0 &&
    positionsClosed(structure) &&
    required.every(({ id }) => {
      const mapped = settings.get(id);
      return mapped !== undefined && isComplete(mapped.coverage);
    })
  );
}

function memoryKey(terminals: TerminalId[], contacts: number[], explained: Set<ReadingId>): string {
  return [terminals.join(), contacts.join(), [...explained].sort().join()].join(';');
}

function groupEvidence(tape: readonly TapeLine[]): Map<SettingId, Evidence[]> {
  const groups = new Map<SettingId, Evidence[]>();
  for (const { reading, standing, evidence } of tape) {
    if (standing !== 'counts') continue;
    const group = groups.get(reading.setting);
    if (group) group.push(evidence);
    else groups.set(reading.setting, [evidence]);
  }
  return groups;
}

function sameItems<Item>(one: readonly Item[], other: readonly Item[]): boolean {
  return one.length === other.length && one.every((item, index) => item === other[index]);
}
