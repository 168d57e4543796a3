import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import type { KnownSwitch } from '@which-way/core/switch';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from '../../../controls/toast.js';
import { toldOf } from '../../../api/client.js';
import { useJobState, useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { beginFromEntry } from '../../../parts/other-jobs/begin-beside.js';
import { LOOK_ALIKE_TEXT } from '@which-way/words/screens/pages/match/candidate/look-alike';

/** A part may look like what it should be and be another: it is measured as a job of its own before it is fitted. */
export function LookAlike({ map, known }: { map: SwitchMap; known: KnownSwitch }) {
  const job = useJobState((state) => state.job);
  const session = useSession();
  const [busy, setBusy] = useState(false);
  if (!job) return null;
  const title = LOOK_ALIKE_TEXT.titleOf(known.name, job.number);
  const begun = recordsOf(map.log, 'put-beside').filter((one) => one.title === title);
  const begin = async () => {
    setBusy(true);
    try {
      const id = await beginFromEntry(job, known, title);
      session.emit({ kind: 'put-beside', beside: { job: id, title, as: 'new-part' } });
      toast.success(LOOK_ALIKE_TEXT.isOnTheBenchAs(title));
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(LOOK_ALIKE_TEXT.noJobWasMade(message), { description: hint });
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label={LOOK_ALIKE_TEXT.beforeItIsFitted} className="mt-3 max-w-2xl">
      <h3 className="text-large font-bold">{LOOK_ALIKE_TEXT.beforeItIsFitted}</h3>
      <p>{LOOK_ALIKE_TEXT.aPartThatLooksThe}</p>
      {begun.map((one) => (
        <p key={one.job}>
          <Link to={`/jobs/${one.job}`} className="inline-flex min-h-11 items-center underline">
            {one.title}
          </Link>
        </p>
      ))}
      <PlainButton disabled={busy} onClick={() => void begin()}>
        {LOOK_ALIKE_TEXT.measureTheNewPart}
      </PlainButton>
    </section>
  );
}
