import { Hint } from '../controls/hint.js';
import { useJobState, useSession } from './job-context.js';
import { SAVE_MARK_TEXT } from '@which-way/words/screens/job/save-mark';

/** Whether the work is on the server's disk, in words; never ahead of the truth. */
export function SaveMark() {
  const save = useJobState((state) => state.save);
  const session = useSession();
  const look = {
    saved: 'text-on-enamel',
    sending: 'text-on-enamel',
    waiting: 'bg-amber-wash text-amber-ink',
    'page-only': 'bg-brick-wash text-brick',
    failed: 'bg-brick-wash text-brick',
  }[save.state];
  const text = {
    saved: 'Saved',
    sending: 'Saving',
    waiting: save.state === 'waiting' ? SAVE_MARK_TEXT.waitingNotSavedYet(save.count) : '',
    'page-only': save.state === 'page-only' ? SAVE_MARK_TEXT.onlyInThisOpenPage(save.count) : '',
    failed: save.state === 'failed' ? SAVE_MARK_TEXT.failedNotSaved(save.count) : '',
  }[save.state];
  return (
    <Hint
      text={'reason' in save ? SAVE_MARK_TEXT.pressToTryAgain(save.reason) : SAVE_MARK_TEXT.onTheServersDisk}
    >
      <button
        type="button"
        data-testid="save-state"
        aria-live="polite"
        onClick={() => void session.flush()}
        className={`min-h-12 min-w-20 rounded-part px-3 font-semibold ${look}`}
      >
        {text}
      </button>
    </Hint>
  );
}
