import type { SwitchMap } from '@which-way/core/continuity';
import { firstSuspect } from '@which-way/core/planner';
import type { ReadingId, SettingId, TerminalId } from '@which-way/core/switch';
import { terminalList } from '../words/terminals.js';
import type { Task } from './task.js';

/** The one reading that would probably settle what the plan stopped at: its pair in words, and how it is begun. */
export interface Settling {
  pair: string;
  again: () => void;
}

/** Where readings contradict, the one most in doubt; where one is to be looked at again, that. null: nothing is stopped. */
export function settlingOf(
  map: SwitchMap,
  task: Task | null,
  correct: (id: ReadingId) => void,
  askPair: (red: TerminalId, black: TerminalId, setting: SettingId) => void,
): Settling | null {
  if (task?.kind !== 'plan') return null;
  const { plan } = task;
  const named = (red: readonly TerminalId[], black: readonly TerminalId[]) =>
    `${terminalList(map.structure, red)}–${terminalList(map.structure, black)}`;
  if (plan.kind === 'disputed') {
    const suspect = firstSuspect(map, plan.setting);
    const reading = map.tape.find((line) => line.reading.id === suspect)?.reading;
    return reading ? { pair: named(reading.red, reading.black), again: () => correct(reading.id) } : null;
  }
  if (plan.kind !== 'look-again') return null;
  const ids = map.settings.get(plan.setting)?.settled.terminals ?? [];
  const [a, b] = [ids[plan.item.a], ids[plan.item.b]];
  return a && b ? { pair: named([a], [b]), again: () => askPair(a, b, plan.setting) } : null;
}
