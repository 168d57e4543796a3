import { KEYS, questions } from '../../api/questions.js';
import type { Job, JobSummary } from '@which-way/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { formatDistanceToNowStrict } from 'date-fns';
import { useRef, useState } from 'react';
import { toast } from '../../controls/toast.js';
import { api, RefusedError, toldOf } from '../../api/client.js';
import { browserOutbox } from '../../job/outbox/outbox.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useBegin } from '../../parts/begin/use-begin.js';
import { KEEPING_LINE_TEXT } from '@which-way/words/screens/pages/bench/keeping-line';

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
          ? KEEPING_LINE_TEXT.lastBackup(formatDistanceToNowStrict(new Date(backedUp), { addSuffix: true }))
          : KEEPING_LINE_TEXT.noBackupOfThisBench}
      </span>
      {!empty && (
        <PlainButton onClick={() => void begin(KEEPING_LINE_TEXT.noBackup, api.backUp)}>
          {KEEPING_LINE_TEXT.backUp}
        </PlainButton>
      )}
      {empty && (
        <>
          <input
            ref={input}
            type="file"
            accept=".zip,application/zip"
            aria-label={KEEPING_LINE_TEXT.backupToPutBack}
            className="hidden"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = '';
              if (file) void begin(KEEPING_LINE_TEXT.notRestored(file.name), () => api.restore(file));
            }}
          />
          <PlainButton onClick={() => input.current?.click()}>{KEEPING_LINE_TEXT.putABackupBack}</PlainButton>
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
        title={KEEPING_LINE_TEXT.savedOnceMissingFromThe(
          missing.count,
          missing.count === 1 ? KEEPING_LINE_TEXT.eventThatWas : KEEPING_LINE_TEXT.eventsThatWere,
          missing.count === 1 ? KEEPING_LINE_TEXT.isText : KEEPING_LINE_TEXT.are,
        )}
      >
        <p>{KEEPING_LINE_TEXT.anOlderCopyOfIt}</p>
        {gone.data?.map((job) => (
          <GoneJob key={job.id} job={job} />
        ))}
        <PlainButton className="mt-2" onClick={() => void seen()}>
          {KEEPING_LINE_TEXT.iHaveSeenIt}
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
      toast.success(KEEPING_LINE_TEXT.isOnTheBenchAgain(title));
    } catch (error) {
      toast.error(toldOf(error).message, { description: toldOf(error).hint });
      setBusy(false);
    }
  };
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <strong>{job.title}</strong>
      {KEEPING_LINE_TEXT.isMissingAltogetherThisBrowser}
      <PlainButton disabled={busy} onClick={() => void putBack()}>
        {KEEPING_LINE_TEXT.putItBack}
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
