import type { SwitchMap } from '@which-way/core/continuity';
import { judge, signable, signatureOf, type SignatureStanding } from '@which-way/core/verdict';
import { PERSON_LETTERS, REMARK_LETTERS } from '@which-way/core/schema';
import { shownVerdict, signedWords } from '@which-way/words/verdict';
import { useState } from 'react';
import { useSession } from '../../../job/job-context.js';
import { givenOnce, useGivenOnce } from '../../../parts/safety/given-once.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { SIGN_VERDICT_TEXT } from '@which-way/words/screens/pages/verify/lines/sign-verdict';
import { Field } from '../../../controls/fields/field.js';

const STANDING: Record<SignatureStanding['standing'], string> = {
  stands: '',
  reopened: SIGN_VERDICT_TEXT.somethingWasReadOrChanged,
  differs: SIGN_VERDICT_TEXT.theSameEvidenceIsWorth,
};

/** Who answers for the verdict as it stands; what was signed stays beside what is derived. */
export function SignVerdict({ map }: { map: SwitchMap }) {
  const session = useSession();
  const { who } = useGivenOnce();
  const [note, setNote] = useState('');
  const signature = signatureOf(map);
  return (
    <ResultLine
      name={SIGN_VERDICT_TEXT.signOff}
      result={
        !signature
          ? RESULT_LINES_TEXT.notSigned
          : signature.standing === 'stands'
            ? RESULT_LINES_TEXT.signedBy(signature.signed.by)
            : RESULT_LINES_TEXT.openAgain
      }
      act={signature?.standing === 'stands' ? RESULT_LINES_TEXT.see : RESULT_LINES_TEXT.sign}
    >
      {signature && (
        <p>
          <strong>{signature.signed.by}</strong>
          {SIGN_VERDICT_TEXT.signed}
          {signedWords(signature.signed)}”, {new Date(signature.at).toLocaleString()}. {signature.signed.note}{' '}
          {signature.standing !== 'stands' && (
            <strong className="text-amber-ink">{STANDING[signature.standing]}</strong>
          )}
        </p>
      )}
      {signature?.standing !== 'stands' && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (who.trim() === '') return;
            const shown = shownVerdict(map, judge(map));
            session.emit({
              kind: 'verdict-signed',
              verdict: signable(map, who.trim(), note.trim(), shown),
            });
            setNote('');
          }}
        >
          <Field
            label={SIGN_VERDICT_TEXT.signedBy}
            box="w-40"
            value={who}
            maxLength={PERSON_LETTERS}
            onType={(text) => givenOnce.setState({ who: text })}
          />
          <Field
            label={SIGN_VERDICT_TEXT.acceptedDefectsAndWhy}
            className="grow"
            value={note}
            maxLength={REMARK_LETTERS}
            onType={setNote}
          />
          <PlainButton type="submit" disabled={who.trim() === ''}>
            {SIGN_VERDICT_TEXT.signTheVerdictAsIt}
          </PlainButton>
        </form>
      )}
    </ResultLine>
  );
}
