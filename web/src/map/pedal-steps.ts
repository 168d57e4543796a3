import type { SwitchMap } from '@which-way/core/continuity';
import type { Ask, Prompt, Value } from '@which-way/core/log';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import { impliedIn, nextTouch, type Found } from './task.js';
import type { InstrumentAt } from './use-instrument.js';

interface Stepping {
  map: SwitchMap;
  prompt: Prompt | null;
  /** An ask that is answered by several at once; null: there is none. */
  many: Ask | null;
  found: Found;
  implied: ReadonlySet<TerminalId | SettingId>;
  typed: string;
  /** Whether a pedal has been learnt for sounded or for none. */
  pedals: boolean;
  instrumentAt: InstrumentAt | null;
  /** What none and sounded stand for. */
  values: [none: Value, sounded: Value];
  yes: () => void;
  no: () => void;
  commit: () => void;
  finish: (rest: Value, values?: Found) => void;
  setValue: (of: TerminalId | SettingId, value: Value | null) => void;
  setMessage: (message: string) => void;
  undo: () => void;
}

/**
 * Pedals step through a sweep touch by touch, or through the positions of a held pair: this one sounded or did not, and on to
 * the next; the last one ends them. A pair, and what a meter answers by itself, they answer at once.
 */
export function pedalSteps(now: Stepping) {
  const { map, prompt, many, found, implied, typed, values, setValue } = now;
  const stepAt = now.pedals && many && !now.instrumentAt ? nextTouch(many, found, implied) : null;
  const step = (sounded: boolean): void => {
    if (stepAt === null || !many) return sounded ? now.yes() : now.no();
    if (typed !== '') return now.commit();
    const value = values[sounded ? 1 : 0];
    const next = new Map(found).set(stepAt, value);
    if (nextTouch(many, next, impliedIn(map, prompt, next)) === null) return now.finish(values[0], next);
    return setValue(stepAt, value);
  };
  /** Takes back the last touch of a sweep, else the last act. */
  const stepBack = (): void => {
    const last = [...found.keys()].at(-1);
    if (many && last !== undefined) setValue(last, null);
    else now.undo();
  };
  return { stepAt, step, stepBack };
}
