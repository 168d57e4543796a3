import { KEYS, questions } from '../api/questions.js';
import type { Job, JobSummary } from '@which-way/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { formatDistanceToNowStrict } from 'date-fns';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { api, RefusedError, toldOf } from '../api/client.js';
import { browserOutbox } from '../job/outbox/outbox.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { useBegin } from './use-begin.js';

/** How old the last backup is, and the way to make one; on an empty bench the way to put one back. */
export function KeepingLine({ empty }: { empty: boolean }) {
  const health = useQuery(questions.health());
  const input = useRef<HTMLInputElement>(null);
  const begin = useBegin();
  if (!health.data) return null;
  const { backedUp } = health.data;
  return (
    <div className="mt-6 flex flex-wrap items-center gap-3 text-quiet">
      <span>
        {backedUp
          ? `Last backup ${formatDistanceToNowStrict(new Date(backedUp), { addSuffix: true })}.`
          : 'No backup of this bench was made yet.'}
      </span>
      {!empty && (
        <PlainButton onClick={() => void begin('No backup was made.', api.backUp)}>Back up</PlainButton>
      )}
      {empty && (
        <>
          <input
            ref={input}
            type="file"
            accept=".zip,application/zip"
            aria-label="Backup to put back"
            className="hidden"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = '';
              if (file) void begin(`${file.name} was not put back.`, () => api.restore(file));
            }}
          />
          <PlainButton onClick={() => input.current?.click()}>Put a backup back</PlainButton>
        </>
      )}
    </div>
  );
}

/** Says when the database holds fewer events than were acknowledged, and offers what this browser still has. */
export function MissingNotice({ jobs }: { jobs: readonly JobSummary[] }) {
  const queries = useQueryClient();
  const health = useQuery(questions.health());
  const missing = health.data?.missing ?? null;
  const gone = useQuery({
    queryKey: [...KEYS.copies, jobs.map(({ id }) => id)],
    queryFn: () => copiesWithoutJob(new Set(jobs.map(({ id }) => id))),
    enabled: missing !== null,
  });
  if (!missing) return null;
  const seen = async () => {
    await api.seenMissing().catch(() => undefined);
    await queries.invalidateQueries({ queryKey: KEYS.health });
  };
  return (
    <div className="mb-4">
      <Notice
        look="brick"
        title={`${missing.count} ${missing.count === 1 ? 'event that was' : 'events that were'} saved once ${missing.count === 1 ? 'is' : 'are'} missing from the database`}
      >
        <p>
          An older copy of it stands in its place, or its disk has lost something. Open the jobs in the
          browsers where they were worked on: what those still hold is offered there. Or put back a newer
          backup.
        </p>
        {gone.data?.map((job) => (
          <GoneJob key={job.id} job={job} />
        ))}
        <PlainButton className="mt-2" onClick={() => void seen()}>
          I have seen it
        </PlainButton>
      </Notice>
    </div>
  );
}

/** A job that the server does not have any more and this browser does. */
function GoneJob({ job }: { job: Job }) {
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const putBack = async () => {
    setBusy(true);
    try {
      const { id, title, place, outOfMachine, simulation } = job;
      await api.makeJob({ id, title, place, outOfMachine, simulation });
      await queries.invalidateQueries({ queryKey: KEYS.jobs });
      toast.success(`${title} is on the bench again. Open it: its events are offered there.`);
    } catch (error) {
      toast.error(toldOf(error).message, { description: toldOf(error).hint });
      setBusy(false);
    }
  };
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <strong>{job.title}</strong> is missing altogether; this browser still has it.
      <PlainButton disabled={busy} onClick={() => void putBack()}>
        Put it back
      </PlainButton>
    </p>
  );
}

/** Jobs of which this browser has a copy and the server knows nothing, not even that they were deleted. */
async function copiesWithoutJob(there: ReadonlySet<string>): Promise<Job[]> {
  const copies = await browserOutbox.copies().catch(() => []);
  const missing: Job[] = [];
  for (const job of copies) {
    if (there.has(job.id)) continue;
    try {
      await api.openJob(job.id);
    } catch (error) {
      if (error instanceof RefusedError && error.error.code === 'not-found') missing.push(job);
    }
  }
  return missing;
}
