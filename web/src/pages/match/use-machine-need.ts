import { circuitOf, healthyOf, type Circuit, type Healthy } from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { requirementByMachine, type MachineNeed } from '@which-way/core/match';
import { useMemo } from 'react';
import { Beside, type AskedOf } from '../../parts/beside/beside.js';
import { useBeside } from '../../parts/beside/use-beside.js';
import type { MattersDesk } from './matters-desk.js';

interface Asked {
  circuit: Circuit;
  settings: Healthy[];
}

/** A worker that works out what a page of Match asks. */
export const openMatters = () =>
  new Beside<MattersDesk>({
    open: () => new Worker(new URL('./matters.worker.ts', import.meta.url), { type: 'module' }),
    standIn: async () => (await import('./matters-desk.js')).mattersDesk,
  });
const ask = (desk: AskedOf<MattersDesk>, { circuit, settings }: Asked) => desk.matters(circuit, settings);

/** What the machine needs, worked out in a worker of its own; whoever does not ask costs nothing. */
export function useMachineNeed(map: SwitchMap, wanted: boolean): MachineNeed {
  const asked = useMemo(() => {
    const [circuit, settings] = [circuitOf(map), healthyOf(map)];
    return wanted && circuit && settings ? { circuit, settings } : null;
  }, [map, wanted]);
  const { answer } = useBeside(openMatters, asked, ask);
  return useMemo(() => requirementByMachine(asked ? (answer ?? 'working') : 'no-machine'), [asked, answer]);
}
