import { recordsOf, REPORT_PARTS, type ReportPart, reportShapeOf } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';
import { REPORT_PART_WORDS } from '@which-way/words/report/pieces';
import { Fragment, useMemo, useState } from 'react';
import { toast } from '../../../controls/toast.js';
import { useJobState, useSession } from '../../../job/job-context.js';
import { thumbUrl } from '../../../parts/photos/photo-url.js';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { saveFile, saveText } from '../../../controls/files/save-text.js';
import type { ReportLength, ReportOrder } from './report-maker.js';
import type { PaperSize } from './report-pdf.js';
import { ReportThread } from './report-thread.js';
import { SharePanel } from './share-panel.js';
import { useReport } from './use-report.js';
import { REPORT_PAGE_TEXT } from '@which-way/words/screens/pages/refit/report/report-page';

/** Everything in one document: seen as it is taken away. */
export function ReportPage() {
  const events = useJobState((state) => state.map.log.ordered);
  const job = useJobState((state) => state.job);
  const [length, setLength] = useState<ReportLength>('whole');
  const order = useMemo((): ReportOrder | null => {
    if (!job) return null;
    const { number, title, place, outOfMachine } = job;
    return { job: { number, title, place, outOfMachine }, length, photosAt: '/api/photos/' };
  }, [job, length]);
  const { page, failed } = useReport(events, order);
  if (!job || !order) return null;
  const name = `job-${job.number}-${length === 'whole' ? 'report' : 'for-the-owner'}`;
  return (
    <main className="grid grow content-start gap-4 px-4 py-3 sm:px-6 lg:grid-cols-[16rem_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <h1 className="text-title font-bold">{REPORT_PAGE_TEXT.report}</h1>
        <Choice<ReportLength>
          label={REPORT_PAGE_TEXT.whichReport}
          value={length}
          options={[
            { value: 'whole', text: REPORT_PAGE_TEXT.whole },
            { value: 'short', text: REPORT_PAGE_TEXT.forOwner },
          ]}
          onChoose={setLength}
        />
        <Papers {...{ order, name }} />
        <PlainButton
          disabled={page === null}
          onClick={() => saveText(`${name}.html`, page ?? '', 'text/html')}
        >
          {REPORT_PAGE_TEXT.webPageOneFile}
        </PlainButton>
        <SharePanel job={job.id} />
        {length === 'whole' && <Shape />}
      </div>
      {page !== null ? (
        <iframe
          title={REPORT_PAGE_TEXT.theReportAsItIs}
          srcDoc={page}
          sandbox=""
          className="h-[78dvh] w-full rounded-part border-2 border-line bg-white"
        />
      ) : failed ? (
        <Notice look="brick" title={REPORT_PAGE_TEXT.theReportCouldNotBe}>
          {REPORT_PAGE_TEXT.nothingIsLostReloadThe}
        </Notice>
      ) : (
        <p role="status" className="text-quiet">
          {REPORT_PAGE_TEXT.makingTheReport}
        </p>
      )}
    </main>
  );
}

/** What the report holds, and which photos: chosen once, and kept. */
function Shape() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const { leftOut, photosOut } = reportShapeOf(log);
  const shape = (changed: { leftOut?: readonly ReportPart[]; photosOut?: readonly PhotoId[] }) =>
    session.emit({
      kind: 'report-shaped',
      leftOut: [...(changed.leftOut ?? leftOut)],
      photosOut: [...(changed.photosOut ?? photosOut)],
    });
  return (
    <fieldset>
      <legend className="font-semibold">{REPORT_PAGE_TEXT.whatItHolds}</legend>
      {REPORT_PARTS.map((part) => (
        <Fragment key={part}>
          <CheckLine
            checked={!leftOut.includes(part)}
            onChange={(held) =>
              shape({ leftOut: held ? leftOut.filter((one) => one !== part) : [...leftOut, part] })
            }
          >
            {REPORT_PART_WORDS[part]}
          </CheckLine>
          {part === 'photos' && !leftOut.includes(part) && (
            <PhotosIn out={photosOut} onShape={(out) => shape({ photosOut: out })} />
          )}
        </Fragment>
      ))}
    </fieldset>
  );
}

/** The photos of the job, each in or out by a tap. */
function PhotosIn({ out, onShape }: { out: readonly PhotoId[]; onShape: (out: readonly PhotoId[]) => void }) {
  const photos = recordsOf(
    useJobState((state) => state.map.log),
    'photo-taken',
  );
  if (photos.length === 0) return null;
  return (
    <div role="group" aria-label={REPORT_PAGE_TEXT.photosInIt} className="grid grid-cols-3 gap-1.5 pl-9">
      {photos.map(({ id, caption }) => {
        const held = !out.includes(id);
        return (
          <button
            key={id}
            type="button"
            role="checkbox"
            aria-checked={held}
            aria-label={caption || REPORT_PAGE_TEXT.aPhotoWithoutACaption}
            title={caption}
            onClick={() => onShape(held ? [...out, id] : out.filter((one) => one !== id))}
            className={`overflow-hidden rounded-part border-4 ${held ? 'border-enamel' : 'border-line opacity-50'}`}
          >
            <img src={thumbUrl(id)} alt="" className="aspect-square w-full object-cover" />
          </button>
        );
      })}
    </div>
  );
}

/** The same as PDF, in either size of paper, in a thread of its own; it can be stopped. */
function Papers({ order, name }: { order: ReportOrder; name: string }) {
  const events = useJobState((state) => state.map.log.ordered);
  const [thread, setThread] = useState<ReportThread | null>(null);
  const make = async (size: PaperSize) => {
    const at = new ReportThread();
    setThread(at);
    try {
      saveFile(`${name}.pdf`, await at.paper(events, order, size));
    } catch {
      if (!at.stopped)
        toast.error(REPORT_PAGE_TEXT.thePdfCouldNotBe, {
          description: REPORT_PAGE_TEXT.reloadThePageAndTry,
        });
    } finally {
      at.stop();
      setThread(null);
    }
  };
  if (thread)
    return (
      <p role="status" className="flex items-center gap-3">
        {REPORT_PAGE_TEXT.makingThePdf}
        <PlainButton onClick={() => thread.stop()}>{REPORT_PAGE_TEXT.stop}</PlainButton>
      </p>
    );
  return (
    <div className="flex gap-2">
      <PlainButton look="strong" onClick={() => void make('A4')}>
        {REPORT_PAGE_TEXT.pdfA}
      </PlainButton>
      <PlainButton onClick={() => void make('LETTER')}>{REPORT_PAGE_TEXT.pdfLetter}</PlainButton>
    </div>
  );
}
