import type { MatchResult, Requirement } from '@which-way/core/match';
import type { KnownSwitch } from '@which-way/core/switch';
import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import { rankOf } from './rank.js';
import type { MatchWorker } from './match.worker.js';

/** A library entry with what came out for it. */
export interface Candidate {
  known: KnownSwitch;
  result: MatchResult;
}

export interface Matches {
  candidates: Candidate[];
  done: number;
  all: number;
  running: boolean;
  trouble: string | null;
  cancel: () => void;
}

/** Searches the library in a worker, best first as far as it got; a change of the requirement begins anew. */
export function useMatches(requirement: Requirement | null, library: readonly KnownSwitch[] | undefined): Matches {
  const [candidates, setCandidates] = useState<Candidate[]>([]);
  const [running, setRunning] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  const key = requirement && library ? JSON.stringify([requirement, requirement.known && [...requirement.known], library.map(({ id }) => id)]) : null;
  useEffect(() => {
    setCandidates([]);
    if (!requirement || !library || library.length === 0) return undefined;
    const thread = new Worker(new URL('./match.worker.ts', import.meta.url), { type: 'module' });
    const worker = wrap<MatchWorker>(thread);
    let cancelled = false;
    const cancel = () => {
      cancelled = true;
      thread.terminate();
      setRunning(false);
    };
    setStop(() => cancel);
    setRunning(true);
    setTrouble(null);
    thread.onerror = () => {
      setTrouble('The search could not be started. Reload the page.');
      cancel();
    };
    void (async () => {
      for (const known of library) {
        const { terminals, positions } = known;
        const result = await worker.match(requirement, { terminals, positions });
        if (cancelled) return;
        setCandidates((before) => [...before, { known, result }].sort((one, other) => rankOf(one) - rankOf(other)));
      }
      cancel();
    })();
    return cancel;
    // The key stands for requirement and library by value.
  }, [key]); // eslint-disable-line react-hooks/exhaustive-deps
  return { candidates, done: candidates.length, all: library?.length ?? 0, running, trouble, cancel: stop };
}
