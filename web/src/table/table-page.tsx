import { isRechecked } from '@which-way/core/planner';
import { settledCount, truthTable, type TruthTable } from '@which-way/core/table';
import type { Layout, SettingId } from '@which-way/core/switch';
import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJobState } from '../job/job-context.js';
import { linksOf } from '../map/board/map-drawing.js';
import { photoOfLayout } from '../photos/photo-url.js';
import { ACTS_OF } from '@which-way/core/log';
import { UndoButtons } from '../shared/frame/sub-nav.js';
import { Identity } from './identity.js';
import { OddPanel } from './odd-panel.js';
import { CellKey } from '../shared/facts/fact-cell.js';
import { Inspector, type Inspected } from '../shared/facts/inspector.js';
import { Notice } from '../shared/controls/notice.js';
import { SideSwitch } from '../shared/drawings/side-switch.js';
import { StrandSample } from '../shared/drawings/strand-sample.js';
import { strandOf } from '@which-way/drawing/strand';
import { SwitchDrawing } from '../shared/drawings/switch-drawing.js';
import { TableGrid } from '../shared/facts/table-grid.js';
import { SIDE_WORDS, useViewSide } from '../shared/drawings/view-side.js';
import { settingName, terminalList } from '@which-way/words/terminals';
import { patternWords } from '@which-way/words/patterns';

/** The picture and the table side by side, from the same readings. */
export function TablePage() {
  const map = useJobState((state) => state.map);
  const job = useJobState((state) => state.job);
  const [inspected, setInspected] = useState<Inspected | null>(null);
  const table = truthTable(map);
  const count = settledCount(map);
  if (map.structure.terminals.length === 0 || count.settled === 0) {
    return (
      <main className="mx-auto w-full max-w-3xl p-8">
        <h1 className="sr-only">Truth table</h1>
        <Notice look="plain" title="There is no table yet.">
          It builds up from the readings.{' '}
          <Link to="../map" relative="path" className="underline">
            Go to the Map
          </Link>{' '}
          and take the first.
        </Notice>
      </main>
    );
  }
  return (
    <main className="grid grow content-start gap-x-8 gap-y-4 px-6 py-3 lg:grid-cols-[minmax(28rem,5fr)_6fr]">
      <section aria-label="Table" className="min-w-0">
        <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
          <Identity map={map} />
          <UndoButtons acts={ACTS_OF.table} />
          <Exports job={job?.id ?? null} />
        </div>
        <Standing table={table} count={count} />
        <TableGrid table={table} structure={map.structure} onPick={setInspected} large />
        {!table.complete && table.joinsNothing.length > 0 && (
          <p className="mt-2">
            Join nothing as far as is known:{' '}
            <strong className="font-mono">{terminalList(map.structure, table.joinsNothing)}</strong>.
          </p>
        )}
      </section>
      <section aria-label="Pictures" className="flex min-w-0 flex-col gap-2">
        <div className="no-print -my-1 -ml-3">
          <SideSwitch />
        </div>
        <ul className={`grid gap-x-5 gap-y-2 ${picturesAcross(map.structure.layout, table.settings.length)}`}>
          {table.settings.map((setting, index) => (
            <SettingPicture
              key={setting}
              setting={setting}
              index={index}
              table={table}
              onPick={setInspected}
            />
          ))}
        </ul>
        <OddPanel />
        <ul className="grid gap-1" aria-label="In words">
          {patternWords(map.structure, table).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        <CellKey />
      </section>
      {inspected && (
        <div className="max-h-[70dvh] overflow-y-auto bg-paper lg:fixed lg:right-6 lg:bottom-6 lg:z-20 lg:w-[30rem] lg:shadow-lg">
          <Inspector about={inspected} onClose={() => setInspected(null)} />
        </div>
      )}
    </main>
  );
}

/** The job as a file, and the page on paper. */
function Exports({ job }: { job: string | null }) {
  const look =
    'no-print flex min-h-12 items-center gap-2 rounded-part border-2 border-line bg-sheet px-3 font-semibold hover:border-ink';
  return (
    <div className="flex gap-2">
      <a href={`/api/jobs/${job}/export`} download className={look}>
        <Download size={18} aria-hidden="true" /> Save as a file
      </a>
      <button type="button" onClick={() => window.print()} className={look}>
        <Printer size={18} aria-hidden="true" /> Print
      </button>
    </div>
  );
}

function Standing({ table, count }: { table: TruthTable; count: ReturnType<typeof settledCount> }) {
  const map = useJobState((state) => state.map);
  const open = map.structure.actuators.some(({ closed }) => closed === null);
  return (
    <p className={`my-2 ${table.complete ? '' : 'rounded-part bg-amber-wash px-3 py-2 text-amber-ink'}`}>
      {count.settled} of {count.all} pairs settled over all positions: {count.measured} measured,{' '}
      {count.follows} follow.
      {!table.complete && ' The map is not complete.'}
      {open && ' There may be positions that nobody has found.'}
      {table.complete &&
        (isRechecked(map)
          ? ' Re-checked: any single wrong reading would have shown.'
          : ' Not re-checked: a single slip would not have shown.')}
    </p>
  );
}

/** How many pictures stand side by side; several decks need more of the width. */
function picturesAcross(layout: Layout, settings: number): string {
  const tall = settings > 6 ? '[&_svg]:max-h-32' : settings > 2 ? '[&_svg]:max-h-48' : '[&_svg]:max-h-80';
  if (layout.kind === 'wafers' && layout.decks > 1)
    return `${settings > 4 ? '[&_svg]:max-h-28' : tall} sm:grid-cols-2`;
  return `${tall} ${settings > 1 ? 'grid-cols-2' : ''} ${settings > 2 ? 'md:grid-cols-3' : ''} ${settings > 9 ? 'xl:grid-cols-4' : ''}`;
}

interface SettingPictureProps {
  setting: SettingId;
  index: number;
  table: TruthTable;
  onPick: (about: Inspected) => void;
}

function SettingPicture({ setting, index, table, onPick }: SettingPictureProps) {
  const map = useJobState((state) => state.map);
  const links = linksOf(map, setting, onPick).filter(({ faint }) => !faint);
  const name = settingName(map.structure, setting);
  const { side } = useViewSide();
  const free = new Set(table.complete ? table.joinsNothing : []);
  return (
    <li>
      <h2 className="flex items-center justify-center gap-3 truncate font-bold">
        <StrandSample strand={strandOf(index)} />
        {name}
      </h2>
      <SwitchDrawing
        {...map.structure}
        side={side}
        photo={photoOfLayout(map)}
        links={links}
        roleOf={(id) => (free.has(id) ? 'free' : 'plain')}
        caption={`${name}. ${SIDE_WORDS[side]}`}
      />
    </li>
  );
}
