import {
  faultModel,
  foundFaults,
  NOTHING_FOUND,
  type Evidence,
  type FaultModel,
  type FoundFaults,
} from '@which-way/core/circuit';
import { useEffect, useState } from 'react';
import { HuntThread } from './hunt-thread.js';
import type { Hunted } from './hunted.js';

/** What was found, and whether more is being worked out. */
export interface Found extends FoundFaults {
  busy: boolean;
}

/**
 * Works out beside the screen what evidence comes to in a machine; until it is there, what the evidence before it came to.
 * @param hunted the same object while the machine and its switches are; null: nothing can be hunted
 */
export function useFound(hunted: Hunted | null, evidence: Evidence): Found {
  const [found, setFound] = useState<{ of: Hunted; by: Evidence; found: FoundFaults } | null>(null);
  const [thread, setThread] = useState<{ of: Hunted; ask: HuntThread['ask'] } | null>(null);
  useEffect(() => {
    if (!hunted) return undefined;
    let over = false;
    let model: FaultModel | null = null;
    const here: HuntThread['ask'] = (by, take) =>
      take(foundFaults((model ??= faultModel(hunted.machine, hunted.healthy)), by));
    const begin = (ask: HuntThread['ask']) => {
      if (!over) setThread({ of: hunted, ask });
    };
    // Without threads, as where the screen is only tried, it is worked out here; so it is when the thread breaks.
    const beside = typeof Worker === 'undefined' ? null : new HuntThread(hunted, () => begin(here));
    begin(beside ? (by, take) => beside.ask(by, take) : here);
    return () => {
      over = true;
      beside?.stop();
    };
  }, [hunted]);
  const any = evidence.seen.length > 0;
  useEffect(() => {
    if (!hunted || !any || thread?.of !== hunted) return undefined;
    let over = false;
    thread.ask(evidence, (what) => {
      if (!over) setFound({ of: hunted, by: evidence, found: what });
    });
    return () => {
      over = true;
    };
  }, [hunted, thread, evidence, any]);
  if (!hunted || !any || found?.of !== hunted) return { ...NOTHING_FOUND, busy: hunted !== null && any };
  return { ...found.found, busy: found.by !== evidence };
}
