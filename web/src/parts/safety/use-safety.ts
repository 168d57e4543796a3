import { safetyStanding } from '@which-way/core/safety';
import { useMemo } from 'react';
import { useJobState } from '../../job/job-context.js';
import { useNow } from '../../controls/use-now.js';

/** What is safe grows old: the clock is looked at again every five minutes. */
export const LOOK_AGAIN_MS = 5 * 60_000;

/** The standing of the open job's safety list, its age included. */
export function useSafety() {
  const log = useJobState((state) => state.map.log);
  const outOfMachine = useJobState((state) => state.job?.outOfMachine ?? false);
  const now = useNow(LOOK_AGAIN_MS);
  return useMemo(() => safetyStanding(log, outOfMachine, now), [log, outOfMachine, now]);
}
