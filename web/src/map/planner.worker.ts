import { createMapper } from '@which-way/core/continuity';
import { createDesk } from '@which-way/core/planner';
import type { Approach, JobEvent, SettingId } from '@which-way/core/switch';

/** A question to the worker: how the log goes on from the first `from` events that it has already, and what to forecast. */
export interface WorkerQuestion {
  version: number;
  from: number;
  added: JobEvent[];
  at: SettingId | null;
  approaches: Approach[];
}

const mapper = createMapper();
let events: JobEvent[] = [];
const desk = createDesk({
  now: () => performance.now(),
  pause: () => new Promise((resolve) => setTimeout(resolve)),
  reply: (answer) => postMessage(answer),
});

addEventListener('message', ({ data }: MessageEvent<WorkerQuestion>) => {
  const { version, from, added, at, approaches } = data;
  events = [...events.slice(0, from), ...added];
  void desk.ask({ version, map: mapper(events), at, outlook: {}, approaches });
});
