import { proxy, wrap, type Remote } from 'comlink';
import type { PlannerWorker, PlannerAnswer, PlannerQuestion } from './planner.worker.js';

/** The planner beside the screen, as the screen sees it. */
export interface PlannerDoor {
  ask(question: PlannerQuestion): void;
  end(): void;
}

/** Opens a planner of its own beside the screen; null where there are no workers. `broke` is called once, when it fails. */
export function openPlanner(
  answered: (answer: PlannerAnswer) => void,
  broke: () => void,
): PlannerDoor | null {
  if (typeof Worker === 'undefined') return null;
  const thread = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  const planner: Remote<PlannerWorker> = wrap<PlannerWorker>(thread);
  let over = false;
  const fail = () => {
    if (over) return;
    over = true;
    thread.terminate();
    broke();
  };
  thread.onerror = fail;
  planner.listen(proxy(answered)).catch(fail);
  return {
    ask: (question) => void planner.ask(question).catch(fail),
    end: () => {
      over = true;
      thread.terminate();
    },
  };
}
