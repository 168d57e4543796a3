import type { JobSummary } from '@which-way/contract';
import { STEPS } from '@which-way/core/route';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { formatDistanceToNowStrict } from 'date-fns';
import { Ellipsis } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Notice } from '../../controls/notice.js';
import { nextWords, STEP_WORDS } from '@which-way/words/route';
import { addressOf } from '../../job/job-address.js';
import { DeleteDialog, usePutAway } from './put-away.js';
import { JOB_LIST_TEXT } from '@which-way/words/screens/pages/bench/job-list';

interface JobListProps {
  jobs: JobSummary[];
  search: string;
  /** Whether these are the ones that are put away. */
  archived: boolean;
}

/** The jobs, each with where it is on its route and what comes next. */
export function JobList({ jobs, search, archived }: JobListProps) {
  const [deleting, setDeleting] = useState<JobSummary | null>(null);
  if (jobs.length === 0) {
    const nothing = archived ? JOB_LIST_TEXT.nothingIsPutAway : JOB_LIST_TEXT.theBenchIsEmpty;
    return (
      <Notice look="plain" title={search ? JOB_LIST_TEXT.nothingOnTheBenchIs(search) : nothing}>
        {search
          ? JOB_LIST_TEXT.tryAShorterWordOr
          : archived
            ? JOB_LIST_TEXT.aJobThatIsDone
            : JOB_LIST_TEXT.takeASwitchPressN}
      </Notice>
    );
  }
  return (
    <>
      <Rows jobs={jobs} onDelete={setDeleting} />
      {deleting && <DeleteDialog job={deleting} onClose={() => setDeleting(null)} />}
    </>
  );
}

/** About how high a row is, in pixels, until it has been measured. */
const ROW = 82;

/** The rows that are in sight, and a few around them: a bench of a thousand jobs is no longer a page of a thousand rows. */
function Rows({ jobs, onDelete }: { jobs: JobSummary[]; onDelete: (job: JobSummary) => void }) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), [jobs.length]);
  const rows = useWindowVirtualizer({
    count: jobs.length,
    estimateSize: () => ROW,
    getItemKey: (index) => jobs[index]?.id ?? index,
    overscan: 12,
    scrollMargin: top,
  });
  const shown = rows.getVirtualItems();
  const before = (shown[0]?.start ?? top) - top;
  return (
    <ul
      ref={list}
      className="border-t-2 border-line"
      style={{ height: rows.getTotalSize(), paddingTop: before }}
    >
      {shown.map(({ index, key }) => {
        const job = jobs[index] as JobSummary;
        return (
          <li
            key={key}
            ref={rows.measureElement}
            data-index={index}
            aria-posinset={index + 1}
            aria-setsize={jobs.length}
            className={`flex items-stretch border-b border-line ${index % 2 === 0 ? 'bg-sheet' : ''}`}
          >
            <JobRow job={job} />
            <JobMenu job={job} onDelete={() => onDelete(job)} />
          </li>
        );
      })}
    </ul>
  );
}

function JobRow({ job }: { job: JobSummary }) {
  const next = nextWords(job);
  const color = { plain: '', amber: 'text-amber-ink', brick: 'text-brick' }[next.tone];
  return (
    <Link
      to={addressOf(job)}
      className="grid min-w-0 grow grid-cols-[2.5rem_minmax(0,1fr)] items-center gap-x-4 gap-y-1 px-3 py-4 hover:bg-paper sm:grid-cols-[3.5rem_minmax(0,1fr)_13rem] lg:grid-cols-[3.5rem_1.1fr_15rem_1fr_7rem]"
    >
      <span className="font-mono text-large font-bold">{job.number}</span>
      <span className="min-w-0">
        <span className="line-clamp-2 text-large leading-snug font-bold">{job.title}</span>
        <span className="block text-quiet">
          {[job.place, job.simulation ? 'simulated switch' : ''].filter(Boolean).join(' · ') ||
            JOB_LIST_TEXT.noPlaceGiven}
        </span>
      </span>
      {job.route ? <MiniRoute route={job.route} /> : <span className="max-sm:hidden" />}
      <span className={`text-base font-semibold max-lg:col-start-2 ${color}`}>
        {next.text}
        {job.stale && job.route && (
          <span className="block text-small font-normal text-quiet">{JOB_LIST_TEXT.asItWasBeingWorked}</span>
        )}
      </span>
      <span className="hidden text-right text-small text-quiet sm:block">
        {formatDistanceToNowStrict(new Date(job.updated), { addSuffix: true })}
      </span>
    </Link>
  );
}

const ITEM =
  'flex min-h-12 cursor-pointer items-center rounded-part px-4 outline-none data-highlighted:bg-paper';

function JobMenu({ job, onDelete }: { job: JobSummary; onDelete: () => void }) {
  const putAway = usePutAway();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={JOB_LIST_TEXT.moreForJob(job.number)}
        className="flex w-12 shrink-0 items-center justify-center hover:bg-paper"
      >
        <Ellipsis size={20} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-40 min-w-60 rounded-part border-2 border-line bg-sheet p-1 text-ink"
        >
          <DropdownMenu.Item className={ITEM} onSelect={() => putAway(job)}>
            {job.archived ? JOB_LIST_TEXT.putItBackOnThe : JOB_LIST_TEXT.putItAway}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} asChild>
            <a href={`/api/jobs/${job.id}/export`} download>
              {JOB_LIST_TEXT.saveItAsAFile}
            </a>
          </DropdownMenu.Item>
          <DropdownMenu.Item className={`${ITEM} text-brick`} onSelect={onDelete}>
            {JOB_LIST_TEXT.deleteIt}
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function MiniRoute({ route }: { route: NonNullable<JobSummary['route']> }) {
  const here = STEPS.indexOf(route.at);
  const said = JOB_LIST_TEXT.atStepOf(STEP_WORDS[route.at], here + 1, STEPS.length);
  return (
    <svg viewBox="0 0 240 28" className="h-7 w-full max-w-60 max-sm:col-start-2" role="img" aria-label={said}>
      {STEPS.map((step, index) => {
        const x = 14 + index * 30;
        return (
          <g key={step}>
            {index > 0 && (
              <line
                x1={x - 30}
                x2={x}
                y1={14}
                y2={14}
                strokeWidth={4}
                stroke={index <= here ? 'var(--brass)' : 'var(--line)'}
              />
            )}
          </g>
        );
      })}
      {STEPS.map((step, index) => {
        const done = index < here || ((route.done[step] || route.passed.includes(step)) && index !== here);
        return (
          <circle
            key={step}
            cx={14 + index * 30}
            cy={14}
            r={index === here ? 10 : 7}
            fill={index === here ? 'var(--sheet)' : done && index < here ? 'var(--brass)' : 'var(--paper)'}
            stroke={index <= here ? 'var(--brass)' : 'var(--line)'}
            strokeWidth={index === here ? 4 : 3}
          />
        );
      })}
    </svg>
  );
}
