import type { SwitchMap } from '@which-way/core/continuity';
import { besideOf } from '@which-way/core/log';
import type { KnownSwitch } from '@which-way/core/switch';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { toldOf } from '../../api/client.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { PlainButton } from '../../shared/controls/plain-button.js';
import { beginFromEntry } from '../../verify/beside/begin-beside.js';

/** A part may look like what it should be and be another: it is measured as a job of its own before it is fitted. */
export function LookAlike({ map, known }: { map: SwitchMap; known: KnownSwitch }) {
  const job = useJobState((state) => state.job);
  const session = useSession();
  const [busy, setBusy] = useState(false);
  if (!job) return null;
  const title = `${known.name}, for job ${job.number}`;
  const begun = besideOf(map.log).filter((one) => one.title === title);
  const begin = async () => {
    setBusy(true);
    try {
      const id = await beginFromEntry(job, known, title);
      session.emit({ kind: 'put-beside', beside: { job: id, title, as: 'new-part' } });
      toast.success(`“${title}” is on the bench as a job of its own.`);
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(`No job was made. ${message}`, { description: hint });
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="Before it is fitted" className="mt-4 max-w-2xl">
      <h3 className="text-large font-bold">Before it is fitted</h3>
      <p>
        A part that looks the same may be wired otherwise, and an entry may be wrong: measure the new part,
        with what the library says of it as what it should do.
      </p>
      {begun.map((one) => (
        <p key={one.job}>
          <Link to={`/jobs/${one.job}`} className="inline-flex min-h-11 items-center underline">
            {one.title}
          </Link>
        </p>
      ))}
      <PlainButton disabled={busy} onClick={() => void begin()}>
        Measure the new part
      </PlainButton>
    </section>
  );
}
