import { useQuery } from '@tanstack/react-query';
import type { JobWithEvents } from '@which-way/contract';
import { deriveMap } from '@which-way/core/continuity';
import { isTicked, transferCard } from '@which-way/core/refit';
import { cardLineWords } from '@which-way/words/refit';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { toldOf } from '../api/client.js';
import { questions } from '../api/questions.js';
import type { ReportOrder } from '../refit/report/report-maker.js';
import { useReport } from '../refit/report/use-report.js';
import { Notice } from '../shared/controls/notice.js';
import { TopBar } from '../shared/frame/top-bar.js';

/** One job as its link shows it: the transfer card and the report, to be read; it follows what is done at the bench. */
export function SharedPage() {
  const { token = '' } = useParams();
  const { data, error } = useQuery(questions.shared(token));
  if (!data && !error) return <TopBar title="Opening the job" />;
  if (!data)
    return (
      <>
        <TopBar title="A link to a job" />
        <main className="mx-auto max-w-2xl p-8">
          <Notice look="plain" title={toldOf(error).message}>
            {toldOf(error).hint}
          </Notice>
        </main>
      </>
    );
  const { job, unreadable } = data;
  return (
    <>
      <TopBar title={`Job ${job.number} · ${job.title}`} />
      {unreadable.length > 0 || job.about === 'system' ? (
        <main className="mx-auto max-w-2xl p-8">
          <Notice look="plain" title="This cannot be shown by a link.">
            Look at it at the bench.
          </Notice>
        </main>
      ) : (
        <Shared opened={data} trouble={error ? toldOf(error).message : null} />
      )}
    </>
  );
}

function Shared({ opened: { job, events }, trouble }: { opened: JobWithEvents; trouble: string | null }) {
  const { token = '' } = useParams();
  const map = useMemo(() => deriveMap(events), [events]);
  const card = useMemo(() => transferCard(map), [map]);
  const order = useMemo((): ReportOrder => {
    const { number, title, place, outOfMachine } = job;
    const photosAt = `/api/shared/${token}/photos/`;
    return { job: { number, title, place, outOfMachine }, length: 'whole', photosAt };
  }, [job, token]);
  const { page, failed } = useReport(events, order);
  return (
    <main className="grid gap-4 p-4">
      {trouble && (
        <Notice look="amber" title="This is as it was.">
          {trouble}
        </Notice>
      )}
      {card.lines.length > 0 && (
        <section aria-label="Transfer card">
          <h1 className="text-large font-bold">
            Transfer card: {card.lines.length - card.left} of {card.lines.length} done
          </h1>
          <ol className="border-t-2 border-line">
            {card.lines.map((line) => (
              <li key={line.key} className="flex min-h-12 items-center gap-3 border-b border-line">
                <span className="grow">{cardLineWords(line)}</span>
                <strong>{isTicked(card, line) ? 'done' : ''}</strong>
              </li>
            ))}
          </ol>
        </section>
      )}
      {page === null ? (
        <p role="status" className="text-quiet">
          {failed ? 'The report could not be made. Load the page again.' : 'Making the report.'}
        </p>
      ) : (
        <iframe
          title="The report"
          srcDoc={page}
          sandbox=""
          className="h-[78dvh] w-full rounded-part border-2 border-line bg-white"
        />
      )}
    </main>
  );
}
