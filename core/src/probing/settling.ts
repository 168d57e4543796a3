import type { SwitchMap } from '../continuity/index.js';
import type { Lead } from '../log/index.js';
import { firstSuspect, lookedEnough } from '../planner/index.js';
import type { Act } from './act.js';
import type { Task } from './task.js';

/** The one reading that would probably settle what the plan stopped at, and how it is begun. */
export interface Settling {
  red: Lead;
  black: Lead;
  act: Act;
}

/** Where readings contradict, the one most in doubt; where one is to be looked at again, that. null: nothing is stopped, or it
 * was read often enough: then a person decides. */
export function settlingOf(map: SwitchMap, task: Task | null): Settling | null {
  if (task?.kind !== 'plan') return null;
  const { plan } = task;
  if (plan.kind === 'disputed') {
    const suspect = firstSuspect(map, plan.setting);
    const reading = map.tape.find((line) => line.reading.id === suspect)?.reading;
    if (!reading) return null;
    return { red: reading.red, black: reading.black, act: { do: 'correct', reading: reading.id } };
  }
  if (plan.kind !== 'look-again' || lookedEnough(map, plan.setting, plan.item)) return null;
  const ids = map.settings.get(plan.setting)?.settled.terminals ?? [];
  const [red, black] = [ids[plan.item.a], ids[plan.item.b]];
  if (!red || !black) return null;
  return { red: [red], black: [black], act: { do: 'ask-pair', red, black, setting: plan.setting } };
}
