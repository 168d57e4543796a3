import type { EventId, TerminalId, TerminalLook } from '../switch/index.js';
import type { NotedCase } from './kinds/before/cases.js';
import type { DeedKind, DeedOf } from './deed.js';
import type { Marking, NoteField, Sister, Symptom } from './kinds/before/intake.js';
import type { MechanicsFact, MechanicsField } from './kinds/tag/mechanics.js';
import type { OddAbout, OddAnswer } from './kinds/judge/odd.js';
import type { Photo } from './kinds/before/photo.js';
import type { InPlaceTrial } from './kinds/before/in-place.js';
import type { Beside } from './kinds/judge/beside.js';
import type { Passing } from './kinds/judge/between.js';
import type { Offer } from './kinds/judge/offer.js';
import { NO_REFINEMENT, type Refinement } from './kinds/judge/requirement.js';
import type { RepeatRun } from './kinds/judge/repeat.js';
import type { Load, Supply } from './kinds/tag/supply-and-load.js';
import type { BareEnds, LiveRecord } from './kinds/before/safety.js';
import type { StripStep } from './kinds/tag/strip.js';
import type { InsulationTest, MechanicalSign } from './kinds/judge/verdict.js';
import type { Part, Wire } from './kinds/tag/wire.js';
import type { WorthInputs } from './kinds/before/worth.js';
import { compareEvents, liveEvents, type Log } from './log.js';

/** The last of each key, in the order in which the keys first appeared. */
export function newestOf<Item>(items: readonly Item[], keyOf: (item: Item) => string): Item[] {
  const newest = new Map<string, Item>();
  for (const item of items) newest.set(keyOf(item), item);
  return [...newest.values()];
}

/** Acts of a kind that are of the switch as it is now: those before it was last worked on are of another one. */
export function sinceWork<Kind extends DeedKind>(log: Log, kind: Kind): DeedOf<Kind>[] {
  const worked = liveEvents(log, 'worked-on').at(-1);
  const events = liveEvents(log, kind);
  const now = worked ? events.filter((event) => compareEvents(event, worked) > 0) : events;
  return now.map(({ what }) => what);
}

/** What the live events of a kind say, in their order. */
export function deedsOf<Kind extends DeedKind>(log: Log, kind: Kind): DeedOf<Kind>[] {
  return liveEvents(log, kind).map(({ what }) => what);
}

const inUse = <Item extends { id: string; removed: boolean }>(items: readonly Item[]): Item[] =>
  newestOf(items, ({ id }) => id).filter(({ removed }) => !removed);

/** The notes of the intake, by field; a field without a note is absent. */
export function notesOf(log: Log): Map<NoteField, string> {
  return new Map(deedsOf(log, 'noted').map(({ field, text }) => [field, text]));
}

/** Markings as read, newest version each, in the order in which they were begun. */
export function markingsOf(log: Log): Marking[] {
  return newestOf(
    deedsOf(log, 'transcribed').map(({ marking }) => marking),
    ({ id }) => id,
  ).filter(({ runs, box }) => runs.length > 0 || box !== null);
}

/** What kind of complaint it is, as it was said last. */
export const symptomsOf = (log: Log): readonly Symptom[] =>
  deedsOf(log, 'symptoms-said').at(-1)?.symptoms ?? [];

export const sistersOf = (log: Log): Sister[] =>
  inUse(deedsOf(log, 'sister-noted').map(({ sister }) => sister));

export const photosOf = (log: Log): Photo[] => inUse(deedsOf(log, 'photo-taken').map(({ photo }) => photo));

export const wiresOf = (log: Log): Wire[] => inUse(deedsOf(log, 'wire-tagged').map(({ wire }) => wire));

/** Foreign paths and external jumpers, as declared. */
export const partsOf = (log: Log): Part[] => inUse(deedsOf(log, 'part-declared').map(({ part }) => part));

/** Steps of the strip log, in the order in which they were done. */
export const stripStepsOf = (log: Log): StripStep[] =>
  inUse(deedsOf(log, 'stripped').map(({ step }) => step));

export const mechanicsOf = (log: Log): Map<MechanicsField, MechanicsFact> =>
  new Map(deedsOf(log, 'measured').map(({ fact }) => [fact.field, fact]));

export const worthOf = (log: Log): WorthInputs | null => deedsOf(log, 'worth-noted').at(-1)?.inputs ?? null;

/** Live measurements: records, with the time at which they were written down. */
export function liveRecordsOf(log: Log): { record: LiveRecord; at: string; event: EventId }[] {
  return liveEvents(log, 'live-recorded').map(({ id, at, what }) => ({ record: what.record, at, event: id }));
}

/** What was done about bare conductors that stay behind; null: nobody has said. */
export const bareEndsOf = (log: Log): BareEnds | null => deedsOf(log, 'ends-capped').at(-1)?.ends ?? null;

