import { safetyStanding } from '@which-way/core/safety';
import { useEffect, useMemo, useState } from 'react';
import { useJobState } from '../job/job-context.js';

const LOOK_AGAIN_MS = 5 * 60_000;

/** The standing of the open job's safety list, its age included. */
export function useSafety() {
  const log = useJobState((state) => state.map.log);
  const outOfMachine = useJobState((state) => state.job?.outOfMachine ?? false);
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, []);
  return useMemo(() => safetyStanding(log, outOfMachine, now), [log, outOfMachine, now]);
}
