import { recordsOf, type RefitNote, refitNotesOf, type SignedRefit } from '@which-way/core/log';
import { CODE_NOTE_LETTERS, PERSON_LETTERS, REASON_LETTERS, REMARK_LETTERS } from '@which-way/core/schema';
import {
  functionChecks,
  isWholeSignature,
  refitStanding,
  signableRefit,
  signedRefitOf,
} from '@which-way/core/refit';
import type { StepId } from '@which-way/core/switch';
import { judge, takenCheck } from '@which-way/core/verdict';
import { notTestedAtRefit, TRANSFER_WORDS } from '@which-way/words/refit';
import { notTestedWords } from '@which-way/words/verdict';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJobState, useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { givenOnce, useGivenOnce } from '../../parts/safety/given-once.js';
import { KeptField } from '../../controls/fields/kept-field.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { Field } from '../../controls/fields/field.js';
import { useCheck } from './power/use-check.js';
import { SIGN_PAGE_TEXT } from '@which-way/words/screens/pages/refit/sign-page';

const LINES: {
  part: keyof Pick<SignedRefit, 'transfer' | 'check' | 'measured' | 'function'>;
  text: string;
  to: string;
}[] = [
  { part: 'transfer', text: SIGN_PAGE_TEXT.transferCard, to: '..' },
  { part: 'check', text: SIGN_PAGE_TEXT.checkBeforePower, to: '../check' },
  { part: 'measured', text: SIGN_PAGE_TEXT.insulationAndEarth, to: '../check' },
  { part: 'function', text: SIGN_PAGE_TEXT.functionTest, to: '../function' },
];

/** How all stands, what stays, and who answers for it. */
export function SignPage() {
  const map = useJobState((state) => state.map);
  const outOfMachine = useJobState((state) => state.job?.outOfMachine ?? false);
  const session = useSession();
  const { who } = useGivenOnce();
  const { check } = useCheck(map);
  const standing = refitStanding(map, outOfMachine, check);
  const signed = signedRefitOf(map);
  const notTested = [
    ...notTestedWords(map, judge(map, takenCheck(map, check)).notTested),
    ...notTestedAtRefit(functionChecks(map), map, recordsOf(map.log, 'load-named'), standing.wanted),
  ];
  const sign = () => {
    if (who.trim() === '') return;
    session.emit({ kind: 'refit-signed', refit: signableRefit(map, standing, who.trim(), notTested) });
  };
  return (
    <main className="mx-auto grid w-full max-w-4xl grow content-start gap-5 p-4 sm:p-6">
      <h1 className="text-title font-bold">
        {!signed?.stands
          ? SIGN_PAGE_TEXT.howItStands
          : isWholeSignature(signed.signed)
            ? SIGN_PAGE_TEXT.signedOffBy(signed.signed.by)
            : SIGN_PAGE_TEXT.signedByNotAllOf(signed.signed.by)}
      </h1>
      <ul aria-label={SIGN_PAGE_TEXT.howItStands} className="border-t-2 border-line">
        {LINES.map(({ part, text, to }) => (
          <li key={part} className="flex min-h-12 items-center gap-3 border-b border-line">
            <Link
              to={to}
              relative="path"
              className="flex min-h-11 grow items-center underline underline-offset-4"
            >
              {text}
            </Link>
            <strong
              className={
                standing[part] === 'failed'
                  ? 'text-brick'
                  : standing[part] === 'not-done'
                    ? 'text-amber-ink'
                    : ''
              }
            >
              {TRANSFER_WORDS[standing[part]]}
            </strong>
          </li>
        ))}
      </ul>
      {notTested.length > 0 && (
        <Notice look="amber" title={SIGN_PAGE_TEXT.notTested}>
          <p>{notTested.join('; ')}.</p>
        </Notice>
      )}
      <Residuals />
      <Notes />
      <section aria-label={SIGN_PAGE_TEXT.signOff} className="grid gap-2 border-t-2 border-line pt-3">
        {signed && (
          <p>
            <strong>{signed.signed.by}</strong>
            {SIGN_PAGE_TEXT.signedIt}
            {new Date(signed.at).toLocaleString()}.{' '}
            {!signed.stands && (
              <strong className="text-amber-ink">{SIGN_PAGE_TEXT.somethingWasReadOrChanged}</strong>
            )}
          </p>
        )}
        {!signed?.stands && (
          <form
            className="flex flex-wrap items-end gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              sign();
            }}
          >
            <Field
              label={SIGN_PAGE_TEXT.signedBy}
              value={who}
              maxLength={PERSON_LETTERS}
              onType={(typed) => givenOnce.setState({ who: typed })}
            />
            <PlainButton type="submit" look="strong" disabled={who.trim() === ''}>
              {SIGN_PAGE_TEXT.signItAsItStands}
            </PlainButton>
          </form>
        )}
      </section>
    </main>
  );
}

