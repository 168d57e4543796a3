import { highestLeft, SAFE_VOLTS, wantedAnswer, type SafetyStanding } from '@which-way/core/safety';
import { PERSON_LETTERS } from '@which-way/core/schema';
import type { SafetyAnswer, SafetyLine } from '@which-way/core/log';
import { Check } from 'lucide-react';
import { useSession } from '../job/job-context.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { givenOnce, useGivenOnce } from './given-once.js';
import type { ProofDesk } from './use-proof.js';
import { SAFETY_SIGNATURE_TEXT } from '@which-way/words/screens/safe/safety-signature';

type Answers = SafetyStanding['answers'];

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

interface SafetySignatureProps {
  standing: SafetyStanding;
  /** The lines after the proof. */
  lines: readonly SafetyLine[];
  desk: ProofDesk | null;
}

/** Who answers for the list; what is left open and has a sensible answer is said with the same tap. */
export function SafetySignature({ lines, standing, desk }: SafetySignatureProps) {
  const session = useSession();
  const { who } = useGivenOnce();
  const { signed, answers, troubles } = standing;
  if (signed) {
    return (
      <p className="flex items-center gap-3 text-large">
        <Check className="text-teal" aria-hidden="true" />
        <span>
          <strong>{signed.by}</strong>
          {SAFETY_SIGNATURE_TEXT.answersForIt}
          {new Date(signed.at).toLocaleString()}.
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
        <span className="font-semibold">{SAFETY_SIGNATURE_TEXT.whoDidIt}</span>
        <input
          value={who}
          maxLength={PERSON_LETTERS}
          autoComplete="name"
          onChange={(event) => givenOnce.setState({ who: event.target.value })}
          className="mt-1 min-h-12 w-full rounded-part border-2 border-line bg-sheet px-3"
        />
      </label>
      <PlainButton type="submit" look="strong" className="min-h-12" disabled={!ready || who.trim() === ''}>
        {ready && given.length > 0
          ? SAFETY_SIGNATURE_TEXT.allOfItIsSo
          : SAFETY_SIGNATURE_TEXT.iAnswerForThisList}
      </PlainButton>
      {ready && given.length > 0 && (
        <p className="basis-full text-small text-quiet">
          {SAFETY_SIGNATURE_TEXT.itSaysAlso}
          {[...new Set(sayings)].join('; ')}.
        </p>
      )}
      {!ready && (
        <p className="basis-full text-small text-quiet">{SAFETY_SIGNATURE_TEXT.whenEveryLineIsAnswered}</p>
      )}
    </form>
  );
}
