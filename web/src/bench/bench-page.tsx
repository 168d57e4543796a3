import type { JobSummary } from '@which-way/contract';
import { STEPS } from '@which-way/core/route';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { formatDistanceToNowStrict } from 'date-fns';
import { ClipboardList, Download, Upload } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { api, toldOf } from '../api/client.js';
import { Notice } from '../shared/notice.js';
import { TopBar } from '../shared/top-bar.js';
import { nextWords, STEP_WORDS } from '../words/route.js';
import { StartDialog } from './start-dialog.js';

/** What is on the bench, and at which step of its route each job is. */
export function BenchPage() {
  const [search, setSearch] = useState('');
  const [starting, setStarting] = useState(false);
  const jobs = useQuery({
    queryKey: ['jobs', search],
    queryFn: () => api.jobs(search),
    placeholderData: keepPreviousData,
    refetchInterval: (query) => (query.state.status === 'error' ? 2000 : false),
  });
  const shop = useQuery({ queryKey: ['shop'], queryFn: api.shop });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, select, textarea');
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key.toLowerCase() === 'n') {
        event.preventDefault();
        setStarting(true);
      } else if (event.key === '/') {
        event.preventDefault();
        document.getElementById('find')?.focus();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={shop.data?.name ?? ''}>
        <Files />
      </TopBar>
      <main className="mx-auto w-full max-w-[90rem] grow px-4 pb-10 sm:px-8">
        <div className="flex flex-wrap items-center gap-4 py-5">
          <h1 className="text-title font-bold">On the bench</h1>
          <label className="grow sm:max-w-sm">
            <span className="sr-only">Find a job</span>
            <input
              id="find"
              type="search"
              value={search}
              placeholder="Find a job, a place, a marking"
              onChange={(event) => setSearch(event.target.value)}
              className="min-h-12 w-full rounded-part border-2 border-line bg-sheet px-4 placeholder:text-quiet"
            />
          </label>
          <Link
            to="/practice"
            className="flex min-h-16 items-center rounded-part border-2 border-line bg-sheet px-5 font-bold hover:border-ink sm:ml-auto"
          >
            Practice
          </Link>
          <button
            type="button"
            onClick={() => setStarting(true)}
            className="min-h-16 rounded-part bg-enamel px-7 text-large font-bold text-on-enamel hover:bg-enamel-lift dark:border-2 dark:border-brass"
          >
            Map a switch now{' '}
            <kbd className="ml-3 font-mono text-small font-normal text-on-enamel-quiet">N</kbd>
          </button>
        </div>
        {jobs.isError && (
          <div className="mb-4">
            <Notice look="amber" title={toldOf(jobs.error).message}>
              {toldOf(jobs.error).hint}
            </Notice>
          </div>
        )}
        {jobs.data && <JobList jobs={jobs.data} search={search} />}
        {jobs.isLoading && <p className="py-6 text-quiet">Looking at the bench.</p>}
      </main>
      <StartDialog open={starting} onOpenChange={setStarting} />
    </div>
  );
}

function JobList({ jobs, search }: { jobs: JobSummary[]; search: string }) {
  if (jobs.length === 0) {
    return (
      <Notice
        look="plain"
        title={search ? `Nothing on the bench is like “${search}”.` : 'The bench is empty.'}
      >
        {search
          ? 'Try a shorter word, or the number of the job.'
          : 'Take a switch, press N, and begin. Or take in a file.'}
      </Notice>
    );
  }
  return (
    <ul className="border-t-2 border-line">
      {jobs.map((job) => (
        <li key={job.id} className="border-b border-line odd:bg-sheet">
          <JobRow job={job} />
        </li>
      ))}
    </ul>
  );
}

function JobRow({ job }: { job: JobSummary }) {
  const next = nextWords(job);
  const color = { plain: '', amber: 'text-amber-ink', brick: 'text-brick' }[next.tone];
  return (
    <Link
      to={`/jobs/${job.id}`}
      className="grid grid-cols-[3.5rem_1fr] items-center gap-x-4 gap-y-1 px-3 py-4 hover:bg-paper md:grid-cols-[3.5rem_1.1fr_15rem_1fr_7rem]"
    >
      <span className="font-mono text-large font-bold">{job.number}</span>
      <span className="min-w-0">
        <span className="block truncate text-large font-bold">{job.title}</span>
        <span className="block truncate text-quiet">
          {[job.place, job.simulation ? 'simulated switch' : ''].filter(Boolean).join(' · ') ||
            'no place given'}
        </span>
      </span>
      <MiniRoute job={job} />
      <span className={`col-span-2 text-base font-semibold md:col-span-1 ${color}`}>{next.text}</span>
      <span className="hidden text-right text-small text-quiet md:block">
        {formatDistanceToNowStrict(new Date(job.updated), { addSuffix: true })}
      </span>
    </Link>
  );
}

function MiniRoute({ job: { route } }: { job: JobSummary }) {
  const here = STEPS.indexOf(route.at);
  const said = `At ${STEP_WORDS[route.at]}, step ${here + 1} of ${STEPS.length}`;
  return (
    <svg
      viewBox="0 0 240 28"
      className="col-span-2 h-7 w-full max-w-60 md:col-span-1"
      role="img"
      aria-label={said}
    >
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
        const done = index < here || (route.done[step] && index !== here);
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

function Files() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const take = async (file: File) => {
    try {
      const done = await api.importFile(await file.text());
      toast.success(
        `${file.name}: ${done.jobsAdded} jobs new, ${done.jobsMerged} joined, ${done.eventsAdded} events, ${done.entriesAdded} library entries new, ${done.entriesChanged} changed`,
      );
      await queries.invalidateQueries();
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(`${file.name} was not taken in. ${message}`, {
        description: hint,
        duration: Infinity,
        closeButton: true,
      });
    }
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Take in a Which Way file"
        className="hidden"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <button
        type="button"
        onClick={() => input.current?.click()}
        className="flex min-h-12 items-center gap-2 rounded-part px-3 hover:bg-enamel-lift"
      >
        <Upload size={18} aria-hidden="true" /> <span className="max-sm:sr-only">Take in a file</span>
      </button>
      <Link to="/shop" className="flex min-h-12 items-center gap-2 rounded-part px-3 hover:bg-enamel-lift">
        <ClipboardList size={18} aria-hidden="true" /> <span className="max-sm:sr-only">Shop lists</span>
      </Link>
      <a
        href="/api/export"
        download
        className="hidden min-h-12 items-center gap-2 rounded-part px-3 hover:bg-enamel-lift sm:flex"
      >
        <Download size={18} aria-hidden="true" /> Save all as a file
      </a>
    </>
  );
}
