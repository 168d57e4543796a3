import { liveEvents, movedAct, strandedActs, type Destinations } from '@which-way/core/log';
import type { JobSession } from '../session/job-session.js';
import { newId } from '../new-id.js';

/** Moves readings on what was never added to what is there: each is taken back and entered anew. */
export function moveStranded(session: JobSession, to: Destinations): void {
  const { map } = session.store.getState();
  for (const { act, terminals, settings } of strandedActs(map.log)) {
    const reach =
      terminals.every((id) => to.terminals.has(id)) && settings.every((id) => to.settings.has(id));
    if (!reach) continue;
    session.emit({ kind: 'withdrawn', target: act.id, basedOn: null }, movedAct(act, to, newId));
  }
}

/** Takes readings on what was never added out of the log. */
export function dropStranded(session: JobSession): void {
  const { map } = session.store.getState();
  const acts = new Set(strandedActs(map.log).map(({ act }) => act.id));
  for (const { id } of liveEvents(map.log, 'answered')) if (acts.has(id)) session.withdraw(id);
}
