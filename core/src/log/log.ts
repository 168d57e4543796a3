import {
  applyChange,
  EMPTY_STRUCTURE,
  type EventId,
  type PromptId,
  type Structure,
} from '../switch/index.js';
import { isUndoable, type Deed, type DeedKind, type DeedOf } from './deed.js';
import type { JobEvent } from './event.js';
import { ORDINARY_METER, type MeterProfile } from './kinds/map/meter.js';
import type { Prompt } from './kinds/map/prompt.js';

/** A log in its one order, with what undo and redo left of it. All derived from the set of events alone. */
export interface Log {
  /** Every event once, by (clock, device). */
  ordered: JobEvent[];
  /** Ids of events that a person withdrew and did not restore. */
  withdrawn: ReadonlySet<EventId>;
  /** Answers to a prompt that was no longer shown: kept, and not counted. */
  aside: ReadonlySet<EventId>;
  /** What undo would withdraw next, last first. */
  undo: JobEvent[];
  /** What redo would restore next, last first. */
  redo: JobEvent[];
}

/** Compares two events by (logical clock, device), then sequence, then id: a total order on any set of events. */
export function compareEvents(one: JobEvent, other: JobEvent): number {
  return (
    one.clock - other.clock ||
    compareText(one.device, other.device) ||
    one.sequence - other.sequence ||
    compareText(one.id, other.id)
  );
}

function compareText(one: string, other: string): number {
  return one < other ? -1 : one > other ? 1 : 0;
}

/** What a log adds up to so far: folded event by event, in the one order. */
interface Folded {
  ordered: JobEvent[];
  byId: Map<EventId, JobEvent>;
  withdrawn: Set<EventId>;
  /** Last on top. */
  undo: JobEvent[];
  redo: JobEvent[];
  aside: Set<EventId>;
  /** The place in the order at which each prompt was shown. */
  shown: Map<PromptId, number>;
  used: Set<PromptId>;
  /** The prompt that each device showed last. */
  latest: Map<string, PromptId>;
}

const nothingFolded = (): Folded => ({
  ordered: [],
  byId: new Map(),
  withdrawn: new Set(),
  undo: [],
  redo: [],
  aside: new Set(),
  shown: new Map(),
  used: new Set(),
  latest: new Map(),
});

function fold(folded: Folded, event: JobEvent): void {
  folded.ordered.push(event);
  folded.byId.set(event.id, event);
  foldUndo(folded, event);
  foldPrompt(folded, event);
}

function foldUndo(folded: Folded, event: JobEvent): void {
  const { what } = event;
  const { withdrawn } = folded;
  if (what.kind !== 'withdrawn' && what.kind !== 'restored') {
    if (!isUndoable(what)) return;
    folded.undo.push(event);
    folded.redo = [];
    return;
  }
  const target = folded.byId.get(what.target);
  if (!target || !isUndoable(target.what)) return;
  const others = (stack: JobEvent[]) => stack.filter(({ id }) => id !== target.id);
  if (what.kind === 'withdrawn') {
    if (!withdrawn.has(target.id)) folded.redo = [...others(folded.redo), target];
    withdrawn.add(target.id);
    folded.undo = others(folded.undo);
  } else {
    if (withdrawn.has(target.id)) folded.undo = [...others(folded.undo), target];
    withdrawn.delete(target.id);
    folded.redo = others(folded.redo);
  }
}

/**
 * An answer that carries a prompt counts when that prompt was shown before it, nobody had answered or skipped
 * it yet (withdrawn or not), and the answering device had not gone on to a later prompt. A prompt that another device showed
 * after this one's own is not behind it: the hands may answer on either.
 */
function foldPrompt({ shown, used, latest, aside }: Folded, { id, device, what }: JobEvent): void {
  if (what.kind === 'prompt-shown') {
    shown.set(what.prompt.id, shown.size);
    latest.set(device, what.prompt.id);
  } else if (what.kind === 'skipped') {
    used.add(what.prompt.id);
  } else if (what.kind === 'answered' && what.prompt !== null) {
    const current = latest.get(device);
    const movedOn = current !== undefined && (shown.get(current) ?? -1) > (shown.get(what.prompt) ?? -1);
    if (!shown.has(what.prompt) || used.has(what.prompt) || movedOn) aside.add(id);
    used.add(what.prompt);
  }
}

const asLog = ({ ordered, withdrawn, undo, redo, aside }: Folded): Log => ({
  ordered: ordered.slice(),
  withdrawn: new Set(withdrawn),
  aside: new Set(aside),
  undo: undo.toReversed(),
  redo: redo.toReversed(),
});

/** Reads a set of events, in any order and with repeats, as a log. */
export function readLog(events: Iterable<JobEvent>): Log {
  return createLogReader()(events).log;
}

/** A log, and the events by which it is longer than the one read before; null when it was read anew. */
export interface LogRead {
  log: Log;
  added: JobEvent[] | null;
}

