import type { Approach } from '@which-way/core/log';
import { approachOf, type Expected } from '@which-way/core/planner';
import { useEffect, useMemo } from 'react';
import { useStore } from 'zustand';
import { nameOfApproach, type DeskView, type PlannerDesk } from './planner-desk.js';
import type { Probing } from './use-probing.js';

/** What lies ahead on the Map: what the switch looks like, both next prompts, and what is left by this approach. */
export interface OutlookView extends DeskView {
  /** The forecast of proving what it looks like; null while it looks like nothing, or is being worked out. */
  proving: Expected | null;
  /** What is left as it is mapped now, with clips, and by working pairs alone. */
  ways: Record<'now' | 'clips' | 'working', Expected | null>;
}

/** Clips that are offered where none were named: a handful. */
export const OFFERED_CLIPS = 8;

/** Forecasts of approaches, wanted for as long as they are shown. */
export function useForecasts(
  desk: PlannerDesk,
  who: string,
  approaches: readonly Approach[],
): DeskView & { of: (approach: Approach) => Expected | null } {
  const asked = JSON.stringify(approaches);
  useEffect(() => {
    desk.want(who, JSON.parse(asked) as Approach[]);
    return () => desk.want(who, []);
  }, [desk, who, asked]);
  const view = useStore(desk.store);
  return { ...view, of: (approach) => view.forecasts.get(nameOfApproach(approach)) ?? null };
}

/** What the planner beside the screen says of the map as it is. */
export function useOutlook({ map, desk }: Probing): OutlookView {
  const ways = useMemo(() => {
    const now = approachOf(map);
    return {
      now,
      proving: { ...now, order: 'expected', extent: 'everything' },
      clips: { ...now, order: 'time', extent: 'everything', clips: OFFERED_CLIPS },
      working: { ...now, extent: 'working-pairs' },
    } satisfies Record<string, Approach>;
  }, [map]);
  const { of, ...view } = useForecasts(desk, 'outlook', Object.values(ways));
  return {
    ...view,
    proving: view.recognised.length > 0 ? of(ways.proving) : null,
    ways: { now: of(ways.now), clips: of(ways.clips), working: of(ways.working) },
  };
}