/** Defects that stay, each with why it is accepted. */
function Residuals() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const residuals = recordsOf(log, 'residual-noted');
  return (
    <section aria-label={SIGN_PAGE_TEXT.defectsThatStay} className="grid gap-2">
      <h2 className="text-large font-bold">{SIGN_PAGE_TEXT.defectsThatStay}</h2>
      <ul>
        {residuals.map((one) => (
          <li key={one.id} className="flex items-center gap-2 border-b border-line">
            <span className="grow">
              <strong>{one.text}</strong>: {one.reason}
            </span>
            <PlainButton
              look="quiet"
              aria-label={SIGN_PAGE_TEXT.takeAway(one.text)}
              onClick={() => session.emit({ kind: 'residual-noted', residual: { ...one, removed: true } })}
            >
              {SIGN_PAGE_TEXT.takeAway2}
            </PlainButton>
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() === '' || reason.trim() === '') return;
          session.emit({
            kind: 'residual-noted',
            residual: { id: newId<StepId>(), text: text.trim(), reason: reason.trim(), removed: false },
          });
          setText('');
          setReason('');
        }}
      >
        <Field
          label={SIGN_PAGE_TEXT.defect}
          value={text}
          maxLength={REMARK_LETTERS}
          onType={setText}
          className="grow"
        />
        <Field
          label={SIGN_PAGE_TEXT.acceptedBecause}
          value={reason}
          maxLength={REASON_LETTERS}
          onType={setReason}
          className="grow"
        />
        <PlainButton type="submit" disabled={text.trim() === '' || reason.trim() === ''}>
          {SIGN_PAGE_TEXT.itStays}
        </PlainButton>
      </form>
    </section>
  );
}

const NOTES: { field: RefitNote; label: string; hint: string; lines: number }[] = [
  { field: 'done', label: SIGN_PAGE_TEXT.whatWasDone, hint: SIGN_PAGE_TEXT.inASentenceOrTwo, lines: 2 },
  {
    field: 'advice',
    label: SIGN_PAGE_TEXT.adviceToTheOwner,
    hint: SIGN_PAGE_TEXT.whatToWatchWhatNot,
    lines: 2,
  },
  {
    field: 'next-look',
    label: SIGN_PAGE_TEXT.toBeLookedAtAgain,
    hint: SIGN_PAGE_TEXT.whenAndAtWhat,
    lines: 1,
  },
  {
    field: 'code-note',
    label: SIGN_PAGE_TEXT.whatAppliesHere,
    hint: SIGN_PAGE_TEXT.localRulesLicencesTheShops,
    lines: 2,
  },
];

function Notes() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const notes = refitNotesOf(log);
  return (
    <section aria-label={SIGN_PAGE_TEXT.notes} className="grid gap-3 sm:grid-cols-2">
      {NOTES.map(({ field, ...field_ }) => (
        <KeptField
          key={field}
          {...field_}
          text={notes.get(field) ?? ''}
          maxLength={CODE_NOTE_LETTERS}
          onKeep={(text) => session.emit({ kind: 'refit-noted', field, text: text.trim() })}
        />
      ))}
    </section>
  );
}
