import { questions } from '../../api/questions.js';
import { useKeys } from '../../controls/keys/use-keys.js';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { toldOf } from '../../api/client.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { TopBar } from '../../controls/frame/top-bar.js';
import { browserOutbox } from '../../job/outbox/outbox.js';
import { Combine } from './combine.js';
import { Doors } from './doors.js';
import { Files } from './files.js';
import { forgetDeleted } from './forget-deleted.js';
import { JobList } from './job-list.js';
import { KeepingLine, MissingNotice } from './keeping-line.js';
import { StartDialog } from './start-dialog.js';
import { useBenchStream } from './use-bench-stream.js';
import { WorksPanel } from './works-panel.js';
import { BENCH_PAGE_TEXT } from '@which-way/words/screens/pages/bench/bench-page';
import { TextInput } from '../../controls/fields/text-input.js';

/** What is on the bench, and at which step of its route each job is. */
export function BenchPage() {
  const [search, setSearch] = useState('');
  const [archived, setArchived] = useState(false);
  const [starting, setStarting] = useState(false);
  useBenchStream();
  const jobs = useQuery({
    ...questions.jobs(search, archived),
    placeholderData: keepPreviousData,
    refetchInterval: (query) =>
      query.state.status === 'error' ? 2000 : query.state.data?.some(({ stale }) => stale) ? 3000 : false,
  });
  const shop = useQuery(questions.shop());
  useBenchKeys(() => setStarting(true));
  const there = jobs.isSuccess;
  useEffect(() => {
    if (there) void forgetDeleted(browserOutbox).catch(() => undefined);
  }, [there]);
  useEffect(() => void import('../../parts/begin/make-job.js').catch(() => undefined), []);
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={shop.data?.name ?? ''}>
        <Files />
      </TopBar>
      <main className="mx-auto w-full max-w-[90rem] grow px-4 pb-10 sm:px-8">
        {!archived && <Doors jobs={jobs.data ?? []} onMap={() => setStarting(true)} />}
        <div className="flex flex-wrap items-center gap-4 py-3">
          <h1 className="text-large font-bold">
            {archived ? BENCH_PAGE_TEXT.putAway : BENCH_PAGE_TEXT.onTheBench}
          </h1>
          <label className="grow sm:max-w-sm">
            <span className="sr-only">{BENCH_PAGE_TEXT.findAJob}</span>
            <TextInput
              id="find"
              type="search"
              value={search}
              placeholder={BENCH_PAGE_TEXT.findAJobAPlace}
              onChange={(event) => setSearch(event.target.value)}
              className="w-full"
            />
          </label>
          <PlainButton look="quiet" onClick={() => setArchived(!archived)}>
            {archived ? BENCH_PAGE_TEXT.backToTheBench : BENCH_PAGE_TEXT.putAway}
          </PlainButton>
          {(jobs.data ?? []).some(({ about }) => about === 'switch') && !archived && <Combine />}
        </div>
        {jobs.isError && (
          <div className="mb-4">
            <Notice look="amber" title={toldOf(jobs.error).message}>
              {toldOf(jobs.error).hint}
            </Notice>
          </div>
        )}
        <MissingNotice jobs={jobs.data ?? []} />
        <WorksPanel />
        {jobs.data && <JobList jobs={jobs.data} search={search} archived={archived} />}
        {jobs.isLoading && <p className="py-6 text-quiet">{BENCH_PAGE_TEXT.lookingAtTheBench}</p>}
        {jobs.data && <KeepingLine empty={jobs.data.length === 0 && search === '' && !archived} />}
      </main>
      <StartDialog open={starting} onOpenChange={setStarting} />
    </div>
  );
}

/** N begins a job, / goes to the search. */
function useBenchKeys(onStart: () => void): void {
  const find = () => document.getElementById('find')?.focus();
  // On many keyboards the stroke is written with Shift.
  useKeys({ n: onStart, 'Shift+n': onStart, '/': find, 'Shift+/': find });
}
