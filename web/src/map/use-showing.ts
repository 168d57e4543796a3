import type { SwitchMap } from '@which-way/core/continuity';
import type { Ask } from '@which-way/core/log';
import type { PromptId } from '@which-way/core/switch';
import { useEffect } from 'react';
import type { JobSession } from '../job/job-session.js';
import { newId } from '../job/new-id.js';

/** Milliseconds in which another device, which has just answered, shows its next prompt. */
const OTHERS_MS = 4000;

/**
 * Shows what is to be asked next. Where the last answer came from another device, the hands are there and get their prompt
 * there; it is heard here in a moment, and only if none comes is one shown from here.
 */
export function useShowing(wanted: Ask | null, map: SwitchMap, session: JobSession): void {
  const last = map.tape.at(-1)?.event.id;
  const elsewhere = last !== undefined && session.heard.has(last);
  useEffect(() => {
    if (!wanted) return;
    const show = () => session.emit({ kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask: wanted } });
    if (!elsewhere) return show();
    const timer = setTimeout(show, OTHERS_MS);
    return () => clearTimeout(timer);
  }, [wanted, elsewhere, session]);
}
