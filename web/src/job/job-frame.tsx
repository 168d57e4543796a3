import type { Job } from '@which-way/contract';
import { routeOf, type Step } from '@which-way/core/route';
import type { JobId } from '@which-way/core/switch';
import { memo, useDeferredValue, useEffect, useMemo } from 'react';
import { Link, Navigate, Outlet, useParams } from 'react-router';
import { Notice } from '../shared/notice.js';
import { PlainButton } from '../shared/plain-button.js';
import { RouteLine } from '../shared/route-line.js';
import { SaveMark } from '../shared/save-mark.js';
import { TopBar } from '../shared/top-bar.js';
import { JobProvider, useJobState, useSession } from './job-context.js';

/** What all screens of a job share: its name, its route, and whether the work is saved. */
export function JobFrame() {
  const { id } = useParams();
  return (
    <JobProvider key={id} id={id as JobId}>
      <Frame />
    </JobProvider>
  );
}

function Frame() {
  const job = useJobState((state) => state.job);
  const trouble = useJobState((state) => state.trouble);
  useEffect(() => {
    if (job) document.title = `${job.number} ${job.title} · Which Way`;
    return () => {
      document.title = 'Which Way';
    };
  }, [job]);
  if (!job) {
    return (
      <>
        <TopBar title="Opening the job" />
        <main className="mx-auto max-w-2xl p-8">
          {trouble ? (
            <Notice look={trouble.missing ? 'plain' : 'amber'} title={trouble.message}>
              <p>{trouble.missing ? 'It may have been made on another machine.' : trouble.hint}</p>
              <Link to="/" className="underline">
                Go to the bench
              </Link>
            </Notice>
          ) : (
            <p>Opening the job.</p>
          )}
        </main>
      </>
    );
  }
  return (
    <div className="flex min-h-dvh flex-col">
      <TopBar
        title={
          <>
            Job {job.number} · {job.title}
            {job.simulation && (
              <Link
                to={`/jobs/${job.id}/practice`}
                title="How it went, against the switch behind it"
                className="ml-3 rounded-part border border-current px-2 font-semibold"
              >
                simulated switch
              </Link>
            )}
          </>
        }
      >
        <SaveMark />
      </TopBar>
      <JobRoute job={job} />
      <Refused />
      <Outlet />
    </div>
  );
}

/** The route of the job; it may be a moment behind the next prompt. */
function JobRoute({ job }: { job: Job }) {
  const map = useDeferredValue(useJobState((state) => state.map));
  const route = useMemo(() => routeOf(job, map), [job, map]);
  return <CalmRouteLine route={route} jobPath={`/jobs/${job.id}`} />;
}

const CalmRouteLine = memo(RouteLine);

function Refused() {
  const refused = useJobState((state) => state.refused);
  const session = useSession();
  if (refused.length === 0) return null;
  return (
    <div className="no-print px-5 pt-3">
      <Notice look="brick" title="A change was not saved">
        {refused.map((error, index) => (
          <p key={index}>
            {error.message} {error.hint}
          </p>
        ))}
        <PlainButton className="mt-2" onClick={() => session.dismissRefused()}>
          I have seen it
        </PlainButton>
      </Notice>
    </div>
  );
}

const SCREEN_OF: Partial<Record<Step, string>> = {
  verify: 'verify',
  match: 'match',
  refit: 'match',
  table: 'table',
  safe: 'safe',
  tag: 'tag/path',
};

/** A job's own address leads to the step that it is at. */
export function JobStart() {
  const job = useJobState((state) => state.job);
  const map = useJobState((state) => state.map);
  if (!job) return null;
  return <Navigate replace to={SCREEN_OF[routeOf(job, map).at] ?? 'map'} />;
}
