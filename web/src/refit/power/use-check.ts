import type { SwitchMap } from '@which-way/core/continuity';
import { benchOf, checkOf, refitOf, type Check, type Refit } from '@which-way/core/refit';
import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { CheckWorker } from './check.worker.js';

/** Works out beside the screen which readings would show any single mistake; null while it is at work, or where nothing goes back. */
export function useCheck(map: SwitchMap): { refit: Refit | null; check: Check | null } {
  const refit = useMemo(() => refitOf(map), [map]);
  // The same wires on the same lugs want the same check, whatever was ticked meanwhile.
  const wanted = useMemo(() => {
    if (!refit) return null;
    const { lugs, at, jumpers, strays, nets } = benchOf(refit);
    return JSON.stringify({ lugs, at, jumpers, strays, nets });
  }, [refit]);
  const [found, setFound] = useState<{ of: string; check: Check } | null>(null);
  useEffect(() => {
    if (wanted === null) return undefined;
    const bench = JSON.parse(wanted) as Parameters<typeof checkOf>[0];
    let over = false;
    const take = (check: Check) => {
      if (!over) setFound({ of: wanted, check });
    };
    const here = () => take(checkOf(bench));
    if (typeof Worker === 'undefined') {
      const timer = setTimeout(here);
      return () => {
        over = true;
        clearTimeout(timer);
      };
    }
    const thread = new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' });
    thread.onerror = here;
    void wrap<CheckWorker>(thread).of(bench).then(take, here);
    return () => {
      over = true;
      thread.terminate();
    };
  }, [wanted]);
  return { refit, check: found !== null && found.of === wanted ? found.check : null };
}
