import type { SwitchMap } from '@which-way/core/continuity';
import type { Recognised } from '@which-way/core/match';
import type { Expected, FollowUps } from '@which-way/core/planner';
import type { Approach, JobEvent, KnownSwitch, SettingId } from '@which-way/core/switch';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { WorkerAnswer, WorkerQuestion } from './planner.worker.js';

/** What the planner's worker has worked out for the map as it is now; null where it has not got there yet. */
export interface DeskView {
  followUps: FollowUps | null;
  /** What the switch looks like so far. */
  recognised: readonly Recognised[];
  /** By the place of the approach in the list that was asked for. */
  forecasts: (Expected | null)[];
}

const NO_LIBRARY: readonly KnownSwitch[] = [];

/** Milliseconds that the hands are left alone before the worker is asked. */
const REST = 120;

/**
 * Asks the worker for follow-ups and forecasts of a map, anew whenever it changes. Answers to an older question are
 * dropped. Without workers (as in tests of single screens) nothing is ever worked out.
 */
export function useDesk(
  map: SwitchMap,
  at: SettingId | null,
  approaches: readonly Approach[],
  library: readonly KnownSwitch[] = NO_LIBRARY,
): DeskView {
  const asked = JSON.stringify(approaches);
  const nothing = useMemo<DeskView>(
    () => ({ followUps: null, recognised: [], forecasts: (JSON.parse(asked) as Approach[]).map(() => null) }),
    [asked],
  );
  const [view, setView] = useState<{ of: number; map: SwitchMap | null; view: DeskView }>({
    of: -1,
    map: null,
    view: nothing,
  });
  const version = useRef(0);
  const worker = useRef<{ thread: Worker; sent: JobEvent[]; library: readonly KnownSwitch[] | null } | null>(
    null,
  );
  useEffect(
    () => () => {
      worker.current?.thread.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    if (typeof Worker === 'undefined') return undefined;
    version.current += 1;
    const mine = version.current;
    const timer = setTimeout(() => {
      worker.current ??= {
        thread: new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
        sent: [],
        library: null,
      };
      const { thread, sent } = worker.current;
      thread.onmessage = ({ data }: MessageEvent<WorkerAnswer>) => {
        if (data.version !== mine) return;
        setView((before) => ({
          of: mine,
          map,
          view: withAnswer(before.view, data),
        }));
      };
      const events = map.log.ordered;
      const first = sent.findIndex((event, index) => event !== events[index]);
      const from = first < 0 ? Math.min(sent.length, events.length) : first;
      const question: WorkerQuestion = {
        version: mine,
        from,
        added: events.slice(from),
        at,
        approaches: JSON.parse(asked) as Approach[],
        library: worker.current.library === library ? null : [...library],
      };
      worker.current.sent = events;
      worker.current.library = library;
      thread.postMessage(question);
    }, REST);
    return () => clearTimeout(timer);
  }, [map, at, asked, nothing, library]);
  if (view.of === -1) return nothing;
  // A forecast that is one answer old still serves; a prompt that is foreseen does not.
  return { ...view.view, followUps: view.map === map ? view.view.followUps : null };
}

function withAnswer(view: DeskView, answer: WorkerAnswer): DeskView {
  if (answer.kind === 'recognised') return { ...view, recognised: answer.recognised };
  if (answer.kind === 'follow-ups') return { ...view, followUps: answer.followUps };
  return {
    ...view,
    forecasts: view.forecasts.map((one, place) => (place === answer.approach ? answer.expected : one)),
  };
}
