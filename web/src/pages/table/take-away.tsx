import { svgText } from '@which-way/drawing/svg-text';
import { customerWords } from '@which-way/words/before/customer';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { toast } from '../../controls/toast.js';
import type { Job } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import type { EntryId } from '@which-way/core/switch';
import { asKnownSwitch, settledCount } from '@which-way/core/table';
import { api, toldOf } from '../../api/client.js';
import { useJobState } from '../../job/job-context.js';
import { DialogPanel } from '../../controls/dialog-panel.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useViewSide } from '../../parts/drawings/view-side.js';
import { MENU_ITEM, SaveMenu } from '../../controls/files/save-menu.js';
import { saveText } from '../../controls/files/save-text.js';
import { savePdf } from '../../parts/paper/print-shop.js';
import { TAKE_AWAY_TEXT } from '@which-way/words/screens/pages/table/take-away';

const LOOK =
  'no-print flex min-h-12 items-center gap-2 rounded-part border-2 border-edge bg-sheet px-3 font-semibold hover:border-ink';

/** What can be taken away of the table: the job, pictures, the table as a file, a paragraph for the owner, paper. */
export function TakeAway() {
  const map = useJobState((state) => state.map);
  const job = useJobState((state) => state.job);
  const { side } = useViewSide();
  const [words, setWords] = useState<string | null>(null);
  if (!job) return null;
  const name = `job-${job.number}`;
  const files = () => import('../../parts/facts/table-files.js');
  const save = (make: () => Promise<void>) =>
    void make().catch(() => toast.error(TAKE_AWAY_TEXT.theFileCouldNotBe));
  const choices: [words: string, act: () => void][] = [
    [
      TAKE_AWAY_TEXT.picturesSvg,
      () =>
        save(async () =>
          saveText(
            `${name}-positions.svg`,
            svgText((await files()).settingsSheet(map, side, job.title)),
            'image/svg+xml',
          ),
        ),
    ],
    [
      TAKE_AWAY_TEXT.schematicSvg,
      () =>
        save(async () =>
          saveText(`${name}-schematic.svg`, svgText((await files()).schematicOfFirst(map)), 'image/svg+xml'),
        ),
    ],
    [
      TAKE_AWAY_TEXT.allOnPaperPdf,
      () => save(async () => savePdf((await files()).tableDocument(job, map, side), `${name}-table.pdf`)),
    ],
    [
      TAKE_AWAY_TEXT.tableCsv,
      () => save(async () => saveText(`${name}-table.csv`, (await files()).tableCsv(map), 'text/csv')),
    ],
    [
      TAKE_AWAY_TEXT.tableJson,
      () =>
        save(async () =>
          saveText(`${name}-table.json`, (await files()).tableJson(map, job.title), 'application/json'),
        ),
    ],
    ...(['readings', 'wires'] as const).map((what): [string, () => void] => [
      `${what === 'readings' ? 'Readings' : 'Wires'}, CSV`,
      () =>
        save(async () => {
          const { readingsCsv, wiresCsv } = await files();
          saveText(`${name}-${what}.csv`, what === 'readings' ? readingsCsv(map) : wiresCsv(map), 'text/csv');
        }),
    ]),
    [
      TAKE_AWAY_TEXT.theSwitchAsANetlist,
      () =>
        save(async () =>
          saveNetlist(job, (await files()).switchNetlist(map, `Job ${job.number}, ${job.title}`)),
        ),
    ],
    [TAKE_AWAY_TEXT.intoTheLibrary, () => void intoLibrary(map, job)],
    [TAKE_AWAY_TEXT.inWordsForTheOwner, () => setWords(customerWords(map))],
  ];
  return (
    <div className="flex gap-2">
      <SaveMenu choices={choices}>
        <a href={`/api/jobs/${job.id}/export`} download className={MENU_ITEM}>
          {TAKE_AWAY_TEXT.theWholeJobAsA}
        </a>
      </SaveMenu>
      <button type="button" onClick={() => window.print()} className={LOOK}>
        <Printer size={18} aria-hidden="true" />
        {TAKE_AWAY_TEXT.print}
      </button>
      <OwnerWords words={words} onClose={() => setWords(null)} />
    </div>
  );
}

/** The switch alone for a circuit simulator; says so where it isn’t fully known. */
function saveNetlist({ number }: Job, deck: string | null): void {
  if (deck) saveText(`job-${number}-switch.cir`, deck, 'text/plain');
  else toast.error(TAKE_AWAY_TEXT.noNetlistWhatTheSwitch);
}

/** Pictures that an entry keeps. */
const MOST_PHOTOS = 12;

/** The switch as an entry of the library, with how far it was mapped; again, it takes the place of the one before. */
async function intoLibrary(map: SwitchMap, job: Job): Promise<void> {
  try {
    const { settled, all } = settledCount(map);
    const known = asKnownSwitch(map, job.id as string as EntryId, job.title);
    const coverage = TAKE_AWAY_TEXT.mappedAsJobOfPairs(
      job.number,
      map.complete ? 'complete' : 'NOT COMPLETE',
      settled,
      all,
    );
    const photos = recordsOf(map.log, 'photo-taken')
      .slice(-MOST_PHOTOS)
      .map(({ id }) => id);
    await api.keepEntry({ ...known, note: coverage, ...(photos.length > 0 && { facts: { photos } }) });
    toast.success(TAKE_AWAY_TEXT.isInTheLibrary(job.title, coverage));
  } catch (error) {
    const { message, hint } = error instanceof RangeError ? ONE_HANDLE : toldOf(error);
    toast.error(TAKE_AWAY_TEXT.itIsNotInThe(message), { description: hint });
  }
}

const ONE_HANDLE = {
  message: TAKE_AWAY_TEXT.itHasMoreThanOne,
  hint: TAKE_AWAY_TEXT.anEntryOfTheLibrary,
};

/** The paragraph for the owner, to be copied. */
function OwnerWords({ words, onClose }: { words: string | null; onClose: () => void }) {
  const copy = async () => {
    try {
      // Only at a secure address: over plain http the text is marked, to be copied by hand.
      await navigator.clipboard.writeText(words ?? '');
      toast.success('Copied.');
    } catch {
      toast.error(TAKE_AWAY_TEXT.thisBrowserCopiesOnlyAt);
    }
  };
  return (
    <DialogPanel
      open={words !== null}
      onOpenChange={(open) => !open && onClose()}
      title={TAKE_AWAY_TEXT.forTheOwner}
    >
      <p className="my-3 select-text">{words}</p>
      <PlainButton onClick={() => void copy()}>{TAKE_AWAY_TEXT.copyIt}</PlainButton>
    </DialogPanel>
  );
}
