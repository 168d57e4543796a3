import type { PhotoId, WireId } from '../switch/index.js';
import type { Photo } from './kinds/before/photo.js';
import type { RefitWay } from './kinds/back/putting-back.js';
import type {
  FunctionLine,
  FunctionTry,
  JumperTest,
  PowerRecord,
  RefitNote,
  ReportPart,
  Residual,
  SignedRefit,
} from './kinds/back/tried.js';
import type { DeedKind, DeedOf } from './deed.js';
import { compareEvents, liveEvents, type Log } from './log.js';
import { deedsOf, newestOf, photosOf } from './notebook.js';

/** What goes back; null: nobody has said. */
export const refitWayOf = (log: Log): RefitWay | null => deedsOf(log, 'refit-begun').at(-1)?.way ?? null;

/** Acts of a kind that are of what goes back now: those before another part was chosen, or another way, are of another one. */
function sinceChosen<Kind extends DeedKind>(log: Log, kind: Kind): DeedOf<Kind>[] {
  const begun = [...liveEvents(log, 'refit-begun').slice(-1), ...liveEvents(log, 'chosen').slice(-1)]
    .toSorted(compareEvents)
    .at(-1);
  const events = liveEvents(log, kind);
  return (begun ? events.filter((event) => compareEvents(event, begun) > 0) : events).map(({ what }) => what);
}

/** On which of several joined lugs a wire sits, by its label, where somebody has said. */
export const wiresLaidOf = (log: Log): ReadonlyMap<WireId, string> =>
  new Map(
    newestOf(sinceChosen(log, 'wire-laid'), ({ wire }) => wire).flatMap(({ wire, lug }) =>
      lug === null ? [] : [[wire, lug] as const],
    ),
  );

/** Lines of the transfer card that are done. */
export const ticksOf = (log: Log): ReadonlySet<string> =>
  new Set(
    newestOf(sinceChosen(log, 'line-ticked'), ({ line }) => line).flatMap(({ line, done }) =>
      done ? [line] : [],
    ),
  );

/** What the check before power has read of what goes back now, in the order in which it was read. */
export const checkReadsOf = (log: Log): DeedOf<'check-read'>[] => sinceChosen(log, 'check-read');

/** What was measured before power: the newest of each thing in each position. */
export const powerRecordsOf = (log: Log): PowerRecord[] =>
  newestOf(
    sinceChosen(log, 'power-recorded').map(({ record }) => record),
    ({ what, position, setting }) => `${what} ${setting ?? position}`,
  ).filter(({ ohms }) => ohms !== null);

export const jumperTestsOf = (log: Log): JumperTest[] =>
  newestOf(
    deedsOf(log, 'jumper-tested').map(({ test }) => test),
    ({ setting }) => setting,
  );

export const functionTriesOf = (log: Log): (FunctionTry & { result: NonNullable<FunctionTry['result']> })[] =>
  newestOf(
    sinceChosen(log, 'function-tried').flatMap(({ tried }) => tried),
    ({ line }) => line,
  ).flatMap(({ result, ...of }) => (result === null ? [] : [{ ...of, result }]));

export const functionLinesOf = (log: Log): FunctionLine[] =>
  newestOf(
    deedsOf(log, 'function-asked').map(({ line }) => line),
    ({ id }) => id,
  ).filter(({ removed }) => !removed);

export const residualsOf = (log: Log): Residual[] =>
  newestOf(
    deedsOf(log, 'residual-noted').map(({ residual }) => residual),
    ({ id }) => id,
  ).filter(({ removed }) => !removed);

export const refitNotesOf = (log: Log): ReadonlyMap<RefitNote, string> =>
  new Map(deedsOf(log, 'refit-noted').map(({ field, text }) => [field, text]));

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
  return leftOut.includes('photos') ? [] : photosOf(log).filter(({ id }) => !photosOut.includes(id));
}
