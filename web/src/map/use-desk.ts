import type { SwitchMap } from '@which-way/core/continuity';
import type { DeskAnswer, Expected, FollowUps } from '@which-way/core/planner';
import type { Approach, JobEvent, SettingId } from '@which-way/core/switch';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { WorkerQuestion } from './planner.worker.js';

/** What the planner's worker has worked out for the map as it is now; null where it has not got there yet. */
export interface DeskView {
  followUps: FollowUps | null;
  /** By the place of the approach in the list that was asked for. */
  forecasts: (Expected | null)[];
}

/** Milliseconds that the hands are left alone before the worker is asked. */
const REST = 120;

/**
 * Asks the worker for follow-ups and forecasts of a map, anew whenever it changes. Answers to an older question are
 * dropped. Without workers (as in tests of single screens) nothing is ever worked out.
 */
export function useDesk(map: SwitchMap, at: SettingId | null, approaches: readonly Approach[]): DeskView {
  const asked = JSON.stringify(approaches);
  const nothing = useMemo<DeskView>(
    () => ({ followUps: null, forecasts: (JSON.parse(asked) as Approach[]).map(() => null) }),
    [asked],
  );
  const [view, setView] = useState<{ of: number; view: DeskView }>({ of: -1, view: nothing });
  const version = useRef(0);
  const worker = useRef<{ thread: Worker; sent: JobEvent[] } | null>(null);
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
      };
      const { thread, sent } = worker.current;
      thread.onmessage = ({ data }: MessageEvent<DeskAnswer>) => {
        if (data.version !== mine) return;
        setView((before) => ({
          of: mine,
          view: withAnswer(before.of === mine ? before.view : nothing, data),
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
      };
      worker.current.sent = events;
      thread.postMessage(question);
    }, REST);
    return () => clearTimeout(timer);
  }, [map, at, asked, nothing]);
  return view.of === -1 ? nothing : view.view;
}

function withAnswer(view: DeskView, answer: DeskAnswer): DeskView {
  if (answer.kind === 'follow-ups') return { ...view, followUps: answer.followUps };
  return {
    ...view,
    forecasts: view.forecasts.map((one, place) => (place === answer.approach ? answer.expected : one)),
  };
}
