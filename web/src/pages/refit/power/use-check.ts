import type { SwitchMap } from '@which-way/core/continuity';
import { checkBench, refitOf, type Bench, type Check, type Refit } from '@which-way/core/refit';
import { useMemo } from 'react';
import { Beside, type AskedOf } from '../../../parts/beside/beside.js';
import { useBeside } from '../../../parts/beside/use-beside.js';
import type { CheckDesk } from './check-desk.js';

const open = () =>
  new Beside<CheckDesk>({
    open: () => new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' }),
    standIn: async () => (await import('./check-desk.js')).checkDesk,
  });
const ask = (desk: AskedOf<CheckDesk>, wanted: string) => desk.of(JSON.parse(wanted) as Bench);

/** Works out beside the screen which readings would show any single mistake; null while it is at work, or where nothing goes back. */
export function useCheck(map: SwitchMap): { refit: Refit | null; check: Check | null } {
  const refit = useMemo(() => refitOf(map), [map]);
  // The same wires on the same lugs want the same check, whatever was ticked meanwhile.
  const wanted = useMemo(() => {
    if (!refit) return null;
    const { lugs, at, jumpers, strays, nets } = checkBench(refit);
    return JSON.stringify({ lugs, at, jumpers, strays, nets });
  }, [refit]);
  return { refit, check: useBeside(open, wanted, ask).answer };
}
