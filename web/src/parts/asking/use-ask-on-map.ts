import type { PromptId, SettingId, TerminalId } from '@which-way/core/switch';
import { useNavigate } from 'react-router';
import { useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';

/** Puts a pair of one's choice on the Map's prompt, and goes there. `map`: the way there, for pages that do not stand beside it. */
export function useAskOnMap(
  map = '../map',
): (setting: SettingId, red: TerminalId, black: TerminalId) => void {
  const session = useSession();
  const navigate = useNavigate();
  return (setting, red, black) => {
    const ask = { kind: 'pair' as const, setting, red, black };
    session.emit({ kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask } });
    navigate(map, { relative: 'path' });
  };
}
