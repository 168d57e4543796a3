import { mayBeLeftOut, wantedAnswer } from '@which-way/core/safety';
import { PROVING_SOURCE_LETTERS, REASON_LETTERS } from '@which-way/core/schema';
import {
  TESTERS,
  type SafetyAnswer,
  type SafetyLine,
  type SupplyKind,
  type Tester,
} from '@which-way/core/log';
import { useId, useState, type ReactNode } from 'react';
import { useSession } from '../job/job-context.js';
import { readAmount } from '../shared/controls/amount.js';
import { Choice } from '../shared/controls/choice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { lineWords, TESTER_WORDS } from '@which-way/words/safety';
import { CheckLine } from '../shared/controls/check-line.js';

interface SafetyRowProps {
  line: SafetyLine;
  number: number;
  supply: SupplyKind;
  answer: SafetyAnswer | null;
  /** The first that is not answered yet. */
  next: boolean;
}

/** One line of the list: what to do, why, and its answer. */
export function SafetyRow({ line, number, supply, answer, next }: SafetyRowProps) {
  const session = useSession();
  const [leaving, setLeaving] = useState(false);
  const { text, why } = lineWords(line, supply);
  const give = (given: SafetyAnswer | null) => {
    setLeaving(false);
    session.emit({ kind: 'safety-answered', line: line.id, answer: given });
  };
  return (
    <li
      className={`grid grid-cols-[2.5rem_1fr] gap-x-4 border-b border-line ${answer ? 'py-2' : 'py-4'} ${next ? 'bg-sheet' : ''}`}
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
          <PlainButton look="quiet" className="!px-2" onClick={() => give(null)}>
            Answer again
          </PlainButton>
        </div>
      ) : (
        <div className="grid min-w-0 gap-2">
          <div>
            <h2 className={`leading-snug font-bold ${next ? 'text-title' : 'text-large'}`}>{text}</h2>
            {why && <p className="text-quiet">{why}</p>}
          </div>
          {leaving ? (
            <LeaveOut onGive={give} onBack={() => setLeaving(false)} />
          ) : (
            <div className="flex flex-wrap items-end gap-3">
              {QUESTIONS[wantedAnswer(line.kind)]({ onGive: give })}
              {mayBeLeftOut(line.kind) && (
                <PlainButton look="quiet" onClick={() => setLeaving(true)}>
                  Not applicable
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
      return `Not applicable: ${answer.reason}`;
    case 'proved':
      return `${TESTER_WORDS[answer.tester]}, on ${answer.source}`;
    case 'dead':
      return `At most ${answer.volts} V${answer.everyPosition ? ', in every position' : ', not in every position'}`;
    case 'discharged':
      return `${answer.before} V found, ${answer.after} V after`;
  }
}

interface Asking {
  onGive: (answer: SafetyAnswer) => void;
}

const INPUT = 'mt-1 block min-h-12 rounded-part border-2 border-line bg-sheet px-3';

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
      <label className="grow">
        Why not?
        <input
          autoFocus
          value={reason}
          maxLength={REASON_LETTERS}
          onChange={(event) => setReason(event.target.value)}
          className={`${INPUT} w-full`}
        />
      </label>
      <PlainButton type="submit" disabled={reason.trim() === ''}>
        Keep the reason
      </PlainButton>
      <PlainButton look="quiet" onClick={onBack}>
        Back
      </PlainButton>
    </form>
  );
}

function Done({ onGive }: Asking) {
  return <PlainButton onClick={() => onGive({ kind: 'done', note: '' })}>Done</PlainButton>;
}

function Proved({ onGive }: Asking) {
  const [tester, setTester] = useState<Tester | null>(null);
  const [source, setSource] = useState('');
  const ready = tester !== null && source.trim() !== '';
  return (
    <div className="grid gap-3">
      <Choice
        label="What is it proved with?"
        value={tester}
        options={TESTERS.map((value) => ({ value, text: TESTER_WORDS[value] }))}
        onChoose={setTester}
      />
      <div className="flex flex-wrap items-end gap-3">
        <label>
          On which known source?
          <input
            value={source}
            maxLength={PROVING_SOURCE_LETTERS}
            placeholder="the bench socket, 230 V"
            onChange={(event) => setSource(event.target.value)}
            className={`${INPUT} w-72 max-w-full placeholder:text-quiet`}
          />
        </label>
        <PlainButton
          disabled={!ready}
          onClick={() => tester && onGive({ kind: 'proved', tester, source: source.trim() })}
        >
          It showed the voltage
        </PlainButton>
      </div>
    </div>
  );
}

const MOST_VOLTS = 10_000;

/** Volts as typed, and what is wrong with them; nothing typed is wrong too. */
function useVolts() {
  const [typed, setTyped] = useState('');
  const volts = readAmount(typed, MOST_VOLTS);
  return { typed, setTyped, volts: volts ?? null, wrong: volts === undefined };
}

function Volts({ label, field }: { label: string; field: ReturnType<typeof useVolts> }) {
  const trouble = useId();
  return (
    <div>
      <label>
        {label}
        <input
          inputMode="decimal"
          value={field.typed}
          maxLength={9}
          aria-invalid={field.wrong}
          aria-describedby={field.wrong ? trouble : undefined}
          onChange={(event) => field.setTyped(event.target.value)}
          className={`${INPUT} w-36 font-mono`}
        />
      </label>
      {field.wrong && (
        <p id={trouble} className="text-small text-brick">
          Volts such as 0,4 or 38.
        </p>
      )}
    </div>
  );
}

function Dead({ onGive }: Asking) {
  const highest = useVolts();
  const [every, setEvery] = useState(false);
  return (
    <div className="grid gap-2">
      <CheckLine checked={every} onChange={setEvery}>
        Measured with the switch in every position
      </CheckLine>
      <Keep
        ready={highest.volts !== null}
        onKeep={() => onGive({ kind: 'dead', volts: highest.volts ?? 0, everyPosition: every })}
      >
        <Volts label="Highest volts found" field={highest} />
      </Keep>
    </div>
  );
}

function Discharged({ onGive }: Asking) {
  const [before, after] = [useVolts(), useVolts()];
  return (
    <Keep
      ready={before.volts !== null && after.volts !== null}
      onKeep={() => onGive({ kind: 'discharged', before: before.volts ?? 0, after: after.volts ?? 0 })}
    >
      <Volts label="Volts found" field={before} />
      <Volts label="Volts after the resistor" field={after} />
    </Keep>
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
        Keep
      </PlainButton>
    </form>
  );
}

const QUESTIONS: Record<SafetyAnswer['kind'], (asking: Asking) => ReactNode> = {
  done: (asking) => <Done {...asking} />,
  proved: (asking) => <Proved {...asking} />,
  dead: (asking) => <Dead {...asking} />,
  discharged: (asking) => <Discharged {...asking} />,
  'not-applicable': () => null,
};