/** What terminals look like, as it was said last. */
export const looksOf = (log: Log): Map<TerminalId, readonly TerminalLook[]> =>
  new Map(deedsOf(log, 'terminal-looked').map(({ terminal, looks }) => [terminal, looks]));

/** The last test with an insulation tester since the switch was worked on; null without one. */
export function insulationTestOf(log: Log): InsulationTest | null {
  const last = sinceWork(log, 'insulation-tested').at(-1)?.test ?? null;
  return last === null || last.megohms === null ? null : last;
}

/** One thing about the mechanics: of the whole, or at a terminal, perhaps with a photo. */
export type MechanicalNote = Omit<DeedOf<'mechanics-noted'>, 'kind'>;

/** What was said of the mechanics since the switch was worked on: the newest of each sign and place. */
export const mechanicalNotesOf = (log: Log): MechanicalNote[] =>
  newestOf(
    sinceWork(log, 'mechanics-noted').map(({ sign, found, terminal, photo }) => ({
      ...{ sign, found, terminal, photo },
    })),
    ({ sign, terminal }) => `${sign} ${terminal}`,
  ).filter(({ found }) => found !== null);

/** The same sign by sign: at fault where it is anywhere, good only where it is said of the whole. */
export function mechanicalSignsOf(log: Log): Map<MechanicalSign, 'good' | 'at-fault'> {
  const signs = new Map<MechanicalSign, 'good' | 'at-fault'>();
  for (const { sign, found, terminal } of mechanicalNotesOf(log)) {
    if (found === 'at-fault') signs.set(sign, 'at-fault');
    else if (terminal === null && !signs.has(sign)) signs.set(sign, 'good');
  }
  return signs;
}

/** What a question about something odd is known by, whichever way its terminals are named. */
export const oddKey = ({ code, terminals, settings }: OddAbout): string =>
  [code, terminals.toSorted().join(), settings.toSorted().join()].join(' ');

/** What was answered since it was worked on to the questions about odd things, by what they were about. */
export function oddAnswersOf(log: Log): Map<string, OddAnswer> {
  const answers = new Map<string, OddAnswer>();
  for (const { about, answer } of sinceWork(log, 'odd-answered').flatMap((deed) => deed.answers)) {
    if (answer === null) answers.delete(oddKey(about));
    else answers.set(oddKey(about), answer);
  }
  return answers;
}

/** Cases of the trade that were said of this switch, each once. */
export const casesOf = (log: Log): NotedCase[] =>
  newestOf(
    deedsOf(log, 'case-noted').map(({ noted }) => noted),
    ({ what, position }) => `${what} ${position}`,
  ).filter(({ on }) => on);

/** Whether the wires are said to be off the switch; null: nobody has said. */
export const wiresOffOf = (log: Log): boolean | null => deedsOf(log, 'wires-off').at(-1)?.off ?? null;

/** Supplies of the machine, in the order in which they were named. */
export const suppliesOf = (log: Log): Supply[] =>
  inUse(deedsOf(log, 'supply-named').map(({ supply }) => supply));

/** Loads of the machine, in the order in which they were named. */
export const loadsOf = (log: Log): Load[] => inUse(deedsOf(log, 'load-named').map(({ load }) => load));

/** Parts that are offered: the newest of each. */
export const offersOf = (log: Log): Offer[] => inUse(deedsOf(log, 'offer-noted').map(({ offer }) => offer));

/** Pairs that were watched in the machine, the wires on. */
export const inPlaceOf = (log: Log): InPlaceTrial[] =>
  deedsOf(log, 'tried-in-place').map(({ trial }) => trial);

/** Runs of cycles since the switch was worked on, in their order. */
export const repeatRunsOf = (log: Log): RepeatRun[] =>
  sinceWork(log, 'contact-repeated').map(({ run }) => run);

/** What was seen between positions since the switch was worked on: the newest of each two throws, step and way. */
export const passingsOf = (log: Log): Passing[] =>
  newestOf(
    sinceWork(log, 'passing-probed').map(({ passing }) => passing),
    ({ throws, settings, way }) => `${throws.toSorted().join()} ${settings.join()} ${way}`,
  ).filter(({ passes }) => passes > 0);

/** Other jobs whose switches are measured beside this one, the newest word on each. */
export const besideOf = (log: Log): Beside[] =>
  newestOf(
    deedsOf(log, 'put-beside').map(({ beside }) => beside),
    ({ job }) => job,
  );

/** How a replacement is looked for: as it is proposed, without junctions and gaps, while nobody has said otherwise. */
export const refinementOf = (log: Log): Refinement =>
  deedsOf(log, 'requirement-refined').at(-1)?.refinement ?? NO_REFINEMENT;
