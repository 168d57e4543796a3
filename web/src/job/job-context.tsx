import type { JobId } from '@which-way/core/switch';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { JobSession, type JobState } from './job-session.js';
import { browserOutbox, type Outbox } from './outbox.js';

const SessionContext = createContext<JobSession | null>(null);

interface JobProviderProps {
  id: JobId;
  /** Where unsent work is kept through reloads. */
  outbox?: Outbox;
  children: ReactNode;
}

/** Opens a job for everything below it. */
export function JobProvider({ id, outbox = browserOutbox, children }: JobProviderProps) {
  const [session] = useState(() => new JobSession(id, outbox));
  useEffect(() => {
    void session.open();
    const refresh = () => void session.flush();
    window.addEventListener('online', refresh);
    window.addEventListener('focus', refresh);
    return () => {
      window.removeEventListener('online', refresh);
      window.removeEventListener('focus', refresh);
      session.close();
    };
  }, [session]);
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
