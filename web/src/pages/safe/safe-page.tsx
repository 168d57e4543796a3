import { questions } from '../../api/questions.js';
import { linesForJob } from '@which-way/core/safety';
import { ACTS_OF, recordsOf, SUPPLIES, type SupplyKind } from '@which-way/core/log';
import { useQuery } from '@tanstack/react-query';
import { Check } from 'lucide-react';
import { toast } from '../../controls/toast.js';
import { useState } from 'react';
import { Link } from 'react-router';
import { toldOf } from '../../api/client.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { UndoButtons } from '../../parts/frame/sub-nav.js';
import { SUPPLY_WORDS, troubleList } from '@which-way/words/before/safety';
import { LiveRecords } from './live-records.js';
import { CaseNotes } from '../../parts/identity/case-chips.js';
import { BareEnds } from '../../parts/safety/bare-ends.js';
import { SafetyList } from './safety-list.js';
import { useSafety } from '../../parts/safety/use-safety.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { SAFE_PAGE_TEXT } from '@which-way/words/screens/pages/safe/safe-page';

/** The short list before any ohms are measured in a machine; one tap when the switch is out of it. */
export function SafePage() {
  const standing = useSafety();
  const job = useJobState((state) => state.job);
  const session = useSession();
  const { list, by } = standing;
  const supply = list?.supply ?? 'plug-in';
  const [choosing, setChoosing] = useState(false);
  return (
    <main className="grid grow content-start gap-x-10 gap-y-8 p-4 sm:p-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid min-w-0 content-start gap-5">
        <div className="flex items-center gap-2">
          <h1 className="grow text-title font-bold">{SAFE_PAGE_TEXT.makeSafe}</h1>
          <UndoButtons acts={ACTS_OF.safe} />
        </div>
        {by !== 'out-of-machine' && (
          <>
            <OutOfMachine />
            {list && !choosing && standing.troubles[0]?.code !== 're-energised' ? (
              <p className="flex flex-wrap items-center gap-x-3 text-large">
                <span>
                  {SAFE_PAGE_TEXT.orInTheMachine}
                  <strong>{SUPPLY_WORDS[list.supply].name.toLowerCase()}</strong>:
                </span>
                <PlainButton look="quiet" onClick={() => setChoosing(true)}>
                  {SAFE_PAGE_TEXT.anotherSupplyOrBeginAnew}
                </PlainButton>
              </p>
            ) : (
              <SupplyChoice chosen={list?.supply ?? null} onBegun={() => setChoosing(false)} />
            )}
          </>
        )}
        {list && by !== 'out-of-machine' && (
          <>
            {list.codeNote !== '' && (
              <Notice look="plain" title={SAFE_PAGE_TEXT.whatAppliesHere}>
                {list.codeNote}
              </Notice>
            )}
            <SafetyList list={list} standing={standing} />
          </>
        )}
        {by === 'out-of-machine' && (
          <div className="grid gap-3">
            <p className="flex items-center gap-3 text-large font-semibold">
              <Check className="text-teal" aria-hidden="true" />
              {SAFE_PAGE_TEXT.theSwitchIsOutOf}
            </p>
            <p className="text-quiet">{SAFE_PAGE_TEXT.nothingElseIsAskedCapacitors}</p>
            <BareEnds />
            <PlainButton
              className="justify-self-start"
              onClick={() =>
                void session
                  .setOutOfMachine(false)
                  .catch((error: unknown) => toast.error(toldOf(error).message))
              }
            >
              {SAFE_PAGE_TEXT.itIsStillInThe}
            </PlainButton>
          </div>
        )}
      </div>
      <aside className="grid min-w-0 content-start gap-5" aria-label={SAFE_PAGE_TEXT.whereItStands}>
        <Standing supply={supply} />
        <CaseNotes />
        <Notice look="plain" title={SAFE_PAGE_TEXT.localRulesComeFirst}>
          {SAFE_PAGE_TEXT.rulesForYourPlaceAnd}
        </Notice>
        {job && !job.outOfMachine && <LiveRecords />}
        <p>
          <Link to="/shop" className="underline">
            {SAFE_PAGE_TEXT.changeTheShopsListsAnd}
          </Link>
        </p>
      </aside>
    </main>
  );
}

