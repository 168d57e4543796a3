import { wantedAnswer, type SafetyStanding } from '@which-way/core/safety';
import { PERSON_LETTERS } from '@which-way/core/schema';
import type { SafetyLine } from '@which-way/core/log';
import { Check } from 'lucide-react';
import { useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { givenOnce, useGivenOnce } from '../../parts/safety/given-once.js';
import { lineWords } from '@which-way/words/before/safety';
import { SAFETY_SIGNATURE_TEXT } from '@which-way/words/screens/pages/safe/safety-signature';
import { Field } from '../../controls/fields/field.js';

type Answers = SafetyStanding['answers'];

/** Lines that still stand open at the end and only say that it is done: they are said on the button, and never confirm themselves. */
const offered = (lines: readonly SafetyLine[], answers: Answers): readonly SafetyLine[] =>
  lines
    .slice(lines.findLastIndex(({ kind }) => wantedAnswer(kind) !== 'done') + 1)
    .filter(({ id }) => !answers.has(id));

interface SafetySignatureProps {
  standing: SafetyStanding;
  lines: readonly SafetyLine[];
}

/** Who answers for the list; what is left open and has a sensible answer is said with the same tap. */
export function SafetySignature({ lines, standing }: SafetySignatureProps) {
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
  const open = offered(lines, answers);
  const others = troubles.filter(
    (trouble) =>
      trouble.code !== 'unsigned' &&
      !(trouble.code === 'unanswered' && open.some(({ id }) => id === trouble.line.id)),
  );
  const ready = others.length === 0;
  const given = open.map(({ id }) => ({ line: id, answer: { kind: 'done' as const, note: '' } }));
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
      <Field
        label={<strong>{SAFETY_SIGNATURE_TEXT.whoDidIt}</strong>}
        className="grow sm:max-w-xs"
        value={who}
        maxLength={PERSON_LETTERS}
        autoComplete="name"
        onType={(text) => givenOnce.setState({ who: text })}
      />
      <PlainButton type="submit" look="strong" className="min-h-12" disabled={!ready || who.trim() === ''}>
        {ready && given.length > 0
          ? SAFETY_SIGNATURE_TEXT.allOfItIsSo
          : SAFETY_SIGNATURE_TEXT.iAnswerForThisList}
      </PlainButton>
      {ready && given.length > 0 && (
        <p className="basis-full text-small text-quiet">
          {SAFETY_SIGNATURE_TEXT.thisAlsoMarksAsDone(
            open.map((line) => lineWords(line, standing.list?.supply ?? 'plug-in').text).join('; '),
          )}
        </p>
      )}
      {!ready && (
        <p className="basis-full text-small text-quiet">{SAFETY_SIGNATURE_TEXT.whenEveryLineIsAnswered}</p>
      )}
    </form>
  );
}
