import {
  liveEvents,
  ORDINARY_METER,
  type Deed,
  type JobEvent,
  type Log,
  type MeterProfile,
  type Reading,
  type ReadingId,
  type Structure,
} from '../switch/index.js';
import { senseReading, type Evidence } from './evidence.js';
import { zeroOf } from './quantity.js';

/**
 * Whether a reading counts, and if not, why:
 * `withdrawn` (undone), `superseded` (a person put another in its place), `aside` (its prompt was no longer
 * shown), `parked` (it names a terminal or setting that is not in use).
 */
export type Standing = 'counts' | 'withdrawn' | 'superseded' | 'aside' | 'parked';

/** One reading on the tape of all readings ever taken, in order. */
export interface TapeLine {
  event: JobEvent<Extract<Deed, { kind: 'answered' | 'superseded' }>>;
  reading: Reading;
  standing: Standing;
  evidence: Evidence;
}

/** What was worked out for one act, and from what; used again while that is the same. */
interface ActMemory {
  check: CheckDeed | null;
  evidence: Evidence[];
  structure: Structure;
  superseded: string;
  undone: boolean;
  aside: boolean;
  lines: TapeLine[];
}
type CheckDeed = Extract<Deed, { kind: 'meter-checked' }>;

/** Keeps evidence and tape lines between calls, by act. The tape is the same without it. */
export type TapeMemory = WeakMap<JobEvent, ActMemory>;

/** Every reading of the log with its standing and what it proves, in order. */
export function readTape(log: Log, structure: Structure, memory: TapeMemory = new WeakMap()): TapeLine[] {
  const superseded = new Set<ReadingId>(liveEvents(log, 'superseded').map(({ what }) => what.reading));
  const supersededKey = [...superseded].sort().join();
  const terminals = new Set<string>(structure.terminals.map(({ id }) => id));
  const settings = new Set<string>(structure.settings.map(({ id }) => id));
  const inUse = ({ setting, red, black }: Reading) =>
    settings.has(setting) && red.every((id) => terminals.has(id)) && black.every((id) => terminals.has(id));
  let check: CheckDeed | null = null;
  const tape: TapeLine[] = [];
  for (const event of log.ordered) {
    const { what } = event;
    const undone = log.withdrawn.has(event.id);
    if (what.kind === 'meter-checked' && !undone) check = what;
    if (!isAct(event)) continue;
    const aside = log.aside.has(event.id);
    const known = memory.get(event);
    const sameCheck = known?.check === check;
    if (
      known &&
      sameCheck &&
      known.structure === structure &&
      known.superseded === supersededKey &&
      known.undone === undone &&
      known.aside === aside
    ) {
      for (const line of known.lines) tape.push(line);
      continue;
    }
    const standingOf = (reading: Reading): Standing => {
      if (undone) return 'withdrawn';
      if (aside) return 'aside';
      if (superseded.has(reading.id)) return 'superseded';
      return inUse(reading) ? 'counts' : 'parked';
    };
    const readings = readingsOf(event.what);
    const evidence =
      known && sameCheck ? known.evidence : readings.map((reading) => sensed(reading, event, check));
    const lines = readings.map((reading, index) => ({
      event,
      reading,
      standing: standingOf(reading),
      evidence: evidence[index] as Evidence,
    }));
    memory.set(event, { check, evidence, structure, superseded: supersededKey, undone, aside, lines });
    for (const line of lines) tape.push(line);
  }
  return tape;
}

function sensed(reading: Reading, { what }: TapeLine['event'], check: CheckDeed | null): Evidence {
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
