import type { SwitchMap } from '@which-way/core/continuity';
import {
  approachOf,
  checkDue,
  foreseenAsk,
  plainPlan,
  planNext,
  recheckWanted,
  type Plan,
} from '@which-way/core/planner';
import { firstSetting } from '@which-way/core/log';
import { type SettingId } from '@which-way/core/switch';
import { useEffect, useMemo, useState } from 'react';
import type { DeskView } from './use-desk.js';

/** Milliseconds that the better plan is waited for: less than a hand notices, and a worse plan costs the hands seconds. */
const PATIENCE = 80;

/** The same in a re-check with clips, where a plan spares or costs several clips of three seconds each. */
const PATIENCE_WITH_CLIPS = 400;

/**
 * What to do next; null for the moment in which it is thought of. Position-first takes no thought and is there at once; a
 * re-check with clips looks far ahead whatever the order of mapping was. Otherwise what was foreseen is taken where the
 * answer was as supposed; else the worker's plan if it comes in time, else the plain one, and then that stays.
 */
export function usePlan(map: SwitchMap, at: SettingId | null, now: string, desk: DeskView): Plan | null {
  const { order, clips } = approachOf(map);
  const farAhead = clips >= 2 && map.complete && recheckWanted(map);
  const plain = order === 'position' && !farAhead;
  const { alone, ahead } = desk;
  const own = useMemo(
    () =>
      plain
        ? plainPlan(map, at, { now })
        : alone
          ? planNext(map, at, { now, plain: true })
          : foreseen(map, at, now, ahead),
    [plain, alone, map, at, now, ahead],
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
    let timer = setTimeout(
      () => {
        // A busy screen may have kept the worker's answer waiting at the door: it goes first.
        timer = setTimeout(() => take({ map, at, plan: plainPlan(map, at, { now }), late: true }));
      },
      farAhead ? PATIENCE_WITH_CLIPS : PATIENCE,
    );
    return () => clearTimeout(timer);
  }, [waiting, farAhead, map, at, now]);
  return own ?? (here ? taken.plan : better);
}

/** The plan that was worked out before the answer came, if that was as supposed. */
function foreseen(map: SwitchMap, at: SettingId | null, now: string, ahead: DeskView['ahead']): Plan | null {
  const ask = ahead && checkDue(map, now) === null ? foreseenAsk(ahead.map, ahead.followUps, map) : null;
  return ask && { kind: 'ask', ask, turn: firstSetting(ask) !== at, why: 'map', reason: null };
}
