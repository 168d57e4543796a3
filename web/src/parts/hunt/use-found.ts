import { NOTHING_FOUND, type HuntEvidence, type FoundFaults } from '@which-way/core/machine';
import { useCallback } from 'react';
import { Beside, type AskedOf } from '../beside/beside.js';
import { useBeside } from '../beside/use-beside.js';
import type { HuntDesk } from './hunt-desk.js';
import type { Hunted } from './hunted.js';

/** What was found, and whether more is being worked out. */
export interface Found extends FoundFaults {
  busy: boolean;
}

const ask = (desk: AskedOf<HuntDesk>, evidence: HuntEvidence) => desk.found(evidence);

/** A hunt in one machine; what it was told of the machine is kept from one look to the next. */
const huntIn = (hunted: Hunted | null) =>
  new Beside<HuntDesk>({
    open: () => new Worker(new URL('./hunt.worker.ts', import.meta.url), { type: 'module' }),
    standIn: async () => (await import('./hunt-desk.js')).huntDesk(),
    first: async (desk) => {
      if (hunted) await desk.of(hunted);
    },
    keeps: true,
  });

/**
 * Works out beside the screen what evidence comes to in a machine; until it is there, what the evidence before it came to.
 * @param hunted the same object while the machine and its switches are; null: nothing can be hunted
 */
export function useFound(hunted: Hunted | null, evidence: HuntEvidence): Found {
  const any = hunted !== null && evidence.seen.length > 0;
  const open = useCallback(() => huntIn(hunted), [hunted]);
  const { last, busy } = useBeside(open, any ? evidence : null, ask);
  return { ...(any && last ? last.answer : NOTHING_FOUND), busy };
}
