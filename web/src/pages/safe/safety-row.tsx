import { highestLeft, mayBeLeftOut, wantedAnswer } from '@which-way/core/safety';
import { REASON_LETTERS } from '@which-way/core/schema';
import { STORES, type SafetyAnswer, type SafetyLine, type SupplyKind } from '@which-way/core/log';
import { lineWords, STORE_WORDS, TESTER_WORDS } from '@which-way/words/before/safety';
import { useState, type ReactNode } from 'react';
import { useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ProvedWith, useProvedAnswer } from './proved-with.js';
import { useVolts, VoltsField } from './volts-field.js';
import { SAFETY_ROW_TEXT } from '@which-way/words/screens/pages/safe/safety-row';
import { Field } from '../../controls/fields/field.js';

interface SafetyRowProps {
  line: SafetyLine;
  /** The desk of the proof of dead, on its own line. */
  proof?: ReactNode;
  number: number;
  supply: SupplyKind;
  answer: SafetyAnswer | null;
  /** The first that is not answered yet. */
  next: boolean;
  /** The number of the line that has to be done before this one; null: none. */
  after: number | null;
}

/** One line of the list: what to do, why, and its answer. */
export function SafetyRow({ line, proof, number, supply, answer, next, after }: SafetyRowProps) {
  const session = useSession();
  const [leaving, setLeaving] = useState(false);
  const { text, why } = lineWords(line, supply);
  const give = (given: SafetyAnswer | null) => {
    setLeaving(false);
    session.emit({ kind: 'safety-answered', line: line.id, answer: given });
  };
  return (
    <li
      className={`grid grid-cols-[2.5rem_minmax(0,1fr)] gap-x-4 border-b border-line ${answer ? 'py-2' : 'py-4'} ${next ? 'bg-sheet' : ''}`}
    >
      <span
        className={`flex size-9 items-center justify-center rounded-full border-4 border-brass font-mono font-bold ${answer ? 'bg-brass text-sheet' : ''}`}
        aria-hidden="true"
      >
        {number}
      </span>
      {answer ? (
        <div className="grid min-w-0 items-center gap-x-4 sm:grid-cols-[3fr_2fr_auto]">
          <h2 className="font-bold">{text}</h2>
          <span>{answerWords(answer)}</span>
          {!proof && (
            <PlainButton look="quiet" className="!px-2" onClick={() => give(null)}>
              {SAFETY_ROW_TEXT.answerAgain}
            </PlainButton>
          )}
          {proof && <div className="col-span-full">{proof}</div>}
        </div>
      ) : (
        <div className="grid min-w-0 gap-2">
          <div>
            <h2 className={`leading-snug font-bold ${next ? 'text-title' : 'text-large'}`}>{text}</h2>
            {why && <p className="text-quiet">{why}</p>}
          </div>
          {after === null && proof}
          {after !== null ? (
            <>
              <p className="text-quiet">{SAFETY_ROW_TEXT.doLineFirst(after)}</p>
              {line.kind === 'discharge' && <HighVoltage onGive={give} />}
            </>
          ) : leaving ? (
            <LeaveOut onGive={give} onBack={() => setLeaving(false)} />
          ) : (
            <div className="flex flex-wrap items-end gap-3">
              {QUESTIONS[wantedAnswer(line.kind)]({ onGive: give })}
              {mayBeLeftOut(line.kind) && (
                <PlainButton look="quiet" onClick={() => setLeaving(true)}>
                  {SAFETY_ROW_TEXT.notApplicable}
                </PlainButton>
              )}
            </div>
          )}
        </div>
      )}
    </li>
  );
}

function answerWords(answer: SafetyAnswer): string {
  switch (answer.kind) {
    case 'done':
      return 'Done';
    case 'not-applicable':
      return SAFETY_ROW_TEXT.notApplicable2(answer.reason);
    case 'proved':
      return `${TESTER_WORDS[answer.tester]}, on ${answer.source}`;
    case 'dead':
      return SAFETY_ROW_TEXT.atMostV(
        answer.volts,
        answer.everyPosition ? SAFETY_ROW_TEXT.everyPosition : SAFETY_ROW_TEXT.notEveryPosition,
      );
    case 'proof':
      return SAFETY_ROW_TEXT.atMostVolts(count(answer.after.length), highestLeft(answer) ?? 0);
    case 'discharged':
      return `${answer.before} V found, ${answer.after} V after`;
    case 'not-measured':
      return SAFETY_ROW_TEXT.notMeasuredSo;
    case 'high-voltage':
      return `Stop: ${STORE_WORDS[answer.store]}`;
  }
}

