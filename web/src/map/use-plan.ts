import type { SwitchMap } from '@which-way/core/continuity';
import { approachOf, plainPlan, planNext, type Plan } from '@which-way/core/planner';
import type { SettingId } from '@which-way/core/switch';
import { useEffect, useMemo, useState } from 'react';
import type { DeskView } from './use-desk.js';

/** Milliseconds that the better plan is waited for: less than a hand notices. */
const PATIENCE = 30;

/**
 * What to do next; null for the moment in which it is thought of. Position-first takes no thought and is there at once.
 * For the other ways the worker's plan is taken if it comes in time, else the plain one, and then that stays.
 */
export function usePlan(map: SwitchMap, at: SettingId | null, now: string, desk: DeskView): Plan | null {
  const plain = approachOf(map).order === 'position';
  const alone = desk.alone;
  const own = useMemo(
    () => (plain ? plainPlan(map, at, { now }) : alone ? planNext(map, at, { now }) : null),
    [plain, alone, map, at, now],
  );
  const [taken, take] = useState<{ map: SwitchMap; at: SettingId | null; plan: Plan; late: boolean } | null>(
    null,
  );
  const here = taken !== null && taken.map === map && taken.at === at;
  const better = own === null ? desk.plan : null;
  // The first that comes is taken; a later one of the worker only takes the place of one of its own.
  if (better && !(here && (taken.late || taken.plan === better)))
    take({ map, at, plan: better, late: false });
  const waiting = own === null && !here && !better;
  useEffect(() => {
    if (!waiting) return undefined;
    const timer = setTimeout(
      () => take({ map, at, plan: plainPlan(map, at, { now }), late: true }),
      PATIENCE,
    );
    return () => clearTimeout(timer);
  }, [waiting, map, at, now]);
  return own ?? (here ? taken.plan : better);
}
