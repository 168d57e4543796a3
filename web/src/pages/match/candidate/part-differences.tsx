import type { ChosenReplacement } from '@which-way/core/log';
import { OF_THE_OLD_ONE, WANTS_REASON, type Difference } from '@which-way/core/match';
import { REASON_LETTERS } from '@which-way/core/schema';
import type { KnownSwitch, SettingId, Structure } from '@which-way/core/switch';
import { Notice } from '../../../controls/notice.js';
import { differenceText, questionsForSeller, questionsText } from '@which-way/words/match/match';
import { useState } from 'react';
import { toast } from '../../../controls/toast.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { ResultLine } from '../../../controls/result-line.js';
import { PART_DIFFERENCES_TEXT } from '@which-way/words/screens/pages/match/candidate/part-differences';
import { TextInput } from '../../../controls/fields/text-input.js';

type Accepted = ChosenReplacement['accepted'];

/** What was accepted of a candidate so far, and how much of safety is still open. */
export interface Acceptance {
  list: Accepted;
  open: number;
  accept: (difference: Difference, reason: string) => void;
  takeBack: (difference: Difference) => void;
}

const isOf =
  ({ code, about }: Difference) =>
  (one: Accepted[number]) =>
    one.code === code && one.about === about;

/** Begins with what was accepted when it was chosen; what differs no more is not kept. */
export function useAccepted(
  differences: readonly Difference[],
  chosen: ChosenReplacement | null,
): Acceptance {
  const [list, setList] = useState<Accepted>(chosen?.accepted ?? []);
  const safety = differences.filter(({ gravity }) => gravity === 'safety');
  const kept = list.filter((one) => safety.some((difference) => isOf(difference)(one)));
  return {
    list: kept,
    open: safety.filter((difference) => !kept.some(isOf(difference))).length,
    accept: ({ code, about }, reason) => setList([...kept, { code, about, reason }]),
    takeBack: (difference) => setList(kept.filter((one) => !isOf(difference)(one))),
  };
}

interface DifferencesProps {
  differences: readonly Difference[];
  accepted: Acceptance;
  structure: Structure;
  settings: readonly SettingId[];
  known: KnownSwitch;
}

/** What differs: safety first, each accepted by itself; what is not known stands as questions for the seller. */
export function Differences({ differences, accepted, structure, settings, known }: DifferencesProps) {
  const told = (difference: Difference) => differenceText(difference, structure, settings, known);
  const safety = differences.filter(({ gravity }) => gravity === 'safety');
  const questions = differences.filter(({ gravity }) => gravity === 'question');
  const isOld = ({ code }: Difference) => OF_THE_OLD_ONE.has(code);
  const ofOld = [...new Set(questions.filter(isOld).map(told))];
  const texts = questionsForSeller(differences, structure, settings, known);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(questionsText(known.name, texts));
      toast.success(PART_DIFFERENCES_TEXT.theQuestionsAreCopied);
    } catch {
      toast.error(PART_DIFFERENCES_TEXT.thisBrowserCopiesOnlyAt);
    }
  };
  return (
    <>
      {safety.length > 0 && (
        <section
          aria-label={PART_DIFFERENCES_TEXT.safetyDifferences}
          className="mt-3 rounded-part border-2 border-brick bg-brick-wash px-4 py-2"
        >
          <h3 className="text-large font-bold text-brick">{PART_DIFFERENCES_TEXT.safetyDifferences}</h3>
          <ul>
            {safety.map((difference) => (
              <Line
                key={`${difference.code} ${difference.about}`}
                {...{ difference, accepted }}
                text={told(difference)}
              />
            ))}
          </ul>
        </section>
      )}
      {ofOld.length > 0 && (
        <Notice look="amber" title={PART_DIFFERENCES_TEXT.sayFirst}>
          {ofOld.map((text) => (
            <p key={text}>{text}</p>
          ))}
        </Notice>
      )}
      {texts.length > 0 && (
        <ResultLine
          name={PART_DIFFERENCES_TEXT.questionsForTheSeller}
          result={PART_DIFFERENCES_TEXT.count(texts.length)}
          act={PART_DIFFERENCES_TEXT.see}
        >
          <PlainButton onClick={() => void copy()}>{PART_DIFFERENCES_TEXT.copy}</PlainButton>
          <ol className="list-decimal pl-6">
            {texts.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ol>
        </ResultLine>
      )}
    </>
  );
}

interface LineProps {
  difference: Difference;
  accepted: Acceptance;
  text: string;
}

/** One safety difference; a reason is typed where stop, brake, earth or disconnection is touched. */
function Line({ difference, accepted, text }: LineProps) {
  const [reason, setReason] = useState('');
  const mine = accepted.list.find(isOf(difference));
  const wants = WANTS_REASON.has(difference.code);
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-line py-1.5 last:border-0">
      <span className="min-w-0 grow basis-64">{text}</span>
      {mine ? (
        <>
          <strong>
            {PART_DIFFERENCES_TEXT.accepted}
            {mine.reason && `: ${mine.reason}`}
          </strong>
          <PlainButton look="quiet" className="!px-2" onClick={() => accepted.takeBack(difference)}>
            {PART_DIFFERENCES_TEXT.takeBack}
          </PlainButton>
        </>
      ) : (
        <>
          {wants && (
            <TextInput
              aria-label={PART_DIFFERENCES_TEXT.whyThatIsAccepted(text)}
              placeholder={PART_DIFFERENCES_TEXT.whyThatCanBeAccepted}
              value={reason}
              maxLength={REASON_LETTERS}
              onChange={({ target }) => setReason(target.value)}
              className="grow"
            />
          )}
          <PlainButton
            aria-label={PART_DIFFERENCES_TEXT.accept(text)}
            disabled={wants && reason.trim() === ''}
            onClick={() => accepted.accept(difference, reason.trim())}
          >
            {PART_DIFFERENCES_TEXT.accept2}
          </PlainButton>
        </>
      )}
    </li>
  );
}
