import { SAVE_MARK_TEXT } from '@which-way/words/screens/job/save-mark';
import type { ApiError } from '@which-way/contract';
import type { SaveState } from '../session/job-state.js';

/** What is known of where the work is. */
export interface Whereabouts {
  /** Events and photos that are not on the server's disk. */
  waiting: number;
  /** Of those, the ones that the browser does not keep. */
  unkept: number;
  unkeptReason: string;
  refused: readonly ApiError[];
  /** Why the last sending failed; null when it did not. */
  reason: string | null;
  /** Sending again will not help. */
  hopeless: boolean;
}

/** Where the work is, in one word: the worst that is true, and never ahead of the truth. */
export function saveStateOf({
  waiting,
  unkept,
  unkeptReason,
  refused,
  reason,
  hopeless,
}: Whereabouts): SaveState {
  const [first] = refused;
  if (unkept > 0 && (reason !== null || first)) {
    const why = reason ?? first?.message ?? '';
    return {
      state: 'page-only',
      count: unkept,
      reason: SAVE_MARK_TEXT.browserKeepsNone(why, unkeptReason),
    };
  }
  if (first) return { state: 'failed', count: refused.length, reason: first.message };
  if (hopeless && reason !== null) return { state: 'failed', count: waiting, reason };
  if (waiting === 0) return { state: 'saved' };
  return reason === null
    ? { state: 'sending', count: waiting }
    : { state: 'waiting', count: waiting, reason };
}
