import { healthyOf, machineOf, type Healthy, type Machine } from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { requirementByMachine, type MachineNeed } from '@which-way/core/match';
import { useMemo } from 'react';
import { Beside, type AskedOf } from '../../parts/beside/beside.js';
import { useBeside } from '../../parts/beside/use-beside.js';
import type { MattersDesk } from './matters-desk.js';

interface Asked {
  machine: Machine;
  settings: Healthy[];
}

const open = () =>
  new Beside<MattersDesk>({
    open: () => new Worker(new URL('./matters.worker.ts', import.meta.url), { type: 'module' }),
    standIn: async () => (await import('./matters-desk.js')).mattersDesk,
  });
const ask = (desk: AskedOf<MattersDesk>, { machine, settings }: Asked) => desk.matters(machine, settings);

/** What the machine needs, worked out in a worker of its own; whoever does not ask costs nothing. */
export function useMachineNeed(map: SwitchMap, wanted: boolean): MachineNeed {
  const asked = useMemo(() => {
    const [machine, settings] = [machineOf(map), healthyOf(map)];
    return wanted && machine && settings ? { machine, settings } : null;
  }, [map, wanted]);
  const { answer } = useBeside(open, asked, ask);
  return useMemo(() => requirementByMachine(asked ? (answer ?? 'working') : 'no-machine'), [asked, answer]);
}
