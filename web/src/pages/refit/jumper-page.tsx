import { JUMPER_OUTCOMES, type JumperOutcome, recordsOf } from '@which-way/core/log';
import { PERSON_LETTERS } from '@which-way/core/schema';
import { bypasses, type Bypass } from '@which-way/core/refit';
import { JUMPER_SAYS, JUMPER_OUTCOME_WORDS, bypassRefusalWords, tagWords } from '@which-way/words/refit';
import { settingName } from '@which-way/words/terminals';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useJobState, useSession } from '../../job/job-context.js';
import { givenOnce, useGivenOnce } from '../../parts/safety/given-once.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { Field } from '../../controls/fields/field.js';
import { JUMPER_PAGE_TEXT } from '@which-way/words/screens/pages/refit/jumper-page';

/** Wires joined instead of the switch, to show that the rest of the machine works. */
export function JumperPage() {
  const map = useJobState((state) => state.map);
  const { who } = useGivenOnce();
  const found = useMemo(() => bypasses(map), [map]);
  return (
    <main className="mx-auto grid w-full max-w-4xl grow content-start gap-4 p-4 sm:p-6">
      <h1 className="text-title font-bold">{JUMPER_PAGE_TEXT.jumperTestDoesTheRest}</h1>
      <Notice look="amber" title={JUMPER_PAGE_TEXT.supplyOffWhileYouJoin}>
        <ul className="list-disc pl-5">
          <li>{JUMPER_PAGE_TEXT.onlyACompetentPersonWhere}</li>
          <li>{JUMPER_PAGE_TEXT.enclosedConnectorsRatedForThe}</li>
          <li>{JUMPER_PAGE_TEXT.nobodyInReachOfWhat}</li>
          <li>{JUMPER_PAGE_TEXT.secondsNotMinutesThenEverything}</li>
        </ul>
      </Notice>
      {found.length === 0 ? (
        <p className="text-quiet">
          {JUMPER_PAGE_TEXT.itCanBeSaidOnce}{' '}
          <Link to="../../verify" relative="path" className="underline">
            {JUMPER_PAGE_TEXT.verify}
          </Link>{' '}
          {JUMPER_PAGE_TEXT.whatTheSwitchShouldDo}
        </p>
      ) : (
        <>
          <div className="max-w-xs">
            <Field
              label={JUMPER_PAGE_TEXT.triedBy}
              value={who}
              maxLength={PERSON_LETTERS}
              onType={(typed) => givenOnce.setState({ who: typed })}
            />
          </div>
          <ul className="border-t-2 border-line">
            {found.map((bypass) => (
              <Setting key={bypass.setting} bypass={bypass} by={who.trim()} />
            ))}
          </ul>
        </>
      )}
    </main>
  );
}

function Setting({ bypass, by }: { bypass: Bypass; by: string }) {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const { structure, log } = map;
  const wires = recordsOf(log, 'wire-tagged');
  const last = recordsOf(log, 'jumper-tested').find(({ setting }) => setting === bypass.setting);
  const say = (outcome: JumperOutcome) => {
    if (!bypass.allowed || by === '') return;
    session.emit({
      kind: 'jumper-tested',
      test: { setting: bypass.setting, joined: bypass.joined, outcome, by },
    });
  };
  const supplies = recordsOf(log, 'supply-named');
  const byBattery = supplies.length > 0 && supplies.every(({ current }) => current === 'DC');
  const [guards, setGuards] = useState<boolean | null>(null);
  const label = (id: string) => structure.terminals.find((one) => one.id === id)?.label ?? '?';
  return (
    <li className="grid gap-2 border-b border-line py-3">
      <h2 className="font-mono text-large font-bold">{settingName(structure, bypass.setting)}</h2>
      {bypass.allowed && bypass.ask && guards !== false ? (
        <Guards guards={guards} onSay={setGuards} />
      ) : bypass.allowed ? (
        <>
          <ul>
            {bypass.joined.map((net) => (
              <li key={net.join()}>
                {JUMPER_PAGE_TEXT.join}{' '}
                {net
                  .map((id) => {
                    const there = wires.filter(({ terminal }) => terminal === id);
                    return `${there.map(tagWords).join(' and ')} off ${label(id)}`;
                  })
                  .join(' with ')}
              </li>
            ))}
          </ul>
          <p className="font-semibold">
            {byBattery ? JUMPER_PAGE_TEXT.theClampIsNowYour : JUMPER_PAGE_TEXT.thePlugIsNowYour}
          </p>
          <div className="flex flex-wrap items-center gap-2">
            {JUMPER_OUTCOMES.map((outcome) => (
              <PlainButton
                key={outcome}
                look={last?.outcome === outcome ? 'strong' : 'plain'}
                aria-pressed={last?.outcome === outcome}
                disabled={by === ''}
                onClick={() => say(outcome)}
              >
                {JUMPER_OUTCOME_WORDS[outcome]}
              </PlainButton>
            ))}
            {by === '' && <span className="text-quiet">{JUMPER_PAGE_TEXT.firstSayWhoTriesIt}</span>}
          </div>
          {last && (
            <p>
              {last.by}: {JUMPER_OUTCOME_WORDS[last.outcome].toLowerCase()}. {JUMPER_SAYS[last.outcome]}
            </p>
          )}
        </>
      ) : (
        <p className={bypass.refusal.because === 'nothing-joins' ? 'text-quiet' : 'font-semibold'}>
          {bypassRefusalWords(bypass.refusal, {
            wires,
            supplies,
            loads: recordsOf(log, 'load-named'),
          })}
        </p>
      )}
      {(bypass.allowed || bypass.refusal.because !== 'nothing-joins') && (
        <p className="text-small text-quiet">
          {byBattery ? JUMPER_PAGE_TEXT.withoutBattery : JUMPER_PAGE_TEXT.withoutPower}
        </p>
      )}
    </li>
  );
}

/** Asked before a contact that may guard is offered to be passed by. */
function Guards({ guards, onSay }: { guards: boolean | null; onSay: (guards: boolean | null) => void }) {
  if (guards)
    return (
      <p className="flex flex-wrap items-center gap-3 font-semibold">
        {JUMPER_PAGE_TEXT.thenItStaysAsIt}
        <PlainButton look="quiet" onClick={() => onSay(null)}>
          {JUMPER_PAGE_TEXT.askAgain}
        </PlainButton>
      </p>
    );
  return (
    <div className="grid gap-2">
      <p className="font-semibold">{JUMPER_PAGE_TEXT.doesThisContactStopOr}</p>
      <div className="flex flex-wrap gap-2">
        <PlainButton onClick={() => onSay(true)}>{JUMPER_PAGE_TEXT.yesOrIDont}</PlainButton>
        <PlainButton onClick={() => onSay(false)}>{JUMPER_PAGE_TEXT.noNothing}</PlainButton>
      </div>
    </div>
  );
}
