import type { SwitchMap } from '@which-way/core/continuity';
import type { Recognised } from '@which-way/core/match';
import type { Expected, FollowUps, Plan, RecheckCost } from '@which-way/core/planner';
import type { Approach, JobEvent } from '@which-way/core/log';
import type { KnownSwitch, SettingId } from '@which-way/core/switch';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { WorkerAnswer, WorkerQuestion } from './planner.worker.js';

/** What the planner's worker has worked out for the map as it is now; null where it has not got there yet. */
export interface DeskView {
  plan: Plan | null;
  followUps: FollowUps | null;
  /** The newest follow-ups there are, and the map that they are of: perhaps the one before an answer. */
  ahead: { map: SwitchMap; followUps: FollowUps } | null;
  /** What the re-check of a complete map would take. */
  recheck: RecheckCost | null;
  /** What the switch looks like so far. */
  recognised: readonly Recognised[];
  /** By the place of the approach in the list that was asked for. */
  forecasts: (Expected | null)[];
  /** Whether there is nobody who works it out: no workers here, or theirs broke. */
  alone: boolean;
}

const NO_LIBRARY: readonly KnownSwitch[] = [];

/**
 * Asks the worker for the plan, follow-ups and forecasts of a map, anew whenever it changes. Answers to an older question
 * are dropped. Without workers (as in tests of single screens) nothing is ever worked out, and `alone` says so.
 */
export function useDesk(
  map: SwitchMap,
  at: SettingId | null,
  now: string,
  approaches: readonly Approach[],
  library: readonly KnownSwitch[] = NO_LIBRARY,
): DeskView {
  const asked = JSON.stringify(approaches);
  const nothing = useMemo<DeskView>(
    () => ({
      plan: null,
      followUps: null,
      ahead: null,
      recheck: null,
      recognised: [],
      forecasts: (JSON.parse(asked) as Approach[]).map(() => null),
      alone: typeof Worker === 'undefined',
    }),
    [asked],
  );
  const [held, hold] = useState<{ map: SwitchMap | null; at: SettingId | null; view: DeskView }>({
    map: null,
    at: null,
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
    if (typeof Worker === 'undefined') return;
    version.current += 1;
    const mine = version.current;
    worker.current ??= {
      thread: new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
      sent: [],
      library: null,
    };
    const { thread, sent } = worker.current;
    thread.onmessage = ({ data }: MessageEvent<WorkerAnswer>) => {
      if (data.version !== mine) return;
      hold((before) => {
        const same = before.map === map && before.at === at;
        const { view } = before;
        return {
          map,
          at,
          view: withAnswer(map, same ? view : { ...view, plan: null, followUps: null }, data),
        };
      });
    };
    thread.onerror = () => {
      // Begun anew with the next question; until then everything is worked out here, the plain way.
      thread.terminate();
      worker.current = null;
      hold({ map, at, view: { ...nothing, alone: true } });
    };
    const events = map.log.ordered;
    const first = sent.findIndex((event, index) => event !== events[index]);
    const from = first < 0 ? Math.min(sent.length, events.length) : first;
    const question: WorkerQuestion = {
      version: mine,
      from,
      added: events.slice(from),
      at,
      now,
      approaches: JSON.parse(asked) as Approach[],
      library: worker.current.library === library ? null : [...library],
    };
    worker.current.sent = events;
    worker.current.library = library;
    thread.postMessage(question);
  }, [map, at, now, asked, nothing, library]);
  // A forecast that is one answer old still serves; a plan and a prompt that is foreseen do not.
  if (held.map === map && held.at === at) return held.view;
  return { ...held.view, plan: null, followUps: null };
}

function withAnswer(map: SwitchMap, view: DeskView, answer: WorkerAnswer): DeskView {
  switch (answer.kind) {
    case 'plan':
      return { ...view, plan: answer.plan, alone: false };
    case 'recognised':
      return { ...view, recognised: answer.recognised };
    case 'follow-ups':
      return { ...view, followUps: answer.followUps, ahead: { map, followUps: answer.followUps } };
    case 'recheck':
      return { ...view, recheck: answer.cost };
    case 'forecast':
      return {
        ...view,
        forecasts: view.forecasts.map((one, place) => (place === answer.approach ? answer.expected : one)),
      };
  }
}
