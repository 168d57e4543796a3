import {
  endsInSight,
  highestLeft,
  SAFE_VOLTS,
  wantedAnswer,
  type SafetyStanding,
} from '@which-way/core/safety';
import { PERSON_LETTERS } from '@which-way/core/schema';
import type {
  SafetyAnswer,
  SafetyLine,
  SafetyLineKind,
  SafetyList as List,
  VoltReading,
} from '@which-way/core/log';
import { Check } from 'lucide-react';
import { useSession } from '../job/job-context.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { givenOnce, useGivenOnce } from './given-once.js';
import { ProofPoints } from './proof-points.js';
import { ProofReadings } from './proof-readings.js';
import { ProvedWith, useProvedAnswer } from './proved-with.js';
import { SafetyRow } from './safety-row.js';
import { useProof, withReading, type ProofDesk } from './use-proof.js';

const PROOFS: ReadonlySet<SafetyLineKind> = new Set(['prove-tester', 'prove-dead', 'prove-again']);

interface SafetyListProps {
  list: List;
  standing: SafetyStanding;
}

/** The lines in their order: what is the same for several is answered with one tap, and nothing confirms itself. */
export function SafetyList({ list, standing }: SafetyListProps) {
  const { answers } = standing;
  const proofLine = list.lines.find(({ kind }) => kind === 'prove-dead');
  const desk = useProof(list, proofLine ? (answers.get(proofLine.id) ?? null) : null);
  const firstProof = list.lines.findIndex(({ kind }) => PROOFS.has(kind));
  const lastProof = list.lines.findLastIndex(({ kind }) => PROOFS.has(kind));
  const next = list.lines.find(({ id }) => !answers.has(id))?.id ?? null;
  const inSight = endsInSight(list.supply);
  const proofs = list.lines.filter(({ kind }) => PROOFS.has(kind));
  const together = inSight && desk !== null && proofs.every(({ id }) => !answers.has(id));
  const rows = (lines: readonly SafetyLine[]) =>
    lines.map((line) => (
      <SafetyRow
        key={line.id}
        line={line}
        number={list.lines.indexOf(line) + 1}
        supply={list.supply}
        answer={begunOnly(answers.get(line.id) ?? null)}
        next={line.id === next}
        proof={line.kind === 'prove-dead' && desk ? <ProofDeskPanel desk={desk} /> : undefined}
      />
    ));
  const before = list.lines.slice(0, Math.max(0, firstProof));
  const after = list.lines.slice(lastProof + 1);
  return (
    <>
      {!inSight && desk && (
        <section aria-label="Before it is switched off" className="grid gap-2 border-t-2 border-line pt-3">
          <h2 className="text-large font-bold">Before it is switched off: what shows the supply?</h2>
          <ProofPoints desk={desk} />
          <ProofReadings desk={desk} when="before" />
        </section>
      )}
      <ol className="border-t-2 border-line" aria-label="Safety list">
        {rows(before)}
        <AllSo lines={before} answers={answers} />
        {together && desk ? (
          <ProvedTogether desk={desk} lines={proofs} first={firstProof + 1} />
        ) : (
          rows(proofs)
        )}
        {rows(after)}
      </ol>
      <Signature lines={after} standing={standing} desk={desk} />
    </>
  );
}

/** A proof with nothing read after isolation is no answer yet. */
const begunOnly = (answer: SafetyAnswer | null): SafetyAnswer | null =>
  answer?.kind === 'proof' && answer.after.length === 0 ? null : answer;

function ProofDeskPanel({ desk }: { desk: ProofDesk }) {
  return (
    <div className="grid gap-2">
      {endsInSight(desk.list.supply) && <ProofPoints desk={desk} />}
      <ProofReadings desk={desk} when="after" />
    </div>
  );
}

type Answers = SafetyStanding['answers'];

/** One tap for lines that only say that it is done. */
function AllSo({ lines, answers }: { lines: readonly SafetyLine[]; answers: Answers }) {
  const session = useSession();
  const open = lines.filter(({ id, kind }) => !answers.has(id) && wantedAnswer(kind) === 'done');
  if (open.length < 2) return null;
  const give = () =>
    session.emit({
      kind: 'safety-answered-together',
      answers: open.map(({ id }) => ({ line: id, answer: { kind: 'done', note: '' } })),
    });
  return (
    <li className="border-b border-line bg-sheet py-3 pl-14">
      <PlainButton look="strong" className="min-h-14" onClick={give}>
        All {open.length} are so
      </PlainButton>
    </li>
  );
}