/** A reader with a memory: events that come after all those of the last call are folded onto them. The log is the same. */
export function createLogReader(): (events: Iterable<JobEvent>) => LogRead {
  let given: JobEvent[] = [];
  let folded = nothingFolded();
  return (events) => {
    const list = [...events];
    const added = list.slice(given.length);
    const goesOn =
      given.length > 0 &&
      given.every((event, index) => event === list[index]) &&
      added.every((event, index) => {
        const before = index === 0 ? folded.ordered.at(-1) : added[index - 1];
        return before !== undefined && !folded.byId.has(event.id) && compareEvents(before, event) < 0;
      });
    given = list;
    if (!goesOn) {
      folded = nothingFolded();
      const once = new Map<EventId, JobEvent>();
      for (const event of list) if (!once.has(event.id)) once.set(event.id, event);
      for (const event of [...once.values()].sort(compareEvents)) fold(folded, event);
      return { log: asLog(folded), added: null };
    }
    for (const event of added) fold(folded, event);
    return { log: asLog(folded), added };
  };
}

/** The events of one kind that count: neither withdrawn nor kept aside. */
export function liveEvents<Kind extends DeedKind>(log: Log, kind: Kind): JobEvent<DeedOf<Kind>>[] {
  return log.ordered.filter(
    (event): event is JobEvent<DeedOf<Kind>> =>
      event.what.kind === kind && !log.withdrawn.has(event.id) && !log.aside.has(event.id),
  );
}

/** The switch as the live structure changes describe it. */
export function structureOf(log: Log): Structure {
  return liveEvents(log, 'restructured').reduce(
    (structure, { what }) => applyChange(structure, what.change),
    EMPTY_STRUCTURE,
  );
}

/** The prompt last shown, if nobody answered or skipped it and it is not older than a later answer. */
export function openPrompt(log: Log): Prompt | null {
  let open: Prompt | null = null;
  for (const { what } of log.ordered) {
    if (what.kind === 'prompt-shown') open = what.prompt;
    else if (what.kind === 'skipped' && what.prompt.id === open?.id) open = null;
    else if (what.kind === 'answered' && what.prompt === open?.id) open = null;
    else if (what.kind === 'withdrawn' || what.kind === 'restored') open = null;
  }
  return open;
}

/** Whether an event is a change of the structure, or takes one back or redoes it; `structural` says which events are changes. */
function changesStructure({ what }: JobEvent, structural: ReadonlySet<EventId>): boolean {
  if (what.kind === 'restructured') return true;
  return (what.kind === 'withdrawn' || what.kind === 'restored') && structural.has(what.target);
}

/** The last event that changed the structure, undone ones and their undoing included; null before the first. */
export function lastChange(events: Iterable<JobEvent>): EventId | null {
  const structural = new Set<EventId>();
  let last: EventId | null = null;
  for (const event of [...events].sort(compareEvents)) {
    if (event.what.kind === 'restructured') structural.add(event.id);
    if (changesStructure(event, structural)) last = event.id;
  }
  return last;
}

/** The logical clock for the next event of a writer that has seen these events. */
export function nextClock(events: Iterable<JobEvent>): number {
  let clock = 0;
  for (const event of events) clock = Math.max(clock, event.clock);
  return clock + 1;
}

/** The meter as it is set now: that of the last live check, an ordinary handheld before the first, on the range set since. */
export function lastCheckedMeter(log: Log): MeterProfile {
  const meter = liveEvents(log, 'meter-checked').at(-1)?.what.meter ?? ORDINARY_METER;
  const ranged = liveEvents(log, 'meter-ranged').at(-1);
  return ranged ? { ...meter, rangeOhms: ranged.what.rangeOhms } : meter;
}

/** The last act of these kinds in a stack of undo or redo. */
const lastOf = (stack: readonly JobEvent[], among: ReadonlySet<DeedKind>): JobEvent | undefined =>
  stack.find(({ what }) => among.has(what.kind));

const turned = (
  log: Log,
  kind: 'withdrawn' | 'restored',
  target: EventId,
): DeedOf<'withdrawn' | 'restored'> => {
  const structural = log.ordered.some(({ id, what }) => id === target && what.kind === 'restructured');
  return { kind, target, basedOn: structural ? lastChange(log.ordered) : null };
};

/** What takes back one act, wherever it is in the log. */
export const withdrawDeed = (log: Log, target: EventId): Deed => turned(log, 'withdrawn', target);

/** What takes back the last act of these kinds; null where there is none. */
export function undoDeed(log: Log, among: ReadonlySet<DeedKind>): Deed | null {
  const target = lastOf(log.undo, among);
  return target ? turned(log, 'withdrawn', target.id) : null;
}

/** What brings back the last act of these kinds that was taken back; null where there is none. */
export function redoDeed(log: Log, among: ReadonlySet<DeedKind>): Deed | null {
  const target = lastOf(log.redo, among);
  return target ? turned(log, 'restored', target.id) : null;
}
