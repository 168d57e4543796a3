import type { NewId, ReadingId, SettingId, TerminalId } from '../switch/index.js';
import type { DeedOf } from './deed.js';
import type { JobEvent } from './event.js';
import { liveEvents, type Log } from './log.js';

type Act = JobEvent<DeedOf<'answered'>>;

/** An act with readings on something that was never added: the change that should have brought it in was refused. */
export interface StrandedAct {
  act: Act;
  terminals: TerminalId[];
  settings: SettingId[];
}

/**
 * Acts that count and yet can be seen nowhere: they name a terminal or a setting that no event of the log brings in. What
 * was retired, or whose addition was taken back, is parked and not stranded: redo revives it.
 */
export function strandedActs(log: Log): StrandedAct[] {
  const terminals = new Set<TerminalId>();
  const settings = new Set<SettingId>();
  for (const { what } of log.ordered) {
    if (what.kind !== 'restructured') continue;
    const { change } = what;
    if (change.change === 'described') for (const { id } of change.terminals) terminals.add(id);
    if (change.change === 'terminal-added') terminals.add(change.terminal.id);
    if ('settings' in change) for (const { id } of change.settings) settings.add(id);
    if (change.change === 'setting-added') settings.add(change.setting.id);
  }
  return liveEvents(log, 'answered').flatMap((act) => {
    const { readings } = act.what;
    const named = new Set(readings.flatMap(({ red, black }) => [...red, ...black]));
    const stranded = {
      act,
      terminals: [...named].filter((id) => !terminals.has(id)),
      settings: [...new Set(readings.map(({ setting }) => setting))].filter((id) => !settings.has(id)),
    };
    return stranded.terminals.length + stranded.settings.length > 0 ? [stranded] : [];
  });
}

/** What to put in the place of what was never added. */
export interface Destinations {
  terminals: ReadonlyMap<TerminalId, TerminalId>;
  settings: ReadonlyMap<SettingId, SettingId>;
}

/** A stranded act as it would have been on what is there: the same values under new ids, answering no prompt. */
export function movedAct(
  { what }: Act,
  { terminals, settings }: Destinations,
  newId: NewId,
): DeedOf<'answered'> {
  const lug = (id: TerminalId) => terminals.get(id) ?? id;
  return {
    ...what,
    prompt: null,
    readings: what.readings.map((reading) => ({
      ...reading,
      id: newId<ReadingId>(),
      setting: settings.get(reading.setting) ?? reading.setting,
      red: reading.red.map(lug),
      black: reading.black.map(lug),
    })),
  };
}
