import { circuitOf } from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { compareWithExpected, lineUp, type Comparison } from '@which-way/core/verify';
import { liveEvents, type DeedKind, type ExpectedTable } from '@which-way/core/log';
import { contactTerminals, type KnownSwitch } from '@which-way/core/switch';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, toldOf } from '../../api/client.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { Inspector, type Inspected } from '../../parts/facts/inspector.js';
import { LibrarySelect } from '../../controls/fields/library-select.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { PinnedDiagram, useDiagrams } from '../../parts/diagram/pinned-diagram.js';
import { ToBeShown } from './lines/to-be-shown.js';
import { Leaks } from './lines/leaks.js';
import { BeforeAfter } from './before-after.js';
import { BesidePanel } from './beside/beside-panel.js';
import { ContactsPanel } from './lines/contacts-panel.js';
import { InsulationPanel } from './lines/insulation-panel.js';
import { MechanicsPanel } from './lines/mechanics-panel.js';
import { RepeatPanel } from './lines/repeat-panel.js';
import { SignVerdict } from './lines/sign-verdict.js';
import { NotTestedLine } from './lines/not-tested-line.js';
import { PatternLine } from './lines/pattern-line.js';
import { VerdictBand } from './verdict-band.js';
import { ExpectedSources } from './expected/expected-sources.js';
import { ComparedTable } from './expected/compared-table.js';
import { Likeliest, OtherCauses } from './likely/likeliest.js';
import { MarksLine } from './likely/marks-line.js';
import { useDiagnosis } from './likely/use-diagnosis.js';
import { sourceWords } from '@which-way/words/judge/diagnosis';
import { nothingSaid } from './expected/expected-edit.js';
import { ExpectedGrid } from './expected/expected-grid.js';
import { ResultLine } from '../../controls/result-line.js';
import { COMPARED_TABLE_TEXT } from '@which-way/words/screens/pages/verify/expected/compared-table';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { VERIFY_PAGE_TEXT } from '@which-way/words/screens/pages/verify/verify-page';
import { FittedMain } from '../../controls/frame/fitted-main.js';

/** Compares the map with what the switch should do: a known switch, or a table clicked in. */
export function VerifyPage() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const diagrams = useDiagrams();
  const [inspected, setInspected] = useState<Inspected | null>(null);
  const expected = liveEvents(map.log, 'expected').at(-1)?.what.table ?? null;
  const diagnosed = useDiagnosis(map, expected);
  const set = (table: ExpectedTable | null) => session.emit({ kind: 'expected', table });
  if (map.structure.terminals.length === 0) {
    return (
      <main className="mx-auto w-full max-w-3xl p-8">
        <h1 className="sr-only">{VERIFY_PAGE_TEXT.verify}</h1>
        <Notice look="plain" title={VERIFY_PAGE_TEXT.thereIsNothingToCompare}>
          <Link to="../map" relative="path" className="underline">
            {VERIFY_PAGE_TEXT.goToTheMap}
          </Link>{' '}
          {VERIFY_PAGE_TEXT.first}
        </Notice>
      </main>
    );
  }
  const comparison = expected ? compareWithExpected(map, expected) : null;
  const told = comparison?.outcome === 'differs' && diagnosed ? diagnosed : null;
  return (
    <FittedMain shape="stacked" least={30}>
      <h1 className="sr-only">{VERIFY_PAGE_TEXT.verify}</h1>
      <VerdictBand map={map}>{told && <Likeliest map={map} diagnosed={told} />}</VerdictBand>
      <div className="grid grow content-start lg:min-h-0 lg:basis-0 lg:grid-cols-[6fr_5fr] lg:grid-rows-[minmax(0,1fr)] lg:content-stretch">
        <section
          id="expected"
          aria-label={VERIFY_PAGE_TEXT.expectedTable}
          className="min-w-0 px-6 py-3 max-lg:order-2 lg:overflow-y-auto"
        >
          {expected && comparison ? (
            <Compared
              map={map}
              expected={expected}
              comparison={comparison}
              onSet={set}
              onPick={setInspected}
            />
          ) : (
            <>
              <h2 className="text-title font-bold">{VERIFY_PAGE_TEXT.whatItShouldDo}</h2>
              <Source expected={expected} onSet={set} />
            </>
          )}
        </section>
        <section
          aria-label={VERIFY_PAGE_TEXT.whatDiffers}
          className="min-w-0 px-6 py-2 lg:overflow-y-auto lg:border-l-2 lg:border-line"
        >
          {inspected && <Inspector about={inspected} onClose={() => setInspected(null)} />}
          <PatternLine
            map={map}
            expected={expected}
            comparison={comparison}
            diagnosed={diagnosed}
            onSet={set}
          />
          {told && <MarksLine map={map} diagnosed={told} />}
          {told && <OtherCauses map={map} diagnosed={told} />}
          <ContactsPanel map={map} />
          <Leaks map={map} />
          <InsulationPanel map={map} />
          <MechanicsPanel map={map} />
          <RepeatPanel map={map} />
          <BeforeAfter map={map} />
          <ToBeShown map={map} />
          <BesidePanel map={map} />
          <NotTestedLine map={map} />
          <SignVerdict map={map} />
          {diagrams.length > 0 && (
            <ResultLine
              name={RESULT_LINES_TEXT.diagram}
              result={RESULT_LINES_TEXT.pinned}
              act={RESULT_LINES_TEXT.see}
            >
              <PinnedDiagram />
            </ResultLine>
          )}
          {comparison?.outcome === 'differs' && circuitOf(map) && (
            <Link
              to="../table/machine"
              relative="path"
              className="inline-flex min-h-11 items-center underline"
            >
              {VERIFY_PAGE_TEXT.whatThatDoesInThe}
            </Link>
          )}
        </section>
      </div>
    </FittedMain>
  );
}

