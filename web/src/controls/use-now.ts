import { useEffect, useState } from 'react';

/** The time as ISO text, looked at twice a minute: enough to know that a meter has gone to sleep. */
export function useNow(everyMilliseconds = 30_000): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), everyMilliseconds);
    return () => clearInterval(timer);
  }, [everyMilliseconds]);
  return now;
}
