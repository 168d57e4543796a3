import { isRechecked } from '@which-way/core/planner';
import { settledCount, truthTable, type TruthTable } from '@which-way/core/table';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJobState } from '../../job/job-context.js';
import { Identity } from '../../parts/identity/identity.js';
import { BetweenPanel } from './between-panel.js';
import { OddPanel } from './odd-panel.js';
import { Pictures } from './pictures.js';
import { TableOrPairs } from './table-or-pairs.js';
import { TakeAway } from './take-away.js';
import { CellKey } from '../../parts/facts/fact-cell.js';
import { Inspector, type Inspected } from '../../parts/facts/inspector.js';
import { Notice } from '../../controls/notice.js';
import { terminalList } from '@which-way/words/terminals';
import { patternWords } from '@which-way/words/table/patterns';
import { TABLE_PAGE_TEXT } from '@which-way/words/screens/pages/table/table-page';
import { FittedMain } from '../../controls/frame/fitted-main.js';

/** The picture and the table side by side, from the same readings. */
export function TablePage() {
  const map = useJobState((state) => state.map);
  const [inspected, setInspected] = useState<Inspected | null>(null);
  const table = truthTable(map);
  const count = settledCount(map);
  if (map.structure.terminals.length === 0 || count.settled === 0) {
    return (
      <main className="mx-auto w-full max-w-3xl p-8">
        <h1 className="sr-only">{TABLE_PAGE_TEXT.truthTable}</h1>
        <Notice look="plain" title={TABLE_PAGE_TEXT.thereIsNoTableYet}>
          {TABLE_PAGE_TEXT.itBuildsUpFromThe}{' '}
          <Link to="../map" relative="path" className="underline">
            {TABLE_PAGE_TEXT.goToTheMap}
          </Link>{' '}
          {TABLE_PAGE_TEXT.andTakeTheFirst}
        </Notice>
      </main>
    );
  }
  return (
    <FittedMain shape="beside" className="gap-x-8 gap-y-4 px-6 lg:grid-cols-[minmax(28rem,5fr)_6fr]">
      <section aria-label={TABLE_PAGE_TEXT.table} className="min-w-0 py-3 lg:overflow-y-auto">
        <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
          <Identity map={map} />
          <TakeAway />
        </div>
        <Standing table={table} count={count} />
        <TableOrPairs map={map} table={table} onPick={setInspected} />
        {!table.complete && table.joinsNothing.length > 0 && (
          <p className="mt-2">
            {TABLE_PAGE_TEXT.joinNothingAsFarAs}{' '}
            <strong className="font-mono">{terminalList(map.structure, table.joinsNothing)}</strong>.
          </p>
        )}
      </section>
      <section
        aria-label={TABLE_PAGE_TEXT.pictures}
        className="flex min-w-0 flex-col gap-2 py-3 lg:overflow-y-auto"
      >
        <Pictures map={map} table={table} onPick={setInspected} />
        <OddPanel />
        <ul className="grid gap-1" aria-label={TABLE_PAGE_TEXT.inWords}>
          {patternWords(map, table).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        <BetweenPanel map={map} />
        <CellKey />
      </section>
      {inspected && (
        <div className="max-h-[70dvh] overflow-y-auto bg-paper lg:fixed lg:right-6 lg:bottom-6 lg:z-20 lg:w-[30rem] lg:shadow-lg">
          <Inspector about={inspected} onClose={() => setInspected(null)} />
        </div>
      )}
    </FittedMain>
  );
}

function Standing({ table, count }: { table: TruthTable; count: ReturnType<typeof settledCount> }) {
  const map = useJobState((state) => state.map);
  const open = map.structure.actuators.some(({ closed }) => closed === null);
  return (
    <p className={`my-2 ${table.complete ? '' : 'rounded-part bg-amber-wash px-3 py-2 text-amber-ink'}`}>
      {count.settled}
      {TABLE_PAGE_TEXT.ofText}
      {count.all}
      {TABLE_PAGE_TEXT.pairsSettledOverAllPositions}
      {count.measured}
      {TABLE_PAGE_TEXT.measured} {count.follows}
      {TABLE_PAGE_TEXT.follow}
      {!table.complete && TABLE_PAGE_TEXT.theMapIsNotComplete}
      {open && TABLE_PAGE_TEXT.thereMayBePositionsThat}
      {table.complete &&
        (isRechecked(map) ? TABLE_PAGE_TEXT.reCheckedAnySingleWrong : TABLE_PAGE_TEXT.notReCheckedASingle)}
    </p>
  );
}