interface ComparedProps {
  map: SwitchMap;
  expected: ExpectedTable;
  comparison: Comparison;
  onSet: (table: ExpectedTable | null) => void;
  onPick: (about: Inspected) => void;
}

/** What it is compared with: read, or, once it is to be changed, filled in. */
function Compared({ map, expected, comparison, onSet, onPick }: ComparedProps) {
  // A table that is filled in by hand is not said yet: it opens to be filled in.
  const [editing, setEditing] = useState(expected.source.kind === 'drawn' && comparison.cells.length === 0);
  return (
    <>
      <p className="mb-2 flex flex-wrap items-center gap-x-3">
        <span className="min-w-0 grow">
          <span className="text-quiet">{COMPARED_TABLE_TEXT.measuredAgainst}</span>
          <strong>{sourceWords(expected.source)}</strong>
        </span>
        <PlainButton
          look="quiet"
          className="!px-1"
          aria-expanded={editing}
          onClick={() => setEditing(!editing)}
        >
          {editing ? COMPARED_TABLE_TEXT.done : COMPARED_TABLE_TEXT.change}
        </PlainButton>
      </p>
      {editing ? (
        <>
          <Source expected={expected} onSet={onSet} />
          <ExpectedGrid {...{ map, expected, comparison, onSet, onPick }} />
        </>
      ) : (
        <ComparedTable {...{ map, expected, comparison, onPick }} />
      )}
    </>
  );
}

/** What undo and redo mean here. */
const EXPECTED: ReadonlySet<DeedKind> = new Set(['expected']);

function Source({
  expected,
  onSet,
}: {
  expected: ExpectedTable | null;
  onSet: (table: ExpectedTable | null) => void;
}) {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [how, setHow] = useState<string | null>(null);
  const choose = async (id: string) => {
    if (id === '') return;
    try {
      take(await api.entry(id));
    } catch (error) {
      setHow(null);
      setTrouble(`${toldOf(error).message} ${toldOf(error).hint}`);
    }
  };
  const take = (known: KnownSwitch) => {
    const lined = lineUp(map.structure, known);
    if (lined.kind === 'cannot') {
      setHow(null);
      const about = { terminals: 'terminals', positions: 'positions', actuators: 'handles' }[lined.because];
      return setTrouble(VERIFY_PAGE_TEXT.hasThisSwitchChooseOne(known.name, lined.needs, about, lined.has));
    }
    setTrouble(null);
    setHow(
      lined.by === 'label'
        ? VERIFY_PAGE_TEXT.terminalsWereLaidSideBy
        : VERIFY_PAGE_TEXT.theLabelsDifferTerminalsWere,
    );
    onSet(lined.table);
  };
  const drawn = (): ExpectedTable =>
    nothingSaid(
      map.structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id),
      contactTerminals(map.structure).map(({ id }) => id),
    );
  return (
    <div className="no-print my-3 grid gap-3 text-base">
      <div className="flex flex-wrap items-center gap-3">
        {!expected && (
          <LibrarySelect
            quiet
            label={VERIFY_PAGE_TEXT.knownSwitch}
            value=""
            onChange={(id) => void choose(id)}
            placeholder={VERIFY_PAGE_TEXT.takeItFromTheLibrary}
          />
        )}
        {!expected && (
          <PlainButton onClick={() => onSet(drawn())}>{VERIFY_PAGE_TEXT.clickItInByHand}</PlainButton>
        )}
        {expected && (
          <PlainButton
            onClick={() => {
              setHow(null);
              onSet(null);
            }}
          >
            {VERIFY_PAGE_TEXT.leaveTheComparison}
          </PlainButton>
        )}
        {map.log.undo.some(({ what }) => what.kind === 'expected') && (
          <PlainButton onClick={() => session.undo(EXPECTED)}>{VERIFY_PAGE_TEXT.undo}</PlainButton>
        )}
        {map.log.redo.some(({ what }) => what.kind === 'expected') && (
          <PlainButton onClick={() => session.redo(EXPECTED)}>{VERIFY_PAGE_TEXT.redo}</PlainButton>
        )}
      </div>
      {!expected && <ExpectedSources onSet={onSet} />}
      {trouble && (
        <Notice look="amber" title={VERIFY_PAGE_TEXT.thatOneCannotBeLaid}>
          {trouble}
        </Notice>
      )}
      {how && <p className="text-quiet">{how}</p>}
      {!expected && <p>{VERIFY_PAGE_TEXT.takeAKnownSwitchOr}</p>}
    </div>
  );
}
