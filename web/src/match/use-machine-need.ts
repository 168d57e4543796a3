import { healthyOf, machineOf, type Matters, type NoMatters } from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { requirementByMachine, type MachineNeed } from '@which-way/core/match';
import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { MattersDesk } from './matters.worker.js';

/** What the machine needs, worked out in a worker of its own; whoever does not ask costs nothing. */
export function useMachineNeed(map: SwitchMap, wanted: boolean): MachineNeed {
  const asked = useMemo(() => {
    const [machine, settings] = [machineOf(map), healthyOf(map)];
    return wanted && machine && settings ? { machine, settings } : null;
  }, [map, wanted]);
  const [found, setFound] = useState<{ of: unknown; matters: Matters | NoMatters } | null>(null);
  useEffect(() => {
    if (!asked) return undefined;
    const worker = new Worker(new URL('./matters.worker.ts', import.meta.url), { type: 'module' });
    let left = false;
    void wrap<MattersDesk>(worker)
      .matters(asked.machine, asked.settings)
      .then((matters) => left || setFound({ of: asked, matters }))
      .finally(() => worker.terminate());
    return () => {
      left = true;
      worker.terminate();
    };
  }, [asked]);
  return useMemo(() => {
    const matters = !asked ? 'no-machine' : found?.of === asked ? found.matters : 'working';
    return requirementByMachine(matters);
  }, [asked, found]);
}
