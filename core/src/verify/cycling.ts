import type { RepeatedUnder, RepeatRun } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';

/** A run of cycles that goes on: the handle is worked at a pace, and only what goes wrong is keyed. */
export interface Cycling {
  terminals: [TerminalId, TerminalId];
  setting: SettingId;
  under: RepeatedUnder;
  /** When it began, in milliseconds, and how long a cycle takes. */
  began: number;
  paceSeconds: number;
  misses: number[];
  sticks: number[];
  dropOuts: number;
}

/** What a hand does while it cycles. */
export type CyclingAct = 'miss' | 'stick' | 'drop-out' | 'undo';

/** The keys of a run, as the help of the screen shows them. The key that begins it, Enter, ends it too. */
export const CYCLING_KEYS: readonly { key: string; shown: string; does: CyclingAct | 'end' }[] = [
  { key: ' ', shown: 'Space', does: 'miss' },
  { key: 's', shown: 's', does: 'stick' },
  { key: '~', shown: '~', does: 'drop-out' },
  { key: 'Backspace', shown: 'Backspace', does: 'undo' },
  { key: 'Enter', shown: 'Enter', does: 'end' },
];

/** The cycle that a moment is in, from 1. */
export const cycleAt = ({ began, paceSeconds }: Cycling, now: number): number =>
  1 + Math.max(0, Math.floor((now - began) / (1000 * paceSeconds)));

/** What is keyed in a cycle counts for that cycle, once; undo takes the latest back. */
export function cyclingStep(cycling: Cycling, act: CyclingAct, now: number): Cycling {
  const cycle = cycleAt(cycling, now);
  const { misses, sticks, dropOuts } = cycling;
  const with_ = (list: number[]) => (list.includes(cycle) ? list : [...list, cycle]);
  switch (act) {
    case 'miss':
      return { ...cycling, misses: with_(misses) };
    case 'stick':
      return { ...cycling, sticks: with_(sticks) };
    case 'drop-out':
      return { ...cycling, dropOuts: dropOuts + 1 };
    case 'undo': {
      const [miss, stick] = [misses.at(-1) ?? 0, sticks.at(-1) ?? 0];
      if (miss === 0 && stick === 0) return { ...cycling, dropOuts: Math.max(0, dropOuts - 1) };
      return miss >= stick
        ? { ...cycling, misses: misses.slice(0, -1) }
        : { ...cycling, sticks: sticks.slice(0, -1) };
    }
  }
}

/** The run as it is kept when it ends, of as many cycles as were really made; what was keyed beyond them is left out. */
export function endedRun(cycling: Cycling, cycles: number): RepeatRun {
  const { terminals, setting, under, misses, sticks, dropOuts } = cycling;
  const within = (list: number[]) => list.filter((cycle) => cycle <= cycles);
  return {
    terminals,
    setting,
    under,
    cycles,
    misses: within(misses),
    sticks: within(sticks),
    dropOuts,
    ohms: [],
  };
}
