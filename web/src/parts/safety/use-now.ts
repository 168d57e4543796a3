import { useEffect, useState } from 'react';

const LOOK_AGAIN_MS = 5 * 60_000;

/** The time as an ISO text, looked at again every five minutes: what is safe grows old. */
export function useNow(): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
