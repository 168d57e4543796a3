import { questions } from '../api/questions.js';
import { linesForJob } from '@which-way/core/safety';
import { ACTS_OF, SUPPLIES, wiresOffOf, type SupplyKind } from '@which-way/core/log';
import { useQuery } from '@tanstack/react-query';
import { Check } from 'lucide-react';
import { toast } from 'sonner';
import { useState } from 'react';
import { Link } from 'react-router';
import { toldOf } from '../api/client.js';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { UndoButtons } from '../shared/frame/sub-nav.js';
import { SUPPLY_WORDS, troubleList } from '@which-way/words/before/safety';
import { LiveRecords } from './live-records.js';
import { CaseNotes } from '../tag/terminals/case-chips.js';
import { BareEnds } from './bare-ends.js';
import { SafetyList } from './safety-list.js';
import { useSafety } from './use-safety.js';
import { CheckLine } from '../shared/controls/check-line.js';

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
          <h1 className="grow text-title font-bold">Make safe</h1>
          <UndoButtons acts={ACTS_OF.safe} />
        </div>
        {by !== 'out-of-machine' && (
          <>
            <OutOfMachine />
            {list && !choosing && standing.troubles[0]?.code !== 're-energised' ? (
              <p className="flex flex-wrap items-center gap-x-3 text-large">
                <span>
                  Or in the machine, <strong>{SUPPLY_WORDS[list.supply].name.toLowerCase()}</strong>:
                </span>
                <PlainButton look="quiet" onClick={() => setChoosing(true)}>
                  Another supply, or begin anew
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
              <Notice look="plain" title="What applies here">
                {list.codeNote}
              </Notice>
            )}
            <SafetyList list={list} standing={standing} />
          </>
        )}
        {by === 'out-of-machine' && (
          <div className="grid gap-3">
            <p className="flex items-center gap-3 text-large font-semibold">
              <Check className="text-teal" aria-hidden="true" /> The switch is out of the machine.
            </p>
            <p className="text-quiet">
              Nothing else is asked. Capacitors on the switch itself may still hold a charge: short them
              through a resistor first.
            </p>
            <BareEnds />
            <PlainButton
              className="justify-self-start"
              onClick={() =>
                void session
                  .setOutOfMachine(false)
                  .catch((error: unknown) => toast.error(toldOf(error).message))
              }
            >
              It is still in the machine after all
            </PlainButton>
          </div>
        )}
      </div>
      <aside className="grid min-w-0 content-start gap-5" aria-label="Where it stands">
        <Standing supply={supply} />
        <CaseNotes />
        <Notice look="plain" title="Local rules come first">
          Rules for your place and licensed practice go before this list. Fixed mains, gas and vehicles of
          others are for those who may work on them. Never work alone on what can kill.
        </Notice>
        {job && !job.outOfMachine && <LiveRecords />}
        <p>
          <Link to="/shop" className="underline">
            Change the shop’s lists and code notes
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
        It is out of the machine
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
        {chosen ? 'The list for' : 'Still in the machine? What feeds it?'}
      </legend>
      {shop.isError && (
        <p className="text-amber-ink">{toldOf(shop.error).message} The shop’s lists cannot be read.</p>
      )}
      <div className="grid gap-2 sm:grid-cols-2">
        {SUPPLIES.map((supply) => (
          <button
            key={supply}
            type="button"
            aria-pressed={supply === chosen}
            onClick={() => begin(supply)}
            className={`min-h-14 rounded-part border-2 px-4 py-2 text-left ${supply === chosen ? 'border-ink bg-ink text-sheet' : 'border-line bg-sheet hover:border-ink'}`}
          >
            <span className="block font-bold">{SUPPLY_WORDS[supply].name}</span>
            <span className="block text-small">
              {supply === chosen ? 'Begins this list anew' : SUPPLY_WORDS[supply].about}
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
  const wiresOff = useJobState((state) => wiresOffOf(state.map.log));
  if (!standing.open) {
    return (
      <Notice look="brick" title="The Map is shut">
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
      aria-label="The Map is open"
    >
      <h2 className="font-bold">The Map is open</h2>
      <Link
        to="../map"
        relative="path"
        className="justify-self-start rounded-part border-2 border-enamel bg-enamel px-4 py-2.5 font-semibold text-on-enamel"
      >
        Go to the Map
      </Link>
      {standing.by === 'list' && (
        <>
          {standing.staleHours !== null && (
            <p className="text-amber-ink">
              The list is {standing.staleHours} hours old. Prove dead again before you go on.
            </p>
          )}
          <CheckLine
            checked={wiresOff === true}
            onChange={(ticked) => session.emit({ kind: 'wires-off', off: ticked })}
          >
            The wires are off the switch
          </CheckLine>
          {wiresOff === true && <BareEnds />}
          <PlainButton
            className="justify-self-start"
            onClick={() => session.emit({ kind: 're-energised', reason: '' })}
          >
            It had power again
          </PlainButton>
        </>
      )}
    </section>
  );
}
