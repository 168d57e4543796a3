import { useQuery } from '@tanstack/react-query';
import type { JobWithEvents } from '@which-way/contract';
import { deriveMap } from '@which-way/core/continuity';
import { checkStanding, isTicked, refitStanding } from '@which-way/core/refit';
import { cardLineWords } from '@which-way/words/refit';
import { reportOf } from '@which-way/words/report/report';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { toldOf } from '../api/client.js';
import { questions } from '../api/questions.js';
import { reportHtml } from '../refit/report-html.js';
import { useCheck } from '../refit/use-check.js';
import { Notice } from '../shared/controls/notice.js';
import { TopBar } from '../shared/frame/top-bar.js';
import { settingsSheet } from '../table/table-files.js';

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
  const map = useMemo(() => deriveMap(events), [events]);
  const { refit, check } = useCheck(map);
  const { standing, page } = useMemo(() => {
    const found = refitStanding(map, job.outOfMachine, check);
    const at = refit && check ? { check, at: checkStanding(map, refit, check) } : null;
    const positions = map.settings.size > 0 ? settingsSheet(map, 'terminal', 'The positions') : null;
    const report = reportOf({ job, map, standing: found, check: at });
    return { standing: found, page: reportHtml(report, { positions, photos: new Map() }) };
  }, [map, job, refit, check]);
  const { card } = standing;
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
      <iframe
        title="The report"
        srcDoc={page}
        sandbox=""
        className="h-[78dvh] w-full rounded-part border-2 border-line bg-white"
      />
    </main>
  );
}