/** With the ends of the supply in sight the tester is proved, dead is read and the tester proved again in one go. */
function ProvedTogether({
  desk,
  lines,
  first,
}: {
  desk: ProofDesk;
  lines: readonly SafetyLine[];
  first: number;
}) {
  const session = useSession();
  const proved = useProvedAnswer();
  const give = (reading: VoltReading) => {
    const { points, positions, noEarth, before, after } = desk.proof;
    const proof: SafetyAnswer = {
      kind: 'proof',
      points,
      positions,
      noEarth,
      before,
      after: withReading(after, reading),
    };
    if (!proved) return desk.read('after', reading);
    session.emit({
      kind: 'safety-answered-together',
      answers: lines.map(({ id, kind }) => ({ line: id, answer: kind === 'prove-dead' ? proof : proved })),
    });
  };
  return (
    <>
      {lines.map((line, place) => (
        <SafetyRow
          key={line.id}
          line={line}
          number={first + place}
          supply={desk.list.supply}
          answer={null}
          next={false}
          asked={
            line.kind === 'prove-tester' ? (
              <ProvedWith />
            ) : line.kind === 'prove-dead' ? (
              <>
                <ProofPoints desk={desk} />
                <ProofReadings desk={desk} when="after" onRead={give} />
              </>
            ) : (
              <p className="text-quiet">
                {proved
                  ? 'Keeping the volts says all three: it showed the voltage before, this was read, it showed the voltage after.'
                  : 'Say first with what, and on which known source.'}
              </p>
            )
          }
        />
      ))}
    </>
  );
}

/** What still stands open at the end and has a sensible answer: it is said on the button, and never confirms itself. */
function offered(lines: readonly SafetyLine[], answers: Answers, desk: ProofDesk | null) {
  const left = desk ? highestLeft(desk.proof) : null;
  return lines
    .filter(({ id }) => !answers.has(id))
    .map(({ id, kind }): { line: SafetyLine['id']; answer: SafetyAnswer | null } => {
      if (wantedAnswer(kind) === 'done') return { line: id, answer: { kind: 'done', note: '' } };
      const small = kind === 'discharge' && left !== null && left < SAFE_VOLTS;
      return { line: id, answer: small ? { kind: 'discharged', before: left, after: left } : null };
    });
}

interface SignatureProps extends Omit<SafetyListProps, 'list'> {
  /** The lines after the proof. */
  lines: readonly SafetyLine[];
  desk: ProofDesk | null;
}

/** Who answers for the list; what is left open and has a sensible answer is said with the same tap. */
function Signature({ lines, standing, desk }: SignatureProps) {
  const session = useSession();
  const { who } = useGivenOnce();
  const { signed, answers, troubles } = standing;
  if (signed) {
    return (
      <p className="flex items-center gap-3 text-large">
        <Check className="text-teal" aria-hidden="true" />
        <span>
          <strong>{signed.by}</strong> answers for it, {new Date(signed.at).toLocaleString()}.
        </span>
      </p>
    );
  }
  const open = offered(lines, answers, desk);
  const given = open.flatMap(({ line, answer }) => (answer ? [{ line, answer }] : []));
  const others = troubles.filter(
    (trouble) =>
      trouble.code !== 'unsigned' &&
      !(trouble.code === 'unanswered' && given.some(({ line }) => line === trouble.line.id)),
  );
  const ready = others.length === 0 && given.length === open.length;
  const left = desk ? highestLeft(desk.proof) : null;
  const sayings = given.map(({ answer }) =>
    answer.kind === 'discharged' ? `nothing stored (${left ?? 0} V left)` : 'the lines above are so',
  );
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (who.trim() === '' || !ready) return;
        givenOnce.setState({ who: who.trim() });
        if (given.length > 0) session.emit({ kind: 'safety-answered-together', answers: given });
        session.emit({ kind: 'safety-signed', by: who.trim() });
      }}
    >
      <label className="grow sm:max-w-xs">
        <span className="font-semibold">Who did it?</span>
        <input
          value={who}
          maxLength={PERSON_LETTERS}
          autoComplete="name"
          onChange={(event) => givenOnce.setState({ who: event.target.value })}
          className="mt-1 min-h-12 w-full rounded-part border-2 border-line bg-sheet px-3"
        />
      </label>
      <PlainButton type="submit" look="strong" className="min-h-12" disabled={!ready || who.trim() === ''}>
        {ready && given.length > 0 ? 'All of it is so, and I answer for this list' : 'I answer for this list'}
      </PlainButton>
      {ready && given.length > 0 && (
        <p className="basis-full text-small text-quiet">It says also: {[...new Set(sayings)].join('; ')}.</p>
      )}
      {!ready && (
        <p className="basis-full text-small text-quiet">
          When every line is answered and nothing on the right is against it.
        </p>
      )}
    </form>
  );
}
