import { endsInSight, wantedAnswer, type SafetyStanding } from '@which-way/core/safety';
import type { SafetyAnswer, SafetyLine, SafetyLineKind, SafetyList as List } from '@which-way/core/log';
import type { LineId } from '@which-way/core/switch';
import { useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ProofPoints } from './proof-points.js';
import { ProofReadings } from './proof-readings.js';
import { SafetySignature } from './safety-signature.js';
import { SafetyRow } from './safety-row.js';
import { useProof, type ProofDesk } from './use-proof.js';
import { SAFETY_LIST_TEXT } from '@which-way/words/screens/pages/safe/safety-list';

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
  const next = list.lines.find(({ id }) => !answers.has(id))?.id ?? null;
  const inSight = endsInSight(list.supply);
  const isolate = list.lines.findIndex(({ kind }) => kind === 'isolate');
  const isolated = isolate < 0 || answers.get(list.lines[isolate]?.id as LineId)?.kind === 'done';
  const rows = (lines: readonly SafetyLine[]) =>
    lines.map((line) => (
      <SafetyRow
        key={line.id}
        line={line}
        number={list.lines.indexOf(line) + 1}
        supply={list.supply}
        answer={begunOnly(answers.get(line.id) ?? null)}
        next={line.id === next}
        after={!isolated && list.lines.indexOf(line) > isolate ? isolate + 1 : null}
        proof={line.kind === 'prove-dead' && desk ? <ProofDeskPanel desk={desk} /> : undefined}
      />
    ));
  const before = list.lines.slice(0, Math.max(0, firstProof));
  return (
    <>
      {!inSight && desk && (
        <section
          aria-label={SAFETY_LIST_TEXT.beforeItIsSwitchedOff}
          className="grid gap-2 border-t-2 border-line pt-3"
        >
          <h2 className="text-large font-bold">{SAFETY_LIST_TEXT.beforeItIsSwitchedOff2}</h2>
          <ProofPoints desk={desk} />
          <ProofReadings desk={desk} when="before" isolated={isolated} />
        </section>
      )}
      <ol className="border-t-2 border-line" aria-label={SAFETY_LIST_TEXT.safetyList}>
        {rows(before)}
        <AllSo lines={before} answers={answers} />
        {rows(list.lines.slice(before.length))}
      </ol>
      <SafetySignature lines={list.lines} standing={standing} />
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
        {SAFETY_LIST_TEXT.all}
        {open.length}
        {SAFETY_LIST_TEXT.areSo}
      </PlainButton>
    </li>
  );
}
