import {
  JUMPER_OUTCOMES,
  jumperTestsOf,
  loadsOf,
  suppliesOf,
  wiresOf,
  type JumperOutcome,
} from '@which-way/core/log';
import { PERSON_LETTERS } from '@which-way/core/schema';
import { bypasses, type Bypass } from '@which-way/core/refit';
import { JUMPER_SAYS, OUTCOME_WORDS, refusalWords, tagWords } from '@which-way/words/refit';
import { settingName } from '@which-way/words/terminals';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useJobState, useSession } from '../job/job-context.js';
import { givenOnce, useGivenOnce } from '../safe/given-once.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { TypedField } from '../shared/controls/typed-field.js';

/** Wires joined instead of the switch, to show that the rest of the machine works. */
export function JumperPage() {
  const map = useJobState((state) => state.map);
  const { who } = useGivenOnce();
  const found = useMemo(() => bypasses(map), [map]);
  return (
    <main className="mx-auto grid w-full max-w-4xl grow content-start gap-4 p-4 sm:p-6">
      <h1 className="text-title font-bold">Jumper test: does the rest work without the switch?</h1>
      <Notice look="amber" title="Supply off while you join, and off again while you part them.">
        <ul className="list-disc pl-5">
          <li>Only a competent person, where local rules allow it.</li>
          <li>Enclosed connectors rated for the current; no bare ends, no clips on live parts.</li>
          <li>Nobody in reach of what may move. The plug is the only stop: keep it in the hand.</li>
          <li>Seconds, not minutes; then everything as it was.</li>
        </ul>
      </Notice>
      {found.length === 0 ? (
        <p className="text-quiet">
          It can be said once the map is complete, or at{' '}
          <Link to="../../verify" relative="path" className="underline">
            Verify
          </Link>{' '}
          what the switch should do.
        </p>
      ) : (
        <>
          <div className="max-w-xs">
            <TypedField
              label="Tried by"
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
  const wires = wiresOf(log);
  const last = jumperTestsOf(log).find(({ setting }) => setting === bypass.setting);
  const say = (outcome: JumperOutcome) => {
    if (!bypass.allowed || by === '') return;
    session.emit({
      kind: 'jumper-tested',
      test: { setting: bypass.setting, joined: bypass.joined, outcome, by },
    });
  };
  const label = (id: string) => structure.terminals.find((one) => one.id === id)?.label ?? '?';
  return (
    <li className="grid gap-2 border-b border-line py-3">
      <h2 className="font-mono text-large font-bold">{settingName(structure, bypass.setting)}</h2>
      {bypass.allowed ? (
        <>
          <ul>
            {bypass.joined.map((net) => (
              <li key={net.join()}>
                Join{' '}
                {net
                  .map((id) => {
                    const there = wires.filter(({ terminal }) => terminal === id);
                    return `${there.map(tagWords).join(' and ')} off ${label(id)}`;
                  })
                  .join(' with ')}
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap items-center gap-2">
            {JUMPER_OUTCOMES.map((outcome) => (
              <PlainButton
                key={outcome}
                look={last?.outcome === outcome ? 'strong' : 'plain'}
                aria-pressed={last?.outcome === outcome}
                disabled={by === ''}
                onClick={() => say(outcome)}
              >
                {OUTCOME_WORDS[outcome]}
              </PlainButton>
            ))}
            {by === '' && <span className="text-quiet">First say who tries it.</span>}
          </div>
          {last && (
            <p>
              {last.by}: {OUTCOME_WORDS[last.outcome].toLowerCase()}. {JUMPER_SAYS[last.outcome]}
            </p>
          )}
        </>
      ) : (
        <p className={bypass.refusal.because === 'nothing-joins' ? 'text-quiet' : 'font-semibold'}>
          {refusalWords(bypass.refusal, { wires, supplies: suppliesOf(log), loads: loadsOf(log) })}
        </p>
      )}
    </li>
  );
}
