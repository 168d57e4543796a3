import {
  compareEvents,
  liveEvents,
  looksBack,
  ORDINARY_METER,
  type Deed,
  type JobEvent,
  type Log,
  type MeterProfile,
  type Reading,
} from '../log/index.js';
import { settingIn, type ReadingId, type Structure } from '../switch/index.js';
import { senseReading, type ReadingEvidence } from './reading-evidence.js';
import { zeroOf } from './quantity.js';

/**
 * Whether a reading counts, and if not, why:
 * `withdrawn` (undone), `superseded` (a person put another in its place), `aside` (its prompt was no longer
 * shown), `parked` (it names a terminal or setting that is not in use), `earlier` (the switch was worked on since).
 */
export type LineStanding = 'counts' | 'withdrawn' | 'superseded' | 'aside' | 'parked' | 'earlier';

/** One reading on the tape of all readings ever taken, in order. */
export interface TapeLine {
  event: JobEvent<Extract<Deed, { kind: 'answered' | 'superseded' }>>;
  reading: Reading;
  standing: LineStanding;
  evidence: ReadingEvidence;
  /** The meter that it was read with; null: none was checked before it. */
  meter: MeterProfile | null;
}

/** What was worked out for one act, and from what; used again while that is the same. */
interface ActMemory {
  check: CheckDeed | null;
  evidence: ReadingEvidence[];
  structure: Structure;
  superseded: string;
  undone: boolean;
  aside: boolean;
  earlier: boolean;
  lines: TapeLine[];
}
type CheckDeed = Extract<Deed, { kind: 'meter-checked' }>;

/** Keeps evidence and tape lines between calls, by act. The tape is the same without it. */
export type TapeMemory = WeakMap<JobEvent, ActMemory>;

/** What the lines of an act depend on besides the act itself. */
interface Circumstance {
  structure: Structure;
  terminals: ReadonlySet<string>;
  settings: ReadonlySet<string>;
  superseded: ReadonlySet<ReadingId>;
  supersededKey: string;
  check: CheckDeed | null;
  /** The last time it was worked on; what was read before it counts no more. */
  worked: JobEvent | null;
}

/** Every reading of the log with its standing and what it proves, in order. */
export function readTape(log: Log, structure: Structure, memory: TapeMemory = new WeakMap()): TapeLine[] {
  const now = circumstanceOf(log, structure);
  now.check = null;
  const tape: TapeLine[] = [];
  for (const event of log.ordered) {
    if (event.what.kind === 'meter-checked' && !log.withdrawn.has(event.id)) now.check = event.what;
    if (isAct(event)) for (const line of linesOf(event, log, now, memory)) tape.push(line);
  }
  return tape;
}

/**
 * The tape of a log that goes on from one whose tape is known: lines of the added acts behind it; null when what was
 * added changes what lines before it say. With no act among it, it is the very same tape.
 */
export function extendTape(
  before: TapeLine[],
  added: readonly JobEvent[],
  log: Log,
  structure: Structure,
  memory: TapeMemory,
): TapeLine[] | null {
  if (added.some(({ what }) => looksBack(what))) return null;
  const acts = added.filter(isAct);
  if (acts.length === 0) return before;
  const now = circumstanceOf(log, structure);
  return before.concat(acts.flatMap((event) => linesOf(event, log, now, memory)));
}

function circumstanceOf(log: Log, structure: Structure): Circumstance {
  const superseded = new Set<ReadingId>(liveEvents(log, 'superseded').map(({ what }) => what.reading));
  return {
    structure,
    terminals: new Set(structure.terminals.map(({ id }) => id)),
    settings: new Set(structure.settings.map(({ id }) => id)),
    superseded,
    supersededKey: [...superseded].sort().join(),
    check: liveEvents(log, 'meter-checked').at(-1)?.what ?? null,
    worked: liveEvents(log, 'worked-on').at(-1) ?? null,
  };
}

function linesOf(event: TapeLine['event'], log: Log, now: Circumstance, memory: TapeMemory): TapeLine[] {
  const { structure, supersededKey, superseded, check, terminals, settings } = now;
  const undone = log.withdrawn.has(event.id);
  const aside = log.aside.has(event.id);
  const earlier = now.worked !== null && compareEvents(event, now.worked) < 0;
  const known = memory.get(event);
  const sameCheck = known?.check === check;
  if (
    known &&
    sameCheck &&
    known.structure === structure &&
    known.superseded === supersededKey &&
    known.undone === undone &&
    known.aside === aside &&
    known.earlier === earlier
  ) {
    return known.lines;
  }
  const inUse = ({ setting, red, black }: Reading) =>
    settings.has(setting) && red.every((id) => terminals.has(id)) && black.every((id) => terminals.has(id));
  const standingOf = (reading: Reading): LineStanding => {
    if (undone) return 'withdrawn';
    if (aside) return 'aside';
    if (earlier) return 'earlier';
    if (superseded.has(reading.id)) return 'superseded';
    return inUse(reading) ? 'counts' : 'parked';
  };
  const readings = readingsOf(event.what).map((reading) => countedIn(reading, structure));
  const evidence =
    known && sameCheck ? known.evidence : readings.map((reading) => sensed(reading, event, check));
  const lines = readings.map((reading, index) => ({
    event,
    reading,
    standing: standingOf(reading),
    evidence: evidence[index] as ReadingEvidence,
    meter: check?.meter ?? null,
  }));
  memory.set(event, { check, evidence, structure, superseded: supersededKey, undone, aside, earlier, lines });
  return lines;
}

/** A reading of a setting that was found to be another counts there. */
function countedIn(reading: Reading, structure: Structure): Reading {
  const setting = settingIn(structure, reading.setting);
  return setting === reading.setting ? reading : { ...reading, setting };
}

function sensed(reading: Reading, { what }: TapeLine['event'], check: CheckDeed | null): ReadingEvidence {
  return senseReading(reading, {
    meter: check?.meter ?? ORDINARY_METER,
    zeroOhms: check ? zeroOf(check.leadsTogether) : null,
    inCircuit: what.kind === 'answered' && what.inCircuit,
  });
}

function isAct(event: JobEvent): event is TapeLine['event'] {
  return event.what.kind === 'answered' || event.what.kind === 'superseded';
}

function readingsOf(what: TapeLine['event']['what']): Reading[] {
  if (what.kind === 'answered') return what.readings;
  return what.replacement ? [what.replacement] : [];
}

/** The last live meter check: the profile in force and the lead zero; null before the first. */
export function lastCheck(log: Log): { meter: MeterProfile; zeroOhms: number | null } | null {
  const last = liveEvents(log, 'meter-checked').at(-1);
  return last ? { meter: last.what.meter, zeroOhms: zeroOf(last.what.leadsTogether) } : null;
}
