import { type Case, CASES, recordsOf } from '@which-way/core/log';
import type { Position } from '@which-way/core/switch';
import { CASE_WORDS } from '@which-way/words/before/cases';
import { useMemo } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { CASE_CHIPS_TEXT } from '@which-way/words/screens/parts/identity/case-chips';

const OF_A_POSITION: readonly Case[] = ['key-out', 'key-trapped'];

/** Cases of the trade, one tap each; what is said of the switch says what it changes. */
export function CaseChips() {
  const log = useJobState(({ map }) => map.log);
  const session = useSession();
  const said = useMemo(() => recordsOf(log, 'case-noted'), [log]);
  const isSaid = (what: Case) => said.some((one) => one.what === what && one.position === null);
  return (
    <section aria-label={CASE_CHIPS_TEXT.whatElseItIs} className="grid gap-2">
      <h2 className="font-bold">{CASE_CHIPS_TEXT.whatElseItIs}</h2>
      <div className="flex flex-wrap gap-1">
        {CASES.filter((what) => !OF_A_POSITION.includes(what)).map((what) => (
          <PlainButton
            key={what}
            className="!px-3"
            aria-pressed={isSaid(what)}
            look={isSaid(what) ? 'strong' : 'plain'}
            onClick={() =>
              session.emit({ kind: 'case-noted', noted: { what, position: null, on: !isSaid(what) } })
            }
          >
            {CASE_WORDS[what].name}
          </PlainButton>
        ))}
      </div>
      <CaseNotes />
    </section>
  );
}

/** What the cases that were said change, a line each. */
export function CaseNotes() {
  const log = useJobState(({ map }) => map.log);
  const said = useMemo(() => recordsOf(log, 'case-noted'), [log]);
  const whole = said.filter(({ position }) => position === null);
  if (whole.length === 0) return null;
  return (
    <ul className="grid gap-1 text-small" aria-label={CASE_CHIPS_TEXT.casesOfTheTrade}>
      {whole.map(({ what }) => (
        <li key={what}>
          <strong>{CASE_WORDS[what].name}:</strong> {CASE_WORDS[what].about}
        </li>
      ))}
    </ul>
  );
}

/** Of a key switch: where the key comes out, and where it is trapped. */
export function KeyChips({ position }: { position: Position }) {
  const log = useJobState(({ map }) => map.log);
  const session = useSession();
  const said = recordsOf(log, 'case-noted').filter((one) => one.position === position.id);
  return (
    <span className="flex flex-wrap gap-1">
      {OF_A_POSITION.map((what) => {
        const on = said.some((one) => one.what === what);
        return (
          <PlainButton
            key={what}
            className="!px-2 text-small"
            aria-pressed={on}
            look={on ? 'strong' : 'plain'}
            onClick={() =>
              session.emit({ kind: 'case-noted', noted: { what, position: position.id, on: !on } })
            }
          >
            {CASE_WORDS[what].name}
          </PlainButton>
        );
      })}
    </span>
  );
}
