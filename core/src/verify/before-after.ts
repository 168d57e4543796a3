import { deriveMap, factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import { compareEvents, liveEvents, type JobEvent, type WorkDone } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { truthTable } from '../table/index.js';
import { judgedContacts, type JudgedContact } from './fitness.js';

/** One contact in one setting, before the switch was worked on and after. */
export interface BeforeAndAfter {
  terminals: [TerminalId, TerminalId];
  setting: SettingId;
  /** Joined or not; null where it is not known. */
  was: boolean | null;
  is: boolean | null;
  before: JudgedContact | null;
  after: JudgedContact | null;
  /** `joins`: it closes now, or doesn't any more; `value`: it reads otherwise by more than both may be out, or is judged otherwise. */
  changed: 'joins' | 'value' | null;
}

/** What was done last, and the map of the stretch before it; null where it was never worked on. */
export function lastStretch({ log }: SwitchMap): { what: WorkDone; at: string; before: SwitchMap } | null {
  const done: JobEvent | undefined = liveEvents(log, 'worked-on').at(-1);
  if (!done || done.what.kind !== 'worked-on') return null;
  const earlier = log.ordered.filter((event) => compareEvents(event, done) < 0);
  return { what: done.what.what, at: done.at, before: deriveMap(earlier) };
}

/** Every contact of either stretch, in every setting in which either closes it: what changed first. */
export function beforeAndAfter(before: SwitchMap, after: SwitchMap): BeforeAndAfter[] {
  const rows = new Map<string, [TerminalId, TerminalId]>();
  for (const map of [before, after])
    for (const { rows: contacts } of truthTable(map).poles)
      for (const { terminals } of contacts) rows.set(terminals.toSorted().join(), terminals);
  const [judgedBefore, judgedAfter] = [judgedContacts(before), judgedContacts(after)];
  const of = (list: readonly JudgedContact[], key: string, setting: SettingId) =>
    list.find((one) => one.terminals.toSorted().join() === key && one.setting === setting) ?? null;
  const told = [...rows].flatMap(([key, terminals]) =>
    after.structure.settings.flatMap(({ id }): BeforeAndAfter[] => {
      const [was, is] = [joinedIn(before, id, terminals), joinedIn(after, id, terminals)];
      if (was !== true && is !== true) return [];
      const [one, other] = [of(judgedBefore, key, id), of(judgedAfter, key, id)];
      const changed = was !== is ? 'joins' : readsOtherwise(one, other) ? 'value' : null;
      return [{ terminals, setting: id, was, is, before: one, after: other, changed }];
    }),
  );
  const rank = ({ changed }: BeforeAndAfter) => ['joins', 'value', null].indexOf(changed);
  return told.toSorted((one, other) => rank(one) - rank(other));
}

/** Whether a contact is judged otherwise, or differs by more than its two readings may be out. */
function readsOtherwise(before: JudgedContact | null, after: JudgedContact | null): boolean {
  if (before?.verdict !== after?.verdict) return true;
  if (!before || !after || before.ohms === null || after.ohms === null) return false;
  return Math.abs(before.ohms - after.ohms) > before.uncertainty + after.uncertainty;
}

function joinedIn(
  { settings }: SwitchMap,
  setting: SettingId,
  [a, b]: [TerminalId, TerminalId],
): boolean | null {
  const settled = settings.get(setting)?.settled;
  if (!settled) return null;
  const [one, other] = [settled.terminals.indexOf(a), settled.terminals.indexOf(b)].sort((x, y) => x - y);
  if (one === undefined || other === undefined || one < 0) return null;
  const fact = factAt(settled, one, other);
  return isSettled(fact) ? (fact.joined ?? null) : null;
}
