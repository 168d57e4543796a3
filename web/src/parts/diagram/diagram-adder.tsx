import { NUMBER_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { FilePlus } from 'lucide-react';
import { usePhotos } from '../photos/use-photos.js';
import { PlainButton } from '../../controls/plain-button.js';
import type { OpenPdf } from './pdf-page.js';
import { DIAGRAM_ADDER_TEXT } from '@which-way/words/screens/parts/diagram/diagram-adder';
import { TextInput } from '../../controls/fields/text-input.js';

/** Takes the maker's diagram in: a picture, or one page of a PDF, which is drawn here and not kept. */
export function DiagramAdder() {
  const { add } = usePhotos();
  const [open, setOpen] = useState<{ pdf: OpenPdf; name: string } | null>(null);
  const [page, setPage] = useState('1');
  const [message, setMessage] = useState('');
  const [busy, setBusy] = useState(false);
  const take = async (pdf: OpenPdf, number: number) => {
    setBusy(true);
    try {
      await add([await pdf.page(number)], 'diagram');
      setOpen(null);
      pdf.close();
    } catch {
      setMessage(DIAGRAM_ADDER_TEXT.pageCannotBeDrawnTake(number));
    }
    setBusy(false);
  };
  const choose = async (file: File | undefined) => {
    setMessage('');
    if (!file) return;
    if (file.type !== 'application/pdf' && !/\.pdf$/i.test(file.name)) return void add([file], 'diagram');
    setBusy(true);
    try {
      const { openPdf } = await import('./pdf-page.js');
      const pdf = await openPdf(file);
      setPage('1');
      if (pdf.pages === 1) await take(pdf, 1);
      else setOpen({ pdf, name: file.name });
    } catch {
      setMessage(DIAGRAM_ADDER_TEXT.cannotBeReadAsA(file.name));
    }
    setBusy(false);
  };
  const wanted = Number(page);
  const inRange = open !== null && Number.isInteger(wanted) && wanted >= 1 && wanted <= open.pdf.pages;
  return (
    <div className="grid gap-2">
      <label className="flex min-h-12 cursor-pointer items-center gap-2 justify-self-start rounded-part border-2 border-edge bg-sheet px-4 font-semibold focus-within:outline-3 focus-within:outline-brass hover:border-ink">
        <FilePlus size={20} aria-hidden="true" />
        {DIAGRAM_ADDER_TEXT.photoOrPdfOfThe}
        <input
          type="file"
          accept="image/*,application/pdf"
          className="sr-only"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            void choose(file);
          }}
        />
      </label>
      {busy && <p role="status">{DIAGRAM_ADDER_TEXT.drawingThePage}</p>}
      {open && (
        <form
          className="flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (inRange) void take(open.pdf, wanted);
          }}
        >
          <label className="flex items-center gap-2">
            {DIAGRAM_ADDER_TEXT.pageOf}
            {open.pdf.pages}
            <TextInput
              value={page}
              inputMode="numeric"
              maxLength={NUMBER_LETTERS}
              aria-invalid={!inRange}
              onChange={({ target }) => setPage(target.value)}
              mono
              className="w-20"
            />
          </label>
          <PlainButton type="submit" disabled={!inRange || busy}>
            {DIAGRAM_ADDER_TEXT.takeThisPage}
          </PlainButton>
          {!inRange && (
            <p className="text-small text-brick">
              {DIAGRAM_ADDER_TEXT.aPageFromTo}
              {open.pdf.pages}.
            </p>
          )}
        </form>
      )}
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </div>
  );
}