const count = (readings: number): string => (readings === 1 ? '1 reading' : `${readings} readings`);

interface Asking {
  onGive: (answer: SafetyAnswer) => void;
}

function LeaveOut({ onGive, onBack }: Asking & { onBack: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') onGive({ kind: 'not-applicable', reason: reason.trim() });
      }}
    >
      <Field
        label={SAFETY_ROW_TEXT.whyNot}
        className="grow"
        autoFocus
        value={reason}
        maxLength={REASON_LETTERS}
        onType={setReason}
      />
      <PlainButton type="submit" disabled={reason.trim() === ''}>
        {SAFETY_ROW_TEXT.keepTheReason}
      </PlainButton>
      <PlainButton look="quiet" onClick={onBack}>
        {SAFETY_ROW_TEXT.back}
      </PlainButton>
    </form>
  );
}

function Done({ onGive }: Asking) {
  return <PlainButton onClick={() => onGive({ kind: 'done', note: '' })}>{SAFETY_ROW_TEXT.done}</PlainButton>;
}

function Proved({ onGive }: Asking) {
  const answer = useProvedAnswer();
  return (
    <div className="grid gap-3">
      <ProvedWith />
      <PlainButton
        className="justify-self-start"
        disabled={answer === null}
        onClick={() => answer && onGive(answer)}
      >
        {SAFETY_ROW_TEXT.itShowedTheVoltage}
      </PlainButton>
    </div>
  );
}

/** Stored energy: what was found, and what is left; or that it is a store that this tool stops at. */
function Discharged({ onGive }: Asking) {
  const [before, after] = [useVolts(), useVolts()];
  return (
    <div className="grid gap-2">
      <Keep
        ready={before.volts !== null && after.volts !== null}
        onKeep={() =>
          onGive({
            kind: 'discharged',
            before: Math.abs(before.volts ?? 0),
            after: Math.abs(after.volts ?? 0),
          })
        }
      >
        <VoltsField label={SAFETY_ROW_TEXT.voltsFound} field={before} />
        <VoltsField label={SAFETY_ROW_TEXT.voltsAfterTheResistor} field={after} />
      </Keep>
      <div className="flex flex-wrap items-center gap-x-4">
        <PlainButton look="quiet" className="!px-1" onClick={() => onGive({ kind: 'not-measured' })}>
          {SAFETY_ROW_TEXT.notMeasured}
        </PlainButton>
        <HighVoltage onGive={onGive} />
      </div>
    </div>
  );
}

/** What keeps high voltage when it is off can be said at any time: nothing goes on from there. */
function HighVoltage({ onGive }: Asking) {
  const [storing, setStoring] = useState(false);
  if (!storing)
    return (
      <PlainButton look="quiet" className="justify-self-start !px-1" onClick={() => setStoring(true)}>
        {SAFETY_ROW_TEXT.itStoresHighVoltageMicrowave}
      </PlainButton>
    );
  return (
    <div className="flex flex-wrap items-center gap-2">
      {STORES.map((store) => (
        <PlainButton key={store} onClick={() => onGive({ kind: 'high-voltage', store })}>
          {STORE_WORDS[store]}
        </PlainButton>
      ))}
      <PlainButton look="quiet" onClick={() => setStoring(false)}>
        {SAFETY_ROW_TEXT.noneOfThese}
      </PlainButton>
    </div>
  );
}

function Keep({ ready, onKeep, children }: { ready: boolean; onKeep: () => void; children: ReactNode }) {
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onKeep();
      }}
    >
      {children}
      <PlainButton type="submit" disabled={!ready}>
        {SAFETY_ROW_TEXT.keep}
      </PlainButton>
    </form>
  );
}

const QUESTIONS: Record<ReturnType<typeof wantedAnswer>, (asking: Asking) => ReactNode> = {
  done: (asking) => <Done {...asking} />,
  proved: (asking) => <Proved {...asking} />,
  discharged: (asking) => <Discharged {...asking} />,
  // Read on a desk of its own: it grows reading by reading.
  proof: () => null,
};