function OutOfMachine() {
  const session = useSession();
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  return (
    <div className="grid gap-3">
      <PlainButton
        look="strong"
        className="min-h-16 justify-self-start text-large"
        onClick={() =>
          void session.setOutOfMachine(true).catch((error: unknown) => setTrouble(toldOf(error)))
        }
      >
        {SAFE_PAGE_TEXT.itIsOutOfThe}
      </PlainButton>
      {trouble && (
        <Notice look="amber" title={trouble.message}>
          {trouble.hint}
        </Notice>
      )}
    </div>
  );
}

/** Begins a list, or begins it anew: answers to an earlier one no longer count. */
function SupplyChoice({ chosen, onBegun }: { chosen: SupplyKind | null; onBegun: () => void }) {
  const session = useSession();
  const shop = useQuery(questions.shop());
  const begin = (supply: SupplyKind) => {
    if (!shop.data) return;
    const lines = linesForJob(shop.data.safetyLists, supply, newId);
    session.emit({ kind: 'safety-begun', list: { supply, lines, codeNote: shop.data.codeNotes[supply] } });
    onBegun();
  };
  return (
    <fieldset className="grid gap-2" disabled={!shop.data}>
      <legend className="mb-2 font-bold">
        {chosen ? SAFE_PAGE_TEXT.theListFor : SAFE_PAGE_TEXT.stillInTheMachineWhat}
      </legend>
      {shop.isError && (
        <p className="text-amber-ink">
          {toldOf(shop.error).message}
          {SAFE_PAGE_TEXT.theShopsListsCannotBe}
        </p>
      )}
      <div className="grid gap-2 sm:grid-cols-2">
        {SUPPLIES.map((supply) => (
          <button
            key={supply}
            type="button"
            aria-pressed={supply === chosen}
            onClick={() => begin(supply)}
            className={`min-h-14 rounded-part border-2 px-4 py-2 text-left ${supply === chosen ? 'border-ink bg-ink text-sheet' : 'border-edge bg-sheet hover:border-ink'}`}
          >
            <span className="block font-bold">{SUPPLY_WORDS[supply].name}</span>
            <span className="block text-small">
              {supply === chosen ? SAFE_PAGE_TEXT.beginsThisListAnew : SUPPLY_WORDS[supply].about}
            </span>
          </button>
        ))}
      </div>
    </fieldset>
  );
}

function Standing({ supply }: { supply: SupplyKind }) {
  const standing = useSafety();
  const session = useSession();
  const wiresOff = useJobState((state) => recordsOf(state.map.log, 'wires-off'));
  if (!standing.open) {
    return (
      <Notice look="brick" title={SAFE_PAGE_TEXT.theMapIsShut}>
        <ul className="grid list-disc gap-1 pl-5">
          {troubleList(standing.troubles, supply).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </Notice>
    );
  }
  return (
    <section
      className="grid gap-3 rounded-part border-2 border-teal bg-sheet px-4 py-3"
      aria-label={SAFE_PAGE_TEXT.theMapIsOpen}
    >
      <h2 className="font-bold">{SAFE_PAGE_TEXT.theMapIsOpen}</h2>
      <Link
        to="../map"
        relative="path"
        className="justify-self-start rounded-part border-2 border-enamel bg-enamel px-4 py-2.5 font-semibold text-on-enamel"
      >
        {SAFE_PAGE_TEXT.goToTheMap}
      </Link>
      {standing.by === 'list' && (
        <>
          {standing.staleHours !== null && (
            <p className="text-amber-ink">
              {SAFE_PAGE_TEXT.theListIs}
              {standing.staleHours}
              {SAFE_PAGE_TEXT.hoursOldProveDeadAgain}
            </p>
          )}
          {standing.unproved.length > 0 && (
            <p className="text-amber-ink">{SAFE_PAGE_TEXT.notMeasuredSoStoredEnergy}</p>
          )}
          <CheckLine
            checked={wiresOff === true}
            onChange={(ticked) => session.emit({ kind: 'wires-off', off: ticked })}
          >
            {SAFE_PAGE_TEXT.theWiresAreOffThe}
          </CheckLine>
          {wiresOff === true && <BareEnds />}
          <PlainButton
            className="justify-self-start"
            onClick={() => session.emit({ kind: 're-energised', reason: '' })}
          >
            {SAFE_PAGE_TEXT.itHadPowerAgain}
          </PlainButton>
        </>
      )}
    </section>
  );
}
