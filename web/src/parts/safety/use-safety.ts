import { safetyStanding } from '@which-way/core/safety';
import { useMemo } from 'react';
import { useJobState } from '../../job/job-context.js';
import { useNow } from './use-now.js';

/** The standing of the open job's safety list, its age included. */
export function useSafety() {
  const log = useJobState((state) => state.map.log);
  const outOfMachine = useJobState((state) => state.job?.outOfMachine ?? false);
  const now = useNow();
  return useMemo(() => safetyStanding(log, outOfMachine, now), [log, outOfMachine, now]);
}
