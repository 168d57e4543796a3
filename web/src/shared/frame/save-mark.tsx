import { Hint } from '../controls/hint.js';
import { useJobState, useSession } from '../../job/job-context.js';

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
    waiting: save.state === 'waiting' ? `Waiting: ${save.count} not saved yet` : '',
    'page-only': save.state === 'page-only' ? `Only in this open page: ${save.count}. Do not close it` : '',
    failed: save.state === 'failed' ? `Failed: ${save.count} not saved` : '',
  }[save.state];
  return (
    <Hint text={'reason' in save ? `${save.reason} Press to try again.` : 'On the server’s disk'}>
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
