import type { DerivedSummary, UnreadableEvent } from '@which-way/contract';
import { deriveMap } from '@which-way/core/continuity';
import { ROUTE_ENGINE, routeOf } from '@which-way/core/route';
import {
  type JobAbout,
  type JobEvent,
  type Log,
  membersOf,
  notesOf,
  readLog,
  recordsOf,
} from '@which-way/core/log';
import { positionsOf } from '@which-way/core/switch';
import { SUMMARY_TEXT } from '@which-way/words/server/backroom/summary';

/** A summary as it is stored: with what it was worked out of. */
export interface WorkedOut {
  jobId: string;
  cursor: number;
  version: number;
  engine: number;
  body: string;
  found: string;
}

export interface SummaryOf {
  id: string;
  number: number;
  title: string;
  place: string;
  outOfMachine: boolean;
  cursor: number;
  version: number;
  about: JobAbout;
}

/** Works out what the bench shows of a job. Never throws: a job that cannot be read stands by itself. */
export function workOut(
  job: SummaryOf,
  read: () => { events: JobEvent[]; unreadable: UnreadableEvent[] },
): WorkedOut {
  const { derived, said } = derive(job, read);
  const found = [job.number, job.title, job.place, derived.settingName ?? '', ...said]
    .join(' ')
    .toLowerCase();
  const { cursor, version } = job;
  return { jobId: job.id, cursor, version, engine: ROUTE_ENGINE, body: JSON.stringify(derived), found };
}

function derive(
  job: SummaryOf,
  read: () => { events: JobEvent[]; unreadable: UnreadableEvent[] },
): { derived: DerivedSummary; said: string[] } {
  try {
    const { events, unreadable } = read();
    if (unreadable.length > 0) {
      const [first] = unreadable;
      const others = unreadable.length > 1 ? ` And ${unreadable.length - 1} more.` : '';
      return { derived: { route: null, settingName: null, trouble: `${first?.message}${others}` }, said: [] };
    }
    if (job.about === 'system') return { derived: derivedSystem(events), said: [] };
    const map = deriveMap(events);
    const route = routeOf(job, map);
    const about = route.next.code === 'readings-left' ? route.next.setting : null;
    const setting = map.structure.settings.find(({ id }) => id === about);
    const names = setting ? positionsOf(map.structure, setting).flatMap(({ name }) => name ?? []) : [];
    return {
      derived: { route, settingName: names.filter(Boolean).join(', ') || null, trouble: null },
      said: writtenOf(map.log),
    };
  } catch (error) {
    const trouble = SUMMARY_TEXT.itsLogCannotBeMade(error instanceof Error ? error.message : String(error));
    return { derived: { route: null, settingName: null, trouble }, said: [] };
  }
}

/** A system has no route of its own: it is worked on through its switches. */
const derivedSystem = (events: readonly JobEvent[]): DerivedSummary => ({
  route: null,
  settingName: null,
  trouble: null,
  members: membersOf(readLog(events)),
});

/** What was written down of a job, for the search: notes, markings, sister switches. */
function writtenOf(log: Log): string[] {
  const markings = recordsOf(log, 'transcribed').map(({ runs }) => runs.map(({ text }) => text).join(''));
  return [...notesOf(log).values(), ...markings, ...recordsOf(log, 'sister-noted').map(({ text }) => text)];
}
