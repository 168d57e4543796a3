import {
  extendTape,
  readTape,
  type ReadingEvidence,
  type TapeLine,
  type TapeMemory,
} from '../sense/index.js';
import { createLogReader, liveEvents, structureOf, type JobEvent, type Log } from '../log/index.js';
import {
  hasPartBehind,
  inPattern,
  allPositionsClosed,
  type SettingId,
  type Structure,
  type TerminalId,
} from '../switch/index.js';
import { byReading, clipRecordOf, NO_CLIPS, type ClipRecord, type ClipsByReading } from './clips.js';
import { cameThroughOf, doubtedClips, unprovedUses } from './clip-doubt.js';
import { extendSettled } from './extend-settled.js';
import { NO_PARTS, partsAt, type PartsAt } from './parts-at.js';
import { coverageOf, isComplete, type Coverage } from './coverage.js';
import { settle } from './settle.js';
import type { LikelyPart } from './settle-parts.js';
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
  /**
   * A setting without what only low bundles say: a clip that leans on another lug makes those low too. The very same where none says
   * anything.
   */
  withoutLows(setting: SettingId): MappedSetting | undefined;
  /** What is clipped where, and what is proved of the clips. */
  clips: ClipRecord;
  /** All required settings settled, nothing disputed, nothing resting on a clip that nobody proved, every list of positions closed. */
  complete: boolean;
}

/** Derives maps from logs, recomputing only the settings whose live evidence changed. */
export type Mapper = (events: Iterable<JobEvent>) => SwitchMap;

/** A mapper with a memory of its own; the map it gives is the same as one from a fresh mapper. */
export function createMapper(): Mapper {
  const read = createLogReader();
  const tapeMemory: TapeMemory = new WeakMap();
  let lastStructure: { changes: string; structure: Structure } | null = null;
  let last: Mapped | null = null;
  return (events) => {
    const { log, added } = read(events);
    const tail = last && added ? extendTape(last.map.tape, added, log, last.map.structure, tapeMemory) : null;
    if (last && tail) {
      last = goOn(last, log, tail);
      return last.map;
    }
    const changes = liveEvents(log, 'restructured')
      .map(({ id }) => id)
      .join();
    if (lastStructure?.changes !== changes) lastStructure = { changes, structure: structureOf(log) };
    const { structure } = lastStructure;
    const tape = readTape(log, structure, tapeMemory);
    const clips = clipRecordOf(log);
    const explained: Explanations = new Map(
      liveEvents(log, 'explained').flatMap(({ what }) => what.readings.map((id) => [id, what.as] as const)),
    );
    const grounds: Grounds = {
      structure,
      contacts: structure.terminals.flatMap((terminal, place) => (inPattern(terminal) ? [place] : [])),
      explained,
      assumed: blocksApart(log),
      parts: partsAt(log),
      likely: likelyParts(tape, explained),
      partBehind: new Set(structure.terminals.filter(hasPartBehind).map(({ id }) => id)),
      silent: silentClips(clips),
    };
    const bySetting = groupEvidence(tape);
    const before = last && sameGrounds(last.grounds, grounds) ? last : null;
    const settings = new Map<SettingId, MappedSetting>();
    for (const { id } of structure.settings) {
      const evidence = bySetting.get(id) ?? [];
      const known = before?.bySetting.get(id) ?? [];
      const same = before && sameItems(known, evidence);
      // The very same list, so that what is known of it need not be looked for anew.
      if (same && evidence.length > 0) bySetting.set(id, known);
      settings.set(id, (same ? before.plain.get(id) : undefined) ?? settleOne(grounds, id, evidence));
    }
    last = mapped({ log, tape, clips, grounds, bySetting, plain: settings }, before?.reworked);
    return last.map;
  };
}

/** What every setting of a map is settled by, besides its own evidence. */
interface Grounds {
  structure: Structure;
  contacts: number[];
  explained: Explanations;
  assumed: Blocks[];
  parts: { at: PartsAt; key: string };
  likely: LikelyPart[];
  /** Terminals behind which there is a lamp or a coil. */
  partBehind: ReadonlySet<TerminalId>;
  silent: { clips: ClipsByReading; key: string };
}

/** A map, and what it was made of: what the next one may keep. */
interface Mapped {
  map: SwitchMap;
  grounds: Grounds;
  bySetting: Map<SettingId, ReadingEvidence[]>;
  /** Settings before any clip is in doubt. */
  plain: Map<SettingId, MappedSetting>;
  reworked: Reworked;
}

/** Settings that were settled once more without what hung on some clips, by setting and clips. */
type Reworked = Map<string, { from: MappedSetting; as: MappedSetting }>;

function sameGrounds(one: Grounds, other: Grounds): boolean {
  return (
    one.structure === other.structure &&
    one.parts.key === other.parts.key &&
    one.silent.key === other.silent.key &&
    keyOfLikely(one) === keyOfLikely(other) &&
    sameEntries(one.explained, other.explained) &&
    sameItems(one.assumed, other.assumed)
  );
}

const keyOfLikely = ({ likely }: Grounds): string =>
  likely.map(({ ends, ohms }) => [...ends, ohms].join()).join(';');

/** Parts that a person accepted readings of two terminals to be. */
function likelyParts(tape: readonly TapeLine[], explained: Explanations): LikelyPart[] {
  if (explained.size === 0) return [];
  return tape.flatMap(({ reading: { id, red, black }, evidence, standing }): LikelyPart[] => {
    const [one, ...more] = [...red, ...black];
    const [other] = more;
    const part = standing === 'counts' && explained.get(id) === 'part' && evidence.quantity;
    return part && one && other && more.length === 1 ? [{ ends: [one, other], ohms: part.ohms }] : [];
  });
}

