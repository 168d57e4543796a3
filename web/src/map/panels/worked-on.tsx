import { WORKS_DONE } from '@which-way/core/log';
import { WORK_WORDS } from '@which-way/words/judge/verdict';
import { useSession } from '../../job/job-context.js';
import { PlainButton } from '../../shared/controls/plain-button.js';

/** After cleaning or rebuilding it is mapped anew: what was read before is kept, and counts no more. */
export function WorkedOn() {
  const session = useSession();
  return (
    <section aria-label="Worked on" className="mb-2 grid gap-1 border-b border-line pb-2">
      <h2 className="font-bold">It was just …</h2>
      <div className="flex flex-wrap gap-1">
        {WORKS_DONE.map((what) => (
          <PlainButton
            key={what}
            className="!px-3"
            onClick={() => session.emit({ kind: 'worked-on', what, note: '' })}
          >
            {WORK_WORDS[what]}
          </PlainButton>
        ))}
      </div>
      <p className="text-small text-quiet">
        Only what is read from now on counts; Verify shows before and after. Undo joins them again.
      </p>
    </section>
  );
}
