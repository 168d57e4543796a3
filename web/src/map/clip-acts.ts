import type { SwitchMap } from '@which-way/core/continuity';
import { lastCheck, type Instrument } from '@which-way/core/sense';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import type { Value } from '@which-way/core/log';
import type { useSession } from '../job/job-context.js';
import { terminalList } from '../words/terminals.js';
import { isJoin, type Found, type Task } from './task.js';

/** What the hands do when clips are on: the lone lead touches each new one, and those that were silent are said. */
export function clipActs({
  map,
  task,
  found,
  instrument,
  session,
  clear,
  setValue,
  setMessage,
}: {
  map: SwitchMap;
  task: Task | null;
  /** Clips that were silent. */
  found: Found;
  instrument: Instrument | null;
  session: ReturnType<typeof useSession>;
  clear: () => void;
  setValue: (of: TerminalId | SettingId, value: Value | null) => void;
  setMessage: (message: string) => void;
}) {
  /** A clip that was silent; touched again: it sounded. */
  const touchClip = (terminal: TerminalId) => {
    if (task?.kind !== 'clips') return;
    if (!task.change.touch.includes(terminal)) setMessage('That clip is proved, or is not on now.');
    else setValue(terminal, found.has(terminal) ? null : { kind: 'tone', sounded: false });
  };
  /** All are touched: the silent ones are put on anew, and touched again. */
  const clipsTouched = () => {
    if (task?.kind !== 'clips') return;
    const { ask } = task.prompt;
    const several = (lead: TerminalId | TerminalId[]) => ([lead].flat().length > 1 ? [lead].flat() : []);
    const silent = task.change.touch.filter((id) =>
      instrument ? !isJoin(instrument.touchClip(id), lastCheck(map.log)) : found.has(id),
    );
    clear();
    session.emit({ kind: 'clips-touched', red: several(ask.red), black: several(ask.black), silent });
    if (silent.length === 0) return;
    const named = terminalList(map.structure, silent);
    setMessage(
      silent.length === 1
        ? `The clip on ${named} was silent. Put it on anew, then touch it again.`
        : `The clips on ${named} were silent. Put them on anew, then touch them again.`,
    );
  };
  return { touchClip, clipsTouched };
}
