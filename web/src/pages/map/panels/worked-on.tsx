import { WORKS_DONE } from '@which-way/core/log';
import { WORK_WORDS } from '@which-way/words/judge/verdict';
import { useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { WORKED_ON_TEXT } from '@which-way/words/screens/pages/map/panels/worked-on';

/** After cleaning or rebuilding it is mapped anew: what was read before is kept, and counts no more. */
export function WorkedOn() {
  const session = useSession();
  return (
    <section aria-label={WORKED_ON_TEXT.workedOn} className="mb-2 grid gap-1 border-b border-line pb-2">
      <h2 className="font-bold">{WORKED_ON_TEXT.itWasJust}</h2>
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
      <p className="text-small text-quiet">{WORKED_ON_TEXT.onlyWhatIsReadFrom}</p>
    </section>
  );
}
