import { useEffect, useState } from 'react';

/** `held`: the screen stays on. `cannot`: this browser does not do it here, which people should know. */
export type WakeLock = 'asking' | 'held' | 'cannot';

/** Keeps the screen on while it is wanted: both hands are on the leads. Browsers allow it on secure pages only. */
export function useWakeLock(wanted: boolean): WakeLock {
  const [state, setState] = useState<WakeLock>('asking');
  useEffect(() => {
    if (!wanted) return undefined;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async () => {
      try {
        if (!('wakeLock' in navigator)) throw new Error('not here');
        lock = await navigator.wakeLock.request('screen');
        if (over) await lock.release();
        else setState('held');
      } catch {
        if (!over) setState('cannot');
      }
    };
    const onShown = () => {
      if (document.visibilityState === 'visible') void ask();
    };
    void ask();
    document.addEventListener('visibilitychange', onShown);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', onShown);
      void lock?.release().catch(() => undefined);
    };
  }, [wanted]);
  return state;
}
