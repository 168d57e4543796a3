import { REPORT_PARTS, photosOf, reportLeftOutOf } from '@which-way/core/log';
import { checkStanding, refitStanding } from '@which-way/core/refit';
import { REPORT_PART_WORDS, type ReportSource } from '@which-way/words/report/pieces';
import { ownersReport, reportOf } from '@which-way/words/report/report';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { useJobState, useSession } from '../job/job-context.js';
import { photoUrl } from '../photos/photo-url.js';
import { CheckLine } from '../shared/controls/check-line.js';
import { Choice } from '../shared/controls/choice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { saveFile, saveText } from '../shared/files/save-text.js';
import { settingsSheet } from '../table/table-files.js';
import { makePaper } from './make-paper.js';
import { reportHtml, type ReportPictures } from './report-html.js';
import { SharePanel } from './share-panel.js';
import { useCheck } from './use-check.js';

type Length = 'whole' | 'short';

/** Everything in one document: seen as it is taken away. */
export function ReportPage() {
  const map = useJobState((state) => state.map);
  const job = useJobState((state) => state.job);
  const session = useSession();
  const { refit, check } = useCheck(map);
  const [length, setLength] = useState<Length>('whole');
  const outOfMachine = job?.outOfMachine ?? false;
  const source = useMemo((): ReportSource | null => {
    if (!job) return null;
    const standing = refitStanding(map, outOfMachine, check);
    const at = refit && check ? { check, at: checkStanding(map, refit, check) } : null;
    return { job, map, standing, check: at };
  }, [job, map, outOfMachine, refit, check]);
  const photos = usePhotos(photosOf(map.log).map(({ id }) => id));
  const pictures = useMemo(
    (): ReportPictures => ({
      photos,
      positions: map.settings.size > 0 ? settingsSheet(map, 'terminal', 'The positions') : null,
    }),
    [map, photos],
  );
  const report = useMemo(
    () => source && (length === 'whole' ? reportOf(source) : ownersReport(source)),
    [source, length],
  );
  const page = useMemo(() => (report ? reportHtml(report, pictures) : ''), [report, pictures]);
  if (!job || !report) return null;
  const leftOut = reportLeftOutOf(map.log);
  const name = `job-${job.number}-${length === 'whole' ? 'report' : 'for-the-owner'}`;
  return (
    <main className="grid grow content-start gap-4 px-4 py-3 sm:px-6 lg:grid-cols-[16rem_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <h1 className="text-title font-bold">Report</h1>
        <Choice<Length>
          label="Which report"
          value={length}
          options={[
            { value: 'whole', text: 'All of it' },
            { value: 'short', text: 'For the owner' },
          ]}
          onChoose={setLength}
        />
        <Papers {...{ report, pictures, name }} />
        <PlainButton onClick={() => saveText(`${name}.html`, page, 'text/html')}>
          Web page, one file
        </PlainButton>
        <SharePanel job={job.id} />
        {length === 'whole' && (
          <fieldset>
            <legend className="font-semibold">What it holds</legend>
            {REPORT_PARTS.map((part) => (
              <CheckLine
                key={part}
                checked={!leftOut.includes(part)}
                onChange={(held) =>
                  session.emit({
                    kind: 'report-shaped',
                    leftOut: held ? leftOut.filter((one) => one !== part) : [...leftOut, part],
                  })
                }
              >
                {REPORT_PART_WORDS[part]}
              </CheckLine>
            ))}
          </fieldset>
        )}
      </div>
      <iframe
        title="The report as it is"
        srcDoc={page}
        sandbox=""
        className="h-[78dvh] w-full rounded-part border-2 border-line bg-white"
      />
    </main>
  );
}

interface PapersProps {
  report: NonNullable<ReturnType<typeof reportOf>>;
  pictures: ReportPictures;
  name: string;
}

/** The same as PDF, in either size of paper; it can be stopped. */
function Papers({ report, pictures, name }: PapersProps) {
  const [stop, setStop] = useState<(() => void) | null>(null);
  const make = async (size: 'A4' | 'LETTER') => {
    try {
      const work = makePaper(report, pictures, size);
      setStop(() => work.stop);
      const file = await work.file;
      if (file) saveFile(`${name}.pdf`, file);
    } catch {
      toast.error('The PDF could not be made.', {
        description: 'Reload the page and try again, or take the web page.',
      });
    } finally {
      setStop(null);
    }
  };
  if (stop)
    return (
      <p role="status" className="flex items-center gap-3">
        Making the PDF.
        <PlainButton onClick={stop}>Stop</PlainButton>
      </p>
    );
  return (
    <div className="flex gap-2">
      <PlainButton look="strong" onClick={() => void make('A4')}>
        PDF, A4
      </PlainButton>
      <PlainButton onClick={() => void make('LETTER')}>PDF, Letter</PlainButton>
    </div>
  );
}

/** The photos of a job as data addresses, so that the page needs nothing but itself. */
function usePhotos(ids: readonly string[]): ReadonlyMap<string, string> {
  const [photos, setPhotos] = useState<ReadonlyMap<string, string>>(new Map());
  const wanted = ids.join();
  useEffect(() => {
    let over = false;
    const read = async (id: string): Promise<[string, string] | null> => {
      try {
        const answer = await fetch(photoUrl(id as never));
        if (!answer.ok) return null;
        const blob = await answer.blob();
        return await new Promise((resolve) => {
          const reader = new FileReader();
          reader.onload = () => resolve([id, String(reader.result)]);
          reader.onerror = () => resolve(null);
          reader.readAsDataURL(blob);
        });
      } catch {
        return null;
      }
    };
    void Promise.all(wanted.split(',').filter(Boolean).map(read)).then((found) => {
      if (!over) setPhotos(new Map(found.filter((one) => one !== null)));
    });
    return () => {
      over = true;
    };
  }, [wanted]);
  return photos;
}
