import type { SwitchMap } from '@which-way/core/continuity';
import { approachOf, handleAt } from '@which-way/core/planner';
import { positionsClosed, requiredSettings } from '@which-way/core/switch';
import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client.js';
import { useDesk, type DeskView } from './use-desk.js';

/** What lies ahead on the Map: what the switch looks like, both next prompts, and what is left by this approach. */
export interface OutlookView extends DeskView {
  /** The forecast of proving what it looks like; null while it looks like nothing, or is being worked out. */
  proving: DeskView['forecasts'][number];
  /** What is left as it is mapped now, with clips, and by working pairs alone. */
  ways: Record<'now' | 'clips' | 'working', DeskView['forecasts'][number]>;
}

/** Clips that are offered where none were named: a handful. */
export const OFFERED_CLIPS = 8;

/** Asks the planner's worker about the map as it is, with the library to recognise the switch by. */
export function useOutlook(map: SwitchMap, time: string): OutlookView {
  const positions = requiredSettings(map.structure).length;
  const library = useQuery({
    queryKey: ['alike', map.contacts.length, positions],
    queryFn: () => api.alike(map.contacts.length, positions),
    // Nothing is recognised before the list of positions is closed; while the server is away there are the ordinary kinds.
    enabled: positionsClosed(map.structure) && positions > 1,
    staleTime: 60_000,
  });
  const now = approachOf(map);
  const view = useDesk(
    map,
    handleAt(map),
    time,
    [
      now,
      { ...now, order: 'expected', extent: 'everything' },
      { ...now, order: 'time', extent: 'everything', clips: OFFERED_CLIPS },
      { ...now, extent: 'working-pairs' },
    ],
    library.data,
  );
  const [plain = null, expected = null, clips = null, working = null] = view.forecasts;
  return {
    ...view,
    proving: view.recognised.length > 0 ? expected : null,
    ways: { now: plain, clips, working },
  };
}
