import { BARE_ENDS, type BareEnds as Ends, recordsOf } from '@which-way/core/log';
import { BARE_END_WORDS } from '@which-way/words/before/safety';
import { Check } from 'lucide-react';
import { useJobState, useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { BARE_ENDS_TEXT } from '@which-way/words/screens/parts/safety/bare-ends';

/** What stays behind when a switch comes out: one line, one tap. Once answered it says so, and can be taken back. */
export function BareEnds({ quietOnceSaid = false }: { quietOnceSaid?: boolean }) {
  const session = useSession();
  const said = useJobState(({ map }) => recordsOf(map.log, 'ends-capped'));
  const say = (ends: Ends | null) => session.emit({ kind: 'ends-capped', ends });
  if (said !== null)
    return quietOnceSaid ? null : (
      <p className="flex flex-wrap items-center gap-2">
        <Check className="text-teal" aria-hidden="true" /> {BARE_END_WORDS[said]}.
        <PlainButton look="quiet" className="!px-2" onClick={() => say(null)}>
          {BARE_ENDS_TEXT.answerAgain}
        </PlainButton>
      </p>
    );
  return (
    <section aria-label={BARE_ENDS_TEXT.whatStaysBehind} className="grid gap-1">
      <p className="font-semibold">{BARE_ENDS_TEXT.bareConductorsLeftInThe}</p>
      <div className="flex flex-wrap gap-2">
        {BARE_ENDS.map((ends) => (
          <PlainButton key={ends} onClick={() => say(ends)}>
            {BARE_END_WORDS[ends]}
          </PlainButton>
        ))}
      </div>
    </section>
  );
}
