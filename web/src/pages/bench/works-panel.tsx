import { CheckLine } from '../../controls/fields/check-line.js';
import { KEYS } from '../../api/questions.js';
import type { ImportPreview, Work } from '@which-way/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { factName } from '@which-way/words/match/part-facts';
import { DELETED_WORDS } from '@which-way/words/deleted';
import { importedWords, KIND_WORDS, previewWords, stepWords } from './work-words.js';
import { isActive, useWorks } from './use-bench-stream.js';
import { WORKS_PANEL_TEXT } from '@which-way/words/screens/pages/bench/works-panel';

/** Long work on the server: how far it is, what a file would bring, what came of it. */
export function WorksPanel() {
  const works = useWorks();
  if (works.length === 0) return null;
  return (
    <section aria-label={WORKS_PANEL_TEXT.longWork} className="mb-4 grid gap-3">
      {works.map((work) => (
        <WorkItem key={work.id} work={work} />
      ))}
    </section>
  );
}

function WorkItem({ work }: { work: Work }) {
  const queries = useQueryClient();
  const end = async () => {
    await api.endWork(work.id).catch(() => undefined);
    await queries.invalidateQueries({ queryKey: KEYS.works });
  };
  const name = work.preview?.name ?? '';
  if (isActive(work)) return <Running work={work} onStop={() => void end()} />;
  if (work.state === 'ready' && work.preview)
    return <Preview work={work} preview={work.preview} onLeave={() => void end()} />;
  const forget = (
    <PlainButton look="quiet" onClick={() => void end()}>
      {WORKS_PANEL_TEXT.close}
    </PlainButton>
  );
  if (work.state === 'failed' && work.error) {
    const title =
      work.kind === 'import' ? WORKS_PANEL_TEXT.theFileWasNotTaken : `${KIND_WORDS[work.kind].failed}.`;
    return (
      <Notice look="brick" title={`${title} ${work.error.message}`}>
        {work.error.hint} {forget}
      </Notice>
    );
  }
  const said =
    work.state === 'cancelled'
      ? WORKS_PANEL_TEXT.nothingOfItStays(KIND_WORDS[work.kind].stopped)
      : work.imported
        ? importedWords(name, work.imported)
        : `${KIND_WORDS[work.kind].done}.`;
  return (
    <div className="flex flex-wrap items-center gap-3 rounded-part border-2 border-line bg-sheet px-4 py-1">
      <strong className="mr-auto">{said}</strong>
      {work.kind === 'backup' && work.file && <span>{WORKS_PANEL_TEXT.keepItOnAnotherDisk}</span>}
      {work.file && (
        <a
          href={`/api/works/${work.id}/file`}
          download={work.file.name}
          className="flex min-h-12 items-center rounded-part border-2 border-enamel bg-enamel px-4 font-semibold text-on-enamel"
        >
          {WORKS_PANEL_TEXT.save}
          {work.file.name} ({Math.max(1, Math.round(work.file.bytes / 1024))}
          {WORKS_PANEL_TEXT.kb}
        </a>
      )}
      {forget}
    </div>
  );
}

function Running({ work, onStop }: { work: Work; onStop: () => void }) {
  const { done, total } = work;
  const share = total > 0 ? Math.min(1, done / total) : null;
  return (
    <Notice look="plain" title={KIND_WORDS[work.kind].running}>
      <div className="flex flex-wrap items-center gap-3" role="status">
        <progress
          className="h-4 grow accent-(--teal)"
          aria-label={KIND_WORDS[work.kind].running}
          {...(share === null ? {} : { value: share, max: 1 })}
        />
        <span>{stepWords(work)}</span>
        <PlainButton onClick={onStop}>{WORKS_PANEL_TEXT.stop}</PlainButton>
      </div>
    </Notice>
  );
}

function Preview({ work, preview, onLeave }: { work: Work; preview: ImportPreview; onLeave: () => void }) {
  const queries = useQueryClient();
  const [shop, setShop] = useState(preview.shop === 'first');
  const [again, setAgain] = useState(false);
  const { setAside, setAsideCount, merged, mergedCount, deleted, deletedCount } = preview;
  const take = async () => {
    await api.takeIn(work.id, { shop, again }).catch(() => undefined);
    await queries.invalidateQueries({ queryKey: KEYS.works });
  };
  const nothing = preview.jobsNew + preview.events + preview.entries + preview.photos === 0;
  return (
    <Notice look={setAsideCount > 0 ? 'amber' : 'plain'} title={`${preview.name}: ${previewWords(preview)}`}>
      {mergedCount > 0 && (
        <>
          <p>
            {mergedCount === 1 ? WORKS_PANEL_TEXT.isText : WORKS_PANEL_TEXT.are(mergedCount)}
            {WORKS_PANEL_TEXT.hereAlreadyByMakerAnd}
          </p>
          <ul
            className="my-2 max-h-60 list-disc overflow-y-auto pl-6"
            aria-label={WORKS_PANEL_TEXT.putTogether}
          >
            {merged.map(({ name, into, changed }, index) => (
              <li key={index}>
                {name === into ? (
                  <strong>{name}</strong>
                ) : (
                  <>
                    <strong>{name}</strong>
                    {WORKS_PANEL_TEXT.into}
                    {into}
                  </>
                )}
                {changed.length > 0 && WORKS_PANEL_TEXT.other(changed.map(factName).join(', '))}
              </li>
            ))}
            {mergedCount > merged.length && (
              <li>
                {WORKS_PANEL_TEXT.and}
                {mergedCount - merged.length}
                {WORKS_PANEL_TEXT.more}
              </li>
            )}
          </ul>
        </>
      )}
      {nothing && setAsideCount === 0 && <p>{WORKS_PANEL_TEXT.allOfItIsHere}</p>}
      {setAsideCount > 0 && (
        <>
          <p>
            {setAsideCount}
            {WORKS_PANEL_TEXT.areSetAsideAndNot}
          </p>
          <ul className="my-2 max-h-60 list-disc overflow-y-auto pl-6">
            {setAside.map((one, index) => (
              <li key={index}>
                <strong>{one.of}</strong>: {one.message} {one.hint}
              </li>
            ))}
            {setAsideCount > setAside.length && (
              <li>
                {WORKS_PANEL_TEXT.and}
                {setAsideCount - setAside.length}
                {WORKS_PANEL_TEXT.more}
              </li>
            )}
          </ul>
        </>
      )}
      {(preview.shop === 'first' || preview.shop === 'other') && (
        <CheckLine checked={shop} onChange={setShop}>
          {preview.shop === 'first'
            ? WORKS_PANEL_TEXT.takeOverItsShopLists
            : WORKS_PANEL_TEXT.putItsShopListsAnd}
        </CheckLine>
      )}
      {deletedCount > 0 && (
        <>
          <p>{DELETED_WORDS.about(deletedCount)}</p>
          <ul className="my-2 max-h-60 list-disc overflow-y-auto pl-6" aria-label={DELETED_WORDS.list}>
            {deleted.map(({ title, when }, index) => (
              <li key={index}>{DELETED_WORDS.one(title, when)}</li>
            ))}
          </ul>
          <CheckLine checked={again} onChange={setAgain}>
            {DELETED_WORDS.again(deletedCount)}
          </CheckLine>
        </>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        <PlainButton look="strong" onClick={() => void take()}>
          {WORKS_PANEL_TEXT.takeIn}
        </PlainButton>
        <PlainButton onClick={onLeave}>{WORKS_PANEL_TEXT.leaveIt}</PlainButton>
      </div>
    </Notice>
  );
}
