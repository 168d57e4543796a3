import { KEYS, questions } from '../../api/questions.js';
import type { Work } from '@which-way/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { LiveStream } from '../../job/session/live-stream.js';

const ACTIVE: ReadonlySet<Work['state']> = new Set(['waiting', 'running']);
export const isActive = ({ state }: Work): boolean => ACTIVE.has(state);

/** Long work on the server, as it goes; also after a reload, and where the stream is not heard. */
export function useWorks(): Work[] {
  const works = useQuery({
    ...questions.works(),
    refetchInterval: (query) => (query.state.data?.some(isActive) ? 1000 : false),
  });
  return works.data ?? [];
}

/** Hears what changes on the bench, and how far long work is, as long as the bench is looked at. */
export function useBenchStream(): void {
  const queries = useQueryClient();
  useEffect(() => {
    const anew = () => void queries.invalidateQueries();
    const stream = new LiveStream(
      () => '/api/stream',
      {
        bench: () => {
          void queries.invalidateQueries({ queryKey: KEYS.jobs });
          void queries.invalidateQueries({ queryKey: KEYS.health });
        },
        work: (work) => {
          queries.setQueryData<Work[]>(KEYS.works, (before = []) => [
            ...before.filter(({ id }) => id !== work.id),
            work,
          ]);
          if (!isActive(work)) anew();
        },
      },
      anew,
    );
    stream.start();
    return () => stream.stop();
  }, [queries]);
}
