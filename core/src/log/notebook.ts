import type { EventId, PhotoId, TerminalId, TerminalLook, WireId } from '../switch/index.js';
import type { Photo } from './kinds/before/photo.js';
import type { LiveRecord } from './kinds/before/safety.js';
import type { NoteField } from './kinds/before/intake.js';
import type { MechanicsFact, MechanicsField } from './kinds/tag/mechanics.js';
import { oddKey, type OddAnswer } from './kinds/judge/odd.js';
import { NO_REFINEMENT, type Refinement } from './kinds/judge/requirement.js';
import type { InsulationTest, MechanicalSign } from './kinds/judge/verdict.js';
import type { RefitNote, ReportPart, SignedRefit } from './kinds/back/tried.js';
import { liveEvents, type Log } from './log.js';
import type { DeedOf } from './deed.js';
import { deedsOf, recordsOf } from './records.js';

/** The notes of the intake, by field; a field without a note is absent. */
export const notesOf = (log: Log): Map<NoteField, string> =>
  new Map(recordsOf(log, 'noted').map(({ field, text }) => [field, text]));

/** What must fit, by what it is of. */
export const mechanicsOf = (log: Log): Map<MechanicsField, MechanicsFact> =>
  new Map(recordsOf(log, 'measured').map((fact) => [fact.field, fact]));

/** Live measurements: records, with the time at which they were written down. */
export const liveRecordsOf = (log: Log): { record: LiveRecord; at: string; event: EventId }[] =>
  liveEvents(log, 'live-recorded').map(({ id, at, what }) => ({ record: what.record, at, event: id }));

/** What terminals look like, as it was said last. */
export const looksOf = (log: Log): Map<TerminalId, readonly TerminalLook[]> =>
  new Map(recordsOf(log, 'terminal-looked').map(({ terminal, looks }) => [terminal, looks]));

/** The last test with an insulation tester since the switch was worked on; null without one, and where it was taken back. */
export function insulationTestOf(log: Log): InsulationTest | null {
  const test = recordsOf(log, 'insulation-tested');
  return test === null || test.megohms === null ? null : test;
}

/** One thing about the mechanics: of the whole, or at a terminal, perhaps with a photo. */
export type MechanicalNote = Omit<DeedOf<'mechanics-noted'>, 'kind'>;

/** The mechanics sign by sign: at fault where it is anywhere, good only where it is said of the whole. */
export function mechanicalSignsOf(log: Log): Map<MechanicalSign, 'good' | 'at-fault'> {
  const signs = new Map<MechanicalSign, 'good' | 'at-fault'>();
  for (const { sign, found, terminal } of recordsOf(log, 'mechanics-noted')) {
    if (found === 'at-fault') signs.set(sign, 'at-fault');
    else if (terminal === null && !signs.has(sign)) signs.set(sign, 'good');
  }
  return signs;
}

/** What was answered since it was worked on to the questions about odd things, by what they were about. */
export const oddAnswersOf = (log: Log): Map<string, OddAnswer> =>
  new Map(recordsOf(log, 'odd-answered').map(({ about, answer }) => [oddKey(about), answer]));

/** How a replacement is looked for: as it is proposed, without junctions and gaps, while nobody has said otherwise. */
export const refinementOf = (log: Log): Refinement => recordsOf(log, 'requirement-refined') ?? NO_REFINEMENT;

/** On which of several joined lugs a wire sits, by its label, where somebody has said. */
export const wiresLaidOf = (log: Log): ReadonlyMap<WireId, string> =>
  new Map(
    recordsOf(log, 'wire-laid').flatMap(({ wire, lug }) => (lug === null ? [] : [[wire, lug] as const])),
  );

/** Lines of the transfer card that are done. */
export const ticksOf = (log: Log): ReadonlySet<string> =>
  new Set(recordsOf(log, 'line-ticked').flatMap(({ line, done }) => (done ? [line] : [])));

/** Advice to the owner and the like, by field. */
export const refitNotesOf = (log: Log): ReadonlyMap<RefitNote, string> =>
  new Map(recordsOf(log, 'refit-noted').map(({ field, text }) => [field, text]));

/** The last sign-off with when it was given. */
export function refitSignedOf(log: Log): { signed: SignedRefit; at: string } | null {
  const event = liveEvents(log, 'refit-signed').at(-1);
  return event ? { signed: event.what.refit, at: event.at } : null;
}

/** What is left out of the report: parts of it, and photos one by one. */
export function reportShapeOf(log: Log): { leftOut: readonly ReportPart[]; photosOut: readonly PhotoId[] } {
  const { leftOut = [], photosOut = [] } = deedsOf(log, 'report-shaped').at(-1) ?? {};
  return { leftOut, photosOut };
}

/** The photos that the report shows. */
export function reportPhotosOf(log: Log): Photo[] {
  const { leftOut, photosOut } = reportShapeOf(log);
  return leftOut.includes('photos')
    ? []
    : recordsOf(log, 'photo-taken').filter(({ id }) => !photosOut.includes(id));
}
