import type { JobId } from '@which-way/core/switch';
import { JobSession } from './job-session.js';
import { holdsWork } from './leaving.js';
import type { Outbox } from '../outbox/outbox.js';

/** Sessions by job and by where they keep their work: one that still sends is found again by whoever opens its job. */
const sessions = new Map<JobId, { session: JobSession; outbox: Outbox }>();

/** The session of a job: one that is still sending, or a new one. */
export function sessionOf(id: JobId, outbox: Outbox): JobSession {
  const there = sessions.get(id);
  if (there && there.outbox === outbox && there.session.waiting > 0) return there.session;
  const session = new JobSession(id, outbox);
  sessions.set(id, { session, outbox });
  return session;
}

holdsWork(() => [...sessions.values()].some(({ session }) => session.onlyHere));
