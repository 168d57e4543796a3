import type { Job, UnreadableEvent } from '@which-way/contract';
import { routeOf } from '@which-way/core/route';
import type { JobId } from '@which-way/core/switch';
import { memo, useDeferredValue, useEffect, useMemo } from 'react';
import { Link, Navigate, Outlet, useLocation, useParams } from 'react-router';
import { NO_SUCH_JOB } from '@which-way/words/kept';
import { Hint } from '../controls/hint.js';
import { Notice } from '../controls/notice.js';
import { RouteLine } from '../controls/frame/route-line.js';
import { SaveMark } from './save-mark.js';
import { TopBar } from '../controls/frame/top-bar.js';
import { AsidePanel, DeletedJob, LostPanel, StrangePanel } from './panels/aside-panel.js';
import { JobProvider, useJobState } from './job-context.js';
import { addressOf } from './job-address.js';
import { NextBar } from './next-bar.js';
import { StrandedPanel } from './panels/stranded-panel.js';
import { JOB_FRAME_TEXT } from '@which-way/words/screens/job/job-frame';

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
  const unreadable = useJobState((state) => state.unreadable);
  const { pathname } = useLocation();
  useEffect(() => {
    if (job) document.title = `${job.number} ${job.title} · Which Way`;
    return () => {
      document.title = 'Which Way';
    };
  }, [job]);
  if (job && trouble?.deleted) {
    return (
      <>
        <TopBar title={JOB_FRAME_TEXT.job(job.number, job.title)} />
        <main className="mx-auto w-full max-w-2xl p-8">
          <Notice look="amber" title={trouble.message}>
            <p>{trouble.hint}</p>
            <DeletedJob />
            <Link to="/" className="mt-2 block underline">
              {JOB_FRAME_TEXT.goToTheBench}
            </Link>
          </Notice>
        </main>
      </>
    );
  }
  if (!job) {
    const nowhere = trouble !== null && trouble.missing && !trouble.deleted;
    return (
      <>
        <TopBar title={nowhere ? NO_SUCH_JOB.title : JOB_FRAME_TEXT.openingTheJob} />
        <main className="mx-auto max-w-2xl p-8">
          {trouble ? (
            <Notice
              look={trouble.missing ? 'plain' : 'amber'}
              title={nowhere ? NO_SUCH_JOB.message : trouble.message}
            >
              <p>{nowhere ? NO_SUCH_JOB.hint : trouble.hint}</p>
              <Link to="/" className="underline">
                {JOB_FRAME_TEXT.goToTheBench}
              </Link>
            </Notice>
          ) : (
            <p>{JOB_FRAME_TEXT.openingTheJob2}</p>
          )}
        </main>
      </>
    );
  }
  const own = addressOf(job);
  if (!pathname.startsWith(own)) return <Navigate replace to={own} />;
  return (
    <div className="flex min-h-dvh flex-col lg:has-[main[data-fits]]:h-dvh">
      <TopBar
        title={
          <>
            {job.about === 'system' ? JOB_FRAME_TEXT.system : JOB_FRAME_TEXT.job2} {job.number} · {job.title}
            {job.simulation && (
              <Hint text={JOB_FRAME_TEXT.howItWentAgainstThe}>
                <Link
                  to={`/jobs/${job.id}/practice`}
                  className="ml-3 inline-block rounded-part border border-current px-2 font-semibold max-sm:ml-1"
                >
                  {JOB_FRAME_TEXT.simulated}
                  <span className="max-sm:sr-only"> {JOB_FRAME_TEXT.ofSwitch}</span>
                </Link>
              </Hint>
            )}
          </>
        }
      >
        <SaveMark />
      </TopBar>
      {unreadable.length > 0 ? (
        <Unreadable job={job} unreadable={unreadable} />
      ) : (
        <>
          {job.about === 'switch' && <JobRoute job={job} />}
          <div className="no-print max-h-[34dvh] shrink-0 overflow-y-auto">
            <AsidePanel />
            <StrangePanel />
            <LostPanel />
            <StrandedPanel />
          </div>
          <Outlet />
          {job.about === 'switch' && <NextBar job={job} />}
        </>
      )}
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

/** A job of which a part cannot be read: nothing may be built on the rest, and what can be read can be saved. */
function Unreadable({ job, unreadable }: { job: Job; unreadable: readonly UnreadableEvent[] }) {
  return (
    <main className="mx-auto w-full max-w-3xl p-8">
      <Notice look="brick" title={JOB_FRAME_TEXT.thisJobCannotBeRead}>
        <ul className="list-disc pl-6">
          {unreadable.slice(0, 8).map(({ id, message }) => (
            <li key={id}>{message}</li>
          ))}
        </ul>
        {unreadable.length > 8 && (
          <p>
            {JOB_FRAME_TEXT.and}
            {unreadable.length - 8}
            {JOB_FRAME_TEXT.more}
          </p>
        )}
        <p className="mt-2">
          {JOB_FRAME_TEXT.nothingIsWorkedOutFrom}{' '}
          <a href={`/api/jobs/${job.id}/export`} download className="underline">
            {JOB_FRAME_TEXT.saveWhatCanBeRead}
          </a>
          .
        </p>
        <Link to="/" className="mt-2 block underline">
          {JOB_FRAME_TEXT.goToTheBench}
        </Link>
      </Notice>
    </main>
  );
}
