import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import type { JobSummary, JobWithEvents } from '@which-way/contract';
import { deriveMap, type SwitchMap } from '@which-way/core/continuity';
import type { Log } from '@which-way/core/log';
import { membersOf } from '@which-way/core/log';
import type { JobId } from '@which-way/core/switch';
import { useEffect, useMemo } from 'react';
import { KEYS, questions } from '../../api/questions.js';
import { LiveStream } from '../../job/session/live-stream.js';

/** A switch of a system, as it can be read now. */
export interface Member {
  job: JobId;
  name: string;
  /** null: nothing of it counts. */
  map: SwitchMap | null;
  /** Why nothing of it counts. */
  why: string | null;
  /** It was said to be out of the machine. */
  outOfMachine: boolean;
}

/** The switches of a system with what their jobs know; read again whenever one of them changes. */
export function useMembers(log: Log): { members: Member[]; others: JobSummary[] } {
  const queries = useQueryClient();
  const ids = useMemo(() => membersOf(log), [log]);
  const jobs = useQuery(questions.jobs('', false)).data;
  const opened = useQueries({
    queries: ids.map((id) => ({ ...questions.jobEvents(id), retry: false })),
    combine: (answers) => answers.map(({ data, isError }) => ({ data, isError })),
  });
  useEffect(() => {
    const anew = () => {
      void queries.invalidateQueries({ queryKey: KEYS.jobs });
      void queries.invalidateQueries({ queryKey: ['job-events'] });
    };
    const stream = new LiveStream(() => '/api/stream', { bench: anew }, anew);
    stream.start();
    return () => stream.stop();
  }, [queries]);
  // What is combined stays the same as long as no answer changes.
  const members = useMemo(
    () => ids.map((job, at): Member => memberOf(job, opened[at]?.data, opened[at]?.isError === true)),
    [ids, opened],
  );
  const others = (jobs ?? []).filter(({ id, about }) => about !== 'system' && !ids.includes(id));
  return { members, others };
}

function memberOf(job: JobId, data: JobWithEvents | undefined, failed: boolean): Member {
  if (!data)
    return {
      job,
      name: 'A switch',
      map: null,
      outOfMachine: false,
      why: failed ? 'it cannot be opened' : 'it is being opened',
    };
  const { title: name, outOfMachine, archived } = data.job;
  const none = { job, name, outOfMachine, map: null };
  if (archived) return { ...none, why: 'it is archived' };
  if (data.unreadable.length > 0) return { ...none, why: 'it cannot be read in full' };
  return { ...none, map: deriveMap(data.events), why: null };
}
