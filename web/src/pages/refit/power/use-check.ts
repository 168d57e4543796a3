import type { SwitchMap } from '@which-way/core/continuity';
import { checkBench, refitOf, type Bench, type Check, type Refit } from '@which-way/core/refit';
import { proxy } from 'comlink';
import { useCallback, useMemo, useState } from 'react';
import { Beside, type AskedOf } from '../../../parts/beside/beside.js';
import { useBeside } from '../../../parts/beside/use-beside.js';
import type { CheckDesk } from './check-desk.js';

const open = () =>
  new Beside<CheckDesk>({
    open: () => new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' }),
    standIn: async () => (await import('./check-desk.js')).checkDesk,
  });

/** The check of what goes back, as far as it is worked out. */
export interface CheckAtWork {
  refit: Refit | null;
  /** null while it is at work, where nothing goes back, and where it was stopped. */
  check: Check | null;
  /** How far it is, 0 to 1. */
  done: number;
  /** Set once somebody stopped it: begins it again. */
  again: (() => void) | null;
  stop: () => void;
}

/** Works out beside the screen which readings would show any single mistake. */
export function useCheck(map: SwitchMap): CheckAtWork {
  const refit = useMemo(() => refitOf(map), [map]);
  // The same wires on the same lugs want the same check, whatever was ticked meanwhile.
  const wanted = useMemo(() => {
    if (!refit) return null;
    const { lugs, at, jumpers, strays, nets } = checkBench(refit);
    return JSON.stringify({ lugs, at, jumpers, strays, nets });
  }, [refit]);
  const [stopped, setStopped] = useState<string | null>(null);
  const [done, setDone] = useState(0);
  const ask = useCallback((desk: AskedOf<CheckDesk>, asked: string) => {
    setDone(0);
    return desk.of(JSON.parse(asked) as Bench, proxy(setDone));
  }, []);
  const isStopped = wanted !== null && stopped === wanted;
  const { answer } = useBeside(open, isStopped ? null : wanted, ask);
  const stop = () => {
    setStopped(wanted);
    setDone(0);
  };
  return { refit, check: answer, done, again: isStopped ? () => setStopped(null) : null, stop };
}
