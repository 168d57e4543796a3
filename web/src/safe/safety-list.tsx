import {
  endsInSight,
  proofTroubles,
  usualReadings,
  wantedAnswer,
  type SafetyStanding,
} from '@which-way/core/safety';
import type {
  SafetyAnswer,
  SafetyLine,
  SafetyLineKind,
  SafetyList as List,
  VoltReading,
} from '@which-way/core/log';
import { useSession } from '../job/job-context.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { ProofPoints } from './proof-points.js';
import { ProofReadings } from './proof-readings.js';
import { ProvedWith, useProvedAnswer } from './proved-with.js';
import { SafetySignature } from './safety-signature.js';
import { SafetyRow } from './safety-row.js';
import { useProof, withReading, type ProofDesk } from './use-proof.js';
import { SAFETY_LIST_TEXT } from '@which-way/words/screens/safe/safety-list';

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
  // Until the tester is proved the readings may grow, one conductor after another; the last one closes all three lines.
  const together = inSight && proofs.every(({ id, kind }) => kind === 'prove-dead' || !answers.has(id));
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
        <section
          aria-label={SAFETY_LIST_TEXT.beforeItIsSwitchedOff}
          className="grid gap-2 border-t-2 border-line pt-3"
        >
          <h2 className="text-large font-bold">{SAFETY_LIST_TEXT.beforeItIsSwitchedOff2}</h2>
          <ProofPoints desk={desk} />
          <ProofReadings desk={desk} when="before" />
        </section>
      )}
      <ol className="border-t-2 border-line" aria-label={SAFETY_LIST_TEXT.safetyList}>
        {rows(before)}
        <AllSo lines={before} answers={answers} />
        {together && desk ? (
          <ProvedTogether desk={desk} lines={proofs} first={firstProof + 1} />
        ) : (
          rows(proofs)
        )}
        {rows(after)}
      </ol>
      <SafetySignature lines={after} standing={standing} desk={desk} />
    </>
  );
}

/** A proof with nothing read after isolation is no answer yet. */
const begunOnly = (answer: SafetyAnswer | null): SafetyAnswer | null =>
  answer?.kind === 'proof' && answer.after.length === 0 ? null : answer;

/** Whether all that is usually read is there once this is kept, and says that it is dead. */
function isLast({ proof, list }: ProofDesk, reading: VoltReading): boolean {
  const after = withReading(proof.after, reading);
  const whole = usualReadings(proof, list.supply).every(
    ({ when, between }) =>
      when === 'before' || after.some((one) => between.every((name) => one.between.includes(name))),
  );
  return whole && proofTroubles({ ...proof, after }, list.supply).length === 0;
}

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
        {SAFETY_LIST_TEXT.all}
        {open.length}
        {SAFETY_LIST_TEXT.areSo}
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
    if (!proved || !isLast(desk, reading)) return desk.read('after', reading);
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
                {proved ? SAFETY_LIST_TEXT.keepingTheLastOfThe : SAFETY_LIST_TEXT.sayFirstWithWhatAnd}
              </p>
            )
          }
        />
      ))}
    </>
  );
}
