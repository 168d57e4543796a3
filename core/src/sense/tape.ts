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
import { senseReading, type Circumstances, type Evidence } from './evidence.js';
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

/** The meter and lead zero of the last live check before each place in the log. */
interface Check {
  meter: MeterProfile;
  zeroOhms: number | null;
}

/** Every reading of the log with its standing and what it proves. Pure; `remember` may keep evidence between calls. */
export function readTape(log: Log, structure: Structure, remember: EvidenceMemory = new Map()): TapeLine[] {
  const superseded = new Set<ReadingId>(liveEvents(log, 'superseded').map(({ what }) => what.reading));
  const terminals = new Set<string>(structure.terminals.map(({ id }) => id));
  const settings = new Set<string>(structure.settings.map(({ id }) => id));
  const inUse = ({ setting, red, black }: Reading) =>
    settings.has(setting) && [...red, ...black].every((terminal) => terminals.has(terminal));
  let check: Check = { meter: ORDINARY_METER, zeroOhms: null };
  const lines: TapeLine[] = [];
  for (const event of log.ordered) {
    const { what } = event;
    if (what.kind === 'meter-checked' && !log.withdrawn.has(event.id)) {
      check = { meter: what.meter, zeroOhms: zeroOf(what.leadsTogether) };
    }
    if (!isAct(event)) continue;
    for (const reading of readingsOf(event.what)) {
      const standing: Standing = log.withdrawn.has(event.id)
        ? 'withdrawn'
        : log.aside.has(event.id)
          ? 'aside'
          : superseded.has(reading.id)
            ? 'superseded'
            : inUse(reading)
              ? 'counts'
              : 'parked';
      const inCircuit = event.what.kind === 'answered' && event.what.inCircuit;
      lines.push({ event, reading, standing, evidence: recall(remember, reading, { ...check, inCircuit }) });
    }
  }
  return lines;
}

/** Evidence already worked out, by reading; an entry is used again only under the same circumstances. */
export type EvidenceMemory = Map<ReadingId, { under: Circumstances; evidence: Evidence }>;

function recall(memory: EvidenceMemory, reading: Reading, under: Circumstances): Evidence {
  const known = memory.get(reading.id);
  if (
    known &&
    known.under.meter === under.meter &&
    known.under.zeroOhms === under.zeroOhms &&
    known.under.inCircuit === under.inCircuit
  ) {
    return known.evidence;
  }
  const evidence = senseReading(reading, under);
  memory.set(reading.id, { under, evidence });
  return evidence;
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
