import { circuitOf } from '@which-way/core/machine';
import { compareWithExpected, lineUp } from '@which-way/core/verify';
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
import { TableDifferences } from './likely/differences.js';
import { PinnedDiagram, useDiagrams } from '../../parts/diagram/pinned-diagram.js';
import { SeenOfSwitch } from './likely/seen-of-switch.js';
import { ToBeShown } from './lines/to-be-shown.js';
import { Leaks } from './lines/leaks.js';
import { BeforeAfter } from './before-after.js';
import { BesidePanel } from './beside/beside-panel.js';
import { ContactsPanel } from './lines/contacts-panel.js';
import { InsulationPanel } from './lines/insulation-panel.js';
import { MechanicsPanel } from './lines/mechanics-panel.js';
import { RepeatPanel } from './lines/repeat-panel.js';
import { SignVerdict } from './lines/sign-verdict.js';
import { VerdictLines } from './lines/verdict-lines.js';
import { ExpectedSources } from './expected/expected-sources.js';
import { LayOtherwise } from './expected/lay-otherwise.js';
import { Likeliest } from './likely/likeliest.js';
import { useDiagnosis } from './likely/use-diagnosis.js';
import { sourceWords } from '@which-way/words/judge/diagnosis';
import { nothingSaid } from './expected/expected-edit.js';
import { ExpectedGrid } from './expected/expected-grid.js';
import { VERIFY_PAGE_TEXT } from '@which-way/words/screens/pages/verify/verify-page';

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
  return (
    <main
      data-fits
      className="grid grow content-start lg:min-h-[30rem] lg:basis-0 lg:grid-cols-[6fr_5fr] lg:grid-rows-[minmax(0,1fr)] lg:content-stretch"
    >
      <section
        id="expected"
        aria-label={VERIFY_PAGE_TEXT.expectedTable}
        className="min-w-0 px-6 py-4 lg:overflow-y-auto"
      >
        <h1 className="text-title font-bold">{VERIFY_PAGE_TEXT.whatItShouldDo}</h1>
        <Source expected={expected} onSet={set} />
        {expected && comparison && (
          <ExpectedGrid
            map={map}
            expected={expected}
            comparison={comparison}
            onSet={set}
            onPick={setInspected}
          />
        )}
      </section>
      <section
        aria-label={VERIFY_PAGE_TEXT.whatDiffers}
        className="grid min-w-0 content-start gap-4 px-6 py-4 lg:overflow-y-auto lg:border-l-2 lg:border-line"
      >
        <VerdictLines map={map} />
        {comparison?.outcome === 'differs' && diagnosed && <Likeliest map={map} diagnosed={diagnosed} />}
        {expected && comparison?.outcome === 'differs' && diagnosed && (
          <LayOtherwise table={expected} question={diagnosed.question} comparison={comparison} onSet={set} />
        )}
        {comparison && <TableDifferences map={map} comparison={comparison} />}
        {comparison?.outcome === 'differs' && circuitOf(map) && (
          <Link to="../table/machine" relative="path" className="inline-flex min-h-11 items-center underline">
            {VERIFY_PAGE_TEXT.whatThatDoesInThe}
          </Link>
        )}
        <BeforeAfter map={map} />
        <BesidePanel map={map} />
        <ContactsPanel map={map} />
        <RepeatPanel map={map} />
        <InsulationPanel map={map} />
        <MechanicsPanel map={map} />
        <ToBeShown map={map} />
        <SeenOfSwitch map={map} />
        <Leaks map={map} />
        <SignVerdict map={map} />
        {diagrams.length > 0 && (
          <details className="border-t border-line pt-3">
            <summary className="min-h-12 cursor-pointer py-2 font-bold">
              {VERIFY_PAGE_TEXT.theMakersDiagram}
            </summary>
            <PinnedDiagram />
          </details>
        )}
        {inspected && <Inspector about={inspected} onClose={() => setInspected(null)} />}
      </section>
    </main>
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
        {expected ? (
          <p className="grow font-semibold">{sourceWords(expected.source)}</p>
        ) : (
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
