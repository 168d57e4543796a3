import type { JobId } from '@which-way/core/switch';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { JobState } from './session/job-state.js';
import type { JobSession } from './session/job-session.js';
import { LiveStream } from './session/live-stream.js';
import { hearMeter } from '../api/meter-now.js';
import { sessionOf } from './session/open-sessions.js';
import { browserOutbox, type Outbox } from './outbox/outbox.js';

const SessionContext = createContext<JobSession | null>(null);

interface JobProviderProps {
  id: JobId;
  /** Where unsent work is kept through reloads. */
  outbox?: Outbox;
  children: ReactNode;
}

/** Opens a job for everything below it. */
export function JobProvider({ id, outbox = browserOutbox, children }: JobProviderProps) {
  const [session] = useState(() => sessionOf(id, outbox));
  useEffect(() => {
    void session.open();
    const refresh = () => void session.flush();
    const stream = new LiveStream(
      () => `/api/stream?job=${id}&after=${session.cursor}`,
      {
        log: (message) => {
          session.hear(message);
          session.store.setState({ job: message.changed });
        },
        gone: () => session.gone(),
        meter: hearMeter,
      },
      () => void session.loadAnew().catch(() => undefined),
    );
    // The cursor is known once the job is there: a stream before that would bring the whole log once more.
    const stop = session.store.subscribe(({ job }) => {
      if (!job) return;
      stop();
      stream.start();
    });
    window.addEventListener('online', refresh);
    window.addEventListener('focus', refresh);
    return () => {
      window.removeEventListener('online', refresh);
      window.removeEventListener('focus', refresh);
      stop();
      stream.stop();
      session.leave();
    };
  }, [session, id]);
  return <SessionContext value={session}>{children}</SessionContext>;
}

/** The open job's session. */
export function useSession(): JobSession {
  const session = useContext(SessionContext);
  if (!session) throw new Error('no job is open here');
  return session;
}

/** A part of the open job's state. */
export function useJobState<Part>(select: (state: JobState) => Part): Part {
  return useStore(useSession().store, select);
}
