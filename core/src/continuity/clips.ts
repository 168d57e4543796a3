import type { Lead, Log, Reading } from '../log/index.js';
import type { ReadingId, TerminalId } from '../switch/index.js';

/** The clips of one lead: terminals that are tied together on it; none where it is a plain probe. */
export interface Clips {
  red: TerminalId[];
  black: TerminalId[];
}

/** What one clip did between two proofs, or between a proof and where it came off. */
export interface ClipUse {
  terminal: TerminalId;
  /** Readings that were taken with it, in order. */
  readings: ReadingId[];
  /**
   * `proved`: it made contact before and after. `silent`: it made none, as its touch said or a person; what it parted doesn't count.
   * `unproved`: nobody knows, and it is off. `on`: it can still be touched.
   */
  standing: 'proved' | 'silent' | 'unproved' | 'on';
}

/** What is clipped where now, which of these were proved since they were put on, and what each clip did so far. */
export interface ClipRecord {
  now: Clips;
  alive: ReadonlySet<TerminalId>;
  uses: ClipUse[];
}

/** No clip was ever on. */
export const NO_CLIPS: ClipRecord = { now: { red: [], black: [] }, alive: new Set(), uses: [] };

/** Which terminals' clips, by reading. */
export type ClipsByReading = ReadonlyMap<ReadingId, ReadonlySet<TerminalId>>;

/** The terminals of a lead that hang on clips: all where there are several, none where it is a bare tip. */
export const clipsOf = (lead: Lead): TerminalId[] => (lead.length > 1 ? [...lead] : []);

/**
 * Reads from the log what was clipped, and what is proved of it. A clip is proved by a touch on the bare lug, and by a low that can
 * only have come through it: before a run and after it. It stays on until a reading without it.
 * @param cameThrough clips through which a low reading must have come; none: only touches prove.
 */
export function clipRecordOf(
  log: Log,
  cameThrough: (reading: Reading) => readonly TerminalId[] = () => [],
): ClipRecord {
  const walk = new Walk();
  for (const { id, what } of log.ordered) {
    if (log.withdrawn.has(id) || log.aside.has(id)) continue;
    if (what.kind === 'clips-touched') walk.touched(what);
    else if (what.kind === 'clips-doubted') walk.doubted(what.clips);
    else if (what.kind === 'answered') for (const reading of what.readings) walk.read(reading, cameThrough);
    else if (what.kind === 'superseded' && what.replacement) walk.read(what.replacement, cameThrough);
  }
  return walk.record();
}

interface Use extends ClipUse {
  provedBefore: boolean;
}

/** Goes through the acts of a log in order. */
class Walk {
  #now: Clips = { red: [], black: [] };
  #alive = new Set<TerminalId>();
  readonly #uses: Use[] = [];
  readonly #open = new Map<TerminalId, Use>();

  touched({
    red,
    black,
    silent,
    touched,
  }: {
    red: TerminalId[];
    black: TerminalId[];
    silent: TerminalId[];
    touched?: TerminalId[] | undefined;
  }): void {
    const on = new Set([...red, ...black]);
    this.#comeOff(on);
    this.#now = { red, black };
    for (const terminal of touched ?? [...on].filter((one) => !this.#alive.has(one))) {
      if (silent.includes(terminal)) this.#ends(terminal, 'silent');
      else this.#proves(terminal);
    }
  }

  doubted(clips: readonly { terminal: TerminalId; readings: readonly ReadingId[] }[]): void {
    for (const { terminal, readings } of clips) {
      for (const use of this.#uses) {
        const theirs = use.terminal === terminal && use.readings.some((one) => readings.includes(one));
        if (!theirs) continue;
        use.standing = 'silent';
        if (this.#open.get(terminal) === use) this.#ends(terminal, 'silent');
      }
    }
  }

  read(reading: Reading, cameThrough: (reading: Reading) => readonly TerminalId[]): void {
    const clips = { red: clipsOf(reading.red), black: clipsOf(reading.black) };
    const bare = clips.red.length + clips.black.length === 0;
    if (bare && this.#now.red.length + this.#now.black.length === 0) return;
    const on = new Set([...clips.red, ...clips.black]);
    this.#comeOff(on);
    this.#now = clips;
    for (const terminal of on) {
      const use = this.#open.get(terminal) ?? this.#begins(terminal);
      use.readings.push(reading.id);
    }
    if (on.size > 0) for (const terminal of cameThrough(reading)) this.#proves(terminal);
  }

  record(): ClipRecord {
    if (this.#uses.length === 0 && this.#now.red.length + this.#now.black.length === 0) return NO_CLIPS;
    const uses = this.#uses.map(({ terminal, readings, standing }) => ({ terminal, readings, standing }));
    return { now: this.#now, alive: new Set(this.#alive), uses };
  }

  #begins(terminal: TerminalId): Use {
    const use: Use = { terminal, readings: [], standing: 'on', provedBefore: this.#alive.has(terminal) };
    this.#uses.push(use);
    this.#open.set(terminal, use);
    return use;
  }

  #proves(terminal: TerminalId): void {
    const use = this.#open.get(terminal);
    // What nobody proved before it was used may have been put on properly only since.
    this.#ends(terminal, use?.provedBefore === false ? 'unproved' : 'proved');
    this.#alive.add(terminal);
  }

  #ends(terminal: TerminalId, standing: ClipUse['standing']): void {
    const use = this.#open.get(terminal);
    if (use) use.standing = standing;
    this.#open.delete(terminal);
    if (standing === 'silent') this.#alive.delete(terminal);
  }

  #comeOff(on: ReadonlySet<TerminalId>): void {
    for (const terminal of this.#open.keys()) if (!on.has(terminal)) this.#ends(terminal, 'unproved');
    for (const terminal of this.#alive) if (!on.has(terminal)) this.#alive.delete(terminal);
  }
}

/** The clips of uses, by the readings that were taken with them. */
export function byReading(uses: readonly ClipUse[]): ClipsByReading {
  const found = new Map<ReadingId, Set<TerminalId>>();
  for (const { terminal, readings } of uses)
    for (const reading of readings) {
      const clips = found.get(reading) ?? new Set();
      found.set(reading, clips.add(terminal));
    }
  return found;
}
