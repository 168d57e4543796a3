import { proxy } from 'comlink';
import { Beside } from '../../../parts/beside/beside.js';
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
  let over = false;
  const fail = () => {
    if (over) return;
    over = true;
    planner.end();
    broke();
  };
  const planner = new Beside<PlannerWorker>({
    open: () => new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
    first: (desk) => desk.listen(proxy(answered)),
    broke: fail,
  });
  return {
    ask: (question) => void planner.ask((desk) => desk.ask(question)).catch(fail),
    end: () => {
      over = true;
      planner.end();
    },
  };
}