function silentClips({ uses }: ClipRecord): Grounds['silent'] {
  const silent = uses.filter(({ standing }) => standing === 'silent');
  const key = silent.map(({ terminal, readings }) => [terminal, ...readings].join()).join(';');
  return { clips: byReading(silent), key };
}

function settleOne(
  { structure, contacts, explained, assumed, parts, likely, partBehind, silent }: Grounds,
  id: SettingId,
  evidence: readonly ReadingEvidence[],
  doubted?: ClipsByReading,
): MappedSetting {
  const terminals = structure.terminals.map((terminal) => terminal.id);
  const by = { explained, apart: assumed, partsAt: parts.at, likely, partBehind, silent: silent.clips };
  const settled = settle(id, terminals, evidence, { ...by, ...(doubted && { doubted }) });
  return { settled, coverage: coverageOf(settled, contacts) };
}

/** The map of a log that only goes on: the settings that the new lines speak of are settled anew, the others stay. */
function goOn(last: Mapped, log: Log, tape: TapeLine[]): Mapped {
  const { map: before, grounds, bySetting } = last;
  // Nothing was read: the settings, and the tape, stay the very same.
  if (tape === before.tape) return { ...last, map: { ...before, log } };
  const fresh = groupEvidence(tape.slice(before.tape.length));
  const evidence = new Map(bySetting);
  const plain = new Map(last.plain);
  for (const [id, items] of fresh) {
    const all = (evidence.get(id) ?? []).concat(items);
    evidence.set(id, all);
    const known = plain.get(id);
    if (!known) continue;
    // Parts may settle more, or less, once a net has grown.
    const alone =
      grounds.assumed.length === 0 &&
      grounds.parts.at === NO_PARTS &&
      grounds.likely.length + grounds.partBehind.size === 0;
    const extended = alone ? extendSettled(known.settled, items) : null;
    plain.set(
      id,
      extended
        ? { settled: extended, coverage: coverageOf(extended, grounds.contacts) }
        : settleOne(grounds, id, all),
    );
  }
  const still = before.clips === NO_CLIPS && !tape.slice(before.tape.length).some(hasClips);
  const clips = still ? NO_CLIPS : clipRecordOf(log);
  return mapped({ log, tape, clips, grounds, bySetting: evidence, plain }, last.reworked);
}

const hasClips = ({ reading: { red, black } }: TapeLine): boolean => red.length + black.length > 2;

/** The map of settings that are settled as if every clip made contact: what hung on those in doubt is taken out again. */
function mapped(
  {
    log,
    tape,
    clips: touches,
    grounds,
    bySetting,
    plain,
  }: Pick<Mapped, 'grounds' | 'bySetting' | 'plain'> & { log: Log; tape: TapeLine[]; clips: ClipRecord },
  before: Reworked = new Map(),
): Mapped {
  const { structure, contacts } = grounds;
  const reworked: Reworked = new Map();
  const rework = (id: SettingId, as: MappedSetting, doubted: ClipsByReading, lows = true): MappedSetting => {
    const all = bySetting.get(id) ?? [];
    const evidence = lows ? all : withoutLowBundles(all);
    if (doubted.size === 0 && evidence === all) return as;
    const theirs = evidence.flatMap(({ reading }) => {
      const clips = doubted.get(reading);
      return clips ? [[reading, ...clips].join()] : [];
    });
    if (theirs.length === 0 && evidence === all) return as;
    const key = [id, lows, ...theirs].join(';');
    const known = before.get(key);
    const again = known?.from === as ? known.as : settleOne(grounds, id, evidence, doubted);
    reworked.set(key, { from: as, as: again });
    return again;
  };
  const reworkAll = (all: ReadonlyMap<SettingId, MappedSetting>, doubted: ClipsByReading, lows = true) =>
    doubted.size === 0 && lows
      ? all
      : new Map([...all].map(([id, setting]) => [id, rework(id, setting, doubted, lows)]));
  const asked = unprovedUses(touches).length > 0;
  const cameThrough = () => cameThroughOf(tape, (id) => plain.get(id)?.settled);
  const clips = asked ? { ...touches, uses: clipRecordOf(log, cameThrough()).uses } : touches;
  const doubted = doubtedClips(
    [...plain.values()].map(({ settled }) => settled),
    clips,
  );
  const settings = reworkAll(plain, doubted);
  const withoutLows = (id: SettingId) => {
    const setting = settings.get(id);
    return setting && rework(id, setting, doubted, false);
  };
  const unproved = byReading(unprovedUses(clips));
  const complete =
    completeness(structure, settings) && completeness(structure, reworkAll(settings, unproved, false));
  const map = { log, structure, tape, contacts, settings, withoutLows, clips, complete };
  return { map, grounds, bySetting, plain, reworked };
}

/** Whether it is low between terminals of which several are tied together. */
const isLowBundle = ({ red, black, says }: ReadingEvidence): boolean =>
  says === 'joins' && red.length + black.length > 2;

const LOWLESS = new WeakMap<readonly ReadingEvidence[], readonly ReadingEvidence[]>();

/** The evidence without low bundles; the very same list where it has none. Looked through once for each list. */
function withoutLowBundles(all: readonly ReadingEvidence[]): readonly ReadingEvidence[] {
  const known = LOWLESS.get(all);
  if (known) return known;
  const evidence = all.some(isLowBundle) ? all.filter((item) => !isLowBundle(item)) : all;
  LOWLESS.set(all, evidence);
  return evidence;
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
